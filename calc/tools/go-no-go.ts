import * as z from "zod";
import { goNoGo } from "../../core/limits";
import { notNegative, openLimits, positive } from "../fields";
import { tool } from "../tool";

export const goNoGoTool = tool({
  name: "go-no-go",
  purpose: "a gap by the largest pin, drill or feeler that goes and the smallest that does not, and which to try next",
  input: z.strictObject({
    goesMm: positive.optional(),
    stopsMm: positive.optional(),
    toleranceMm: notNegative.default(0),
    limits: openLimits.optional(),
    sizesMm: z.array(positive).min(1).max(10_000).optional(),
  }),
  output: z.strictObject({
    lowMm: z.number(),
    highMm: z.number().nullable(),
    valueMm: z.number().nullable(),
    expandedUncertaintyMm: z.number().nullable(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]).optional(),
    nextMm: z.number().nullable().optional(),
  }),
  run: (question) => goNoGo(question),
});
