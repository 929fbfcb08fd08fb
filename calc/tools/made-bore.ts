import * as z from "zod";
import { madeBore } from "../../core/making";
import { both, exactlyOne, finite, notNegative, ordered, positive } from "../fields";
import { tool } from "../tool";

export const madeBoreTool = tool({
  name: "made-bore",
  purpose: "the size to draw so that a made hole fits a measured shaft, and whether the process can be trusted with it",
  input: z
    .strictObject({
      shaftMm: z.array(positive).min(1).max(10_000),
      resolutionMm: notNegative.default(0.01),
      allowance: z.strictObject({ meanMm: finite, sdMm: notNegative }).optional(),
      made: z
        .array(z.strictObject({ drawnMm: positive, madeMm: positive }))
        .min(2)
        .max(10_000)
        .optional(),
      wanted: z.strictObject({ loMm: finite, hiMm: finite }).superRefine(ordered("loMm", "hiMm")),
      stepMm: positive.optional(),
    })
    .superRefine(exactlyOne(["allowance", "made"])),
  output: z.strictObject({
    shaftMm: z.number(),
    allowanceMm: z.number(),
    drawMm: z.number(),
    expectedClearanceMm: z.number(),
    clearanceIntervalMm: both(z.number()),
    state: z.enum(["free", "grips", "undecided"]),
    feasible: z.boolean(),
  }),
  run: ({ allowance, made, ...question }) => madeBore({ ...question, allowance: allowance ?? { made: made ?? [] } }),
});
