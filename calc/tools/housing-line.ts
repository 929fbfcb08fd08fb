import * as z from "zod";
import { housingLine } from "../../core/shafts";
import { finite, notNegative, positive } from "../fields";
import { tool } from "../tool";

export const housingLineTool = tool({
  name: "housing-line",
  purpose: "bearing housings in line by a straight bar or a wire: what to shim under which, and which one binds",
  input: z.strictObject({
    housings: z
      .array(z.strictObject({ xMm: finite, gapMm: finite, eased: z.enum(["frees", "no change"]).optional() }))
      .min(2)
      .max(100),
    expandedUncertaintyMm: notNegative.default(0),
    limitMm: positive.optional(),
  }),
  output: z.strictObject({
    lineGapMm: z.tuple([z.number(), z.number()]),
    raiseMm: z.array(z.number()),
    offMm: z.number(),
    binds: z.array(z.number()),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]).optional(),
  }),
  run: ({ housings, expandedUncertaintyMm, limitMm }) => housingLine(housings, expandedUncertaintyMm, limitMm),
});
