import * as z from "zod";
import { heardPeriod } from "../../core/proving";
import { accept } from "../../core/quantity";
import { exactlyOne, id, idsOnce, positive } from "../fields";
import { tool } from "../tool";

const times = z.number().int().gte(1);
const match = z.strictObject({
  id: z.string(),
  times,
  perMinute: z.number(),
  deviationPercent: z.number(),
});
const which = z.strictObject({ id: z.string(), times });

export const heardPeriodTool = tool({
  name: "heard-period",
  purpose: "what of a drive comes as often as a noise that was timed, and what tells two such apart",
  input: z.strictObject({
    sources: z
      .array(z.strictObject({ id, perMinute: positive, fixed: z.boolean().default(false) }))
      .min(1)
      .max(1000)
      .superRefine((list, context) => idsOnce(list, context)),
    heard: z
      .strictObject({
        perMinute: positive.optional(),
        secondsBetween: positive.optional(),
        toleranceShare: z.number().gte(0).lt(0.5).default(0.05),
      })
      .superRefine(exactlyOne(["perMinute", "secondsBetween"])),
    maxTimes: times.lte(12).default(4),
  }),
  output: z.strictObject({
    heardPerMinute: z.number(),
    feasible: z.boolean(),
    matches: z.array(match),
    nearest: match.optional(),
    alike: z.array(
      z.strictObject({
        a: which,
        b: which,
        tellBy: z.enum(["speed", "count", "hold"]),
        speedChangePercent: z.number().optional(),
        seconds: z.number().optional(),
      }),
    ),
  }),
  run: ({ sources, heard: { perMinute, secondsBetween, toleranceShare }, maxTimes }) =>
    accept(
      heardPeriod({
        sources,
        heardPerMinute: perMinute ?? 60 / (secondsBetween ?? Number.NaN),
        toleranceShare,
        maxTimes,
      }),
    ),
});
