import * as z from "zod";
import { handSlack, handSlackTarget } from "../../core/chains";
import { judge } from "../../core/limits";
import { accept } from "../../core/quantity";
import { exactlyOne, notNegative, ordered, positive } from "../fields";
import { tool } from "../tool";

export const handSlackTool = tool({
  name: "hand-slack",
  purpose: "slack of a chain or belt strand moved by hand, level or steep, and what takes it up",
  input: z
    .strictObject({
      spanMm: positive,
      movementMm: notNegative,
      shape: z.enum(["triangle", "arc"]).default("triangle"),
      forceN: positive.optional(),
      drive: z.enum(["level", "steep", "reversing"]).optional(),
      targetPercent: z.strictObject({ lo: notNegative, hi: notNegative }).superRefine(ordered("lo", "hi")).optional(),
      centreDistanceMm: positive.optional(),
      roller: z
        .strictObject({
          alongMm: positive,
          diameterMm: positive,
          pressMm: notNegative,
          spanMm: positive.optional(),
          maxPressMm: notNegative.optional(),
        })
        .optional(),
      expandedUncertaintyMm: notNegative.default(0),
    })
    .superRefine(exactlyOne(["drive", "targetPercent"])),
  output: z.strictObject({
    percent: z.number(),
    excessMm: z.strictObject({ triangle: z.number(), arc: z.number() }),
    target: z.strictObject({ loPercent: z.number(), hiPercent: z.number(), movementMm: z.number() }),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    takeUpMm: z.number(),
    moveCentreMm: z.number(),
    tensionN: z.number().optional(),
    roller: z.strictObject({ pressMm: z.number(), moveMm: z.number(), leftMm: z.number().optional() }).optional(),
    feasible: z.boolean(),
  }),
  run: ({ drive, targetPercent, expandedUncertaintyMm, centreDistanceMm, roller, ...strand }) => {
    const target = targetPercent
      ? { loPercent: targetPercent.lo, hiPercent: targetPercent.hi }
      : handSlackTarget[drive ?? "level"];
    const slack = handSlack({
      ...strand,
      target,
      centreDistanceMm: centreDistanceMm ?? strand.spanMm,
      roller: roller && { ...roller, spanMm: roller.spanMm ?? strand.spanMm },
    });
    if (!slack.ok) return slack;
    const uncertainty = (50 * expandedUncertaintyMm) / strand.spanMm;
    const limits = { lo: target.loPercent, hi: target.hiPercent };
    return accept({ ...slack.value, verdict: judge(slack.value.percent, limits, uncertainty).verdict });
  },
});
