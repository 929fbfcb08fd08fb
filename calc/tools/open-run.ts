import * as z from "zod";
import { openRun } from "../../core/chains";
import { both, chosenForm, notNegative, positive, toothCount } from "../fields";
import { tool } from "../tool";

const side = z
  .strictObject({ jointMm: notNegative, guardMm: notNegative.default(0), endMm: notNegative.optional() })
  .refine(({ jointMm, endMm }) => endMm === undefined || endMm >= jointMm, {
    path: ["endMm"],
    params: { code: "window-upside-down" },
    error: "the joint stands beyond its end",
  });
const range = z.strictObject({ mm: z.number(), deg: z.number(), limitedBy: z.enum(["wheel", "end"]) });

export const openRunTool = tool({
  name: "open-run",
  purpose: "how far a chain or cord with ends turns before a joint meets the wheel, and where to shift it",
  input: z
    .strictObject({
      pitchDiameterMm: positive.optional(),
      pitchMm: positive.optional(),
      teeth: toothCount.optional(),
      wrapDeg: positive,
      sides: both(side),
      neededDeg: z.strictObject({ forward: notNegative, back: notNegative }).optional(),
      tackle: z
        .strictObject({
          falls: z.number().int().gte(1).lte(100),
          sheaveEfficiency: z.number().gt(0).lte(1).default(0.96),
          haulFrom: z.enum(["fixed", "moving"]).default("fixed"),
          loadN: positive,
          loadTravelMm: positive,
        })
        .optional(),
    })
    .superRefine(chosenForm(["pitchDiameterMm"], ["pitchMm", "teeth"])),
  output: z.strictObject({
    mmPerTurn: z.number(),
    pitchDiameterMm: z.number(),
    cordLengthMm: z.number(),
    links: z.number().optional(),
    forward: range,
    back: range,
    shiftMm: z.number().nullable().optional(),
    shortMm: z.number().optional(),
    feasible: z.boolean(),
    tackle: z
      .strictObject({
        haulN: z.number(),
        lowerN: z.number(),
        deadEndN: z.number(),
        haulTravelMm: z.number(),
        efficiency: z.number(),
      })
      .optional(),
  }),
  run: ({ pitchDiameterMm, pitchMm = 0, teeth = 0, ...question }) =>
    openRun({ ...question, wheel: pitchDiameterMm === undefined ? { pitchMm, teeth } : { pitchDiameterMm } }),
});
