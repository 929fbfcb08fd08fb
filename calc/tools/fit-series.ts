import * as z from "zod";
import { pairFit, pairSays, verdicts } from "../../core/limits";
import { fitSeries, fitWords } from "../../core/making";
import { accept } from "../../core/quantity";
import { largestNominalMm } from "../../core/reference";
import { notNegative, positive } from "../fields";
import { tool } from "../tool";

const nominal = z.number().gt(0).lte(largestNominalMm);

export const fitSeriesTool = tool({
  name: "fit-series",
  purpose: "test pieces tried and felt: which size fits, or which to make next",
  input: z.strictObject({
    of: z.enum(["hole", "shaft"]),
    tries: z
      .array(z.strictObject({ sizeMm: positive, felt: z.enum(fitWords) }))
      .min(1)
      .max(1000),
    wanted: z.enum(["falls", "slides", "presses"]),
    stepMm: positive,
    /** The pair itself, where it was measured. */
    pair: z
      .strictObject({
        holeMm: nominal,
        shaftMm: nominal,
        expandedUncertaintyMm: notNegative.default(0),
      })
      .optional(),
  }),
  output: z.strictObject({
    lowMm: z.number().nullable(),
    highMm: z.number().nullable(),
    done: z.boolean(),
    chooseMm: z.number().nullable(),
    nextMm: z.number().nullable(),
    contradictions: z.array(z.tuple([z.number(), z.number()])),
    feasible: z.boolean(),
    pair: z
      .strictObject({
        clearanceMm: z.number(),
        expandedUncertaintyMm: z.number(),
        says: z.enum(pairSays),
        verdict: z.enum(verdicts),
        slidesMm: z.tuple([z.number(), z.number()]),
        lightPressMm: z.number(),
      })
      .optional(),
  }),
  run: ({ pair, ...question }) =>
    accept({ ...fitSeries(question), ...(pair ? { pair: pairFit(pair, pair.expandedUncertaintyMm) } : {}) }),
});
