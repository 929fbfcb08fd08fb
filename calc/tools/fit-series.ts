import * as z from "zod";
import { fitSeries, fitWords } from "../../core/making";
import { accept } from "../../core/quantity";
import { positive } from "../fields";
import { tool } from "../tool";

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
  }),
  output: z.strictObject({
    lowMm: z.number().nullable(),
    highMm: z.number().nullable(),
    done: z.boolean(),
    chooseMm: z.number().nullable(),
    nextMm: z.number().nullable(),
    contradictions: z.array(z.tuple([z.number(), z.number()])),
    feasible: z.boolean(),
  }),
  run: (question) => accept(fitSeries(question)),
});
