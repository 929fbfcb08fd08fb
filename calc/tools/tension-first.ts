import * as z from "zod";
import { guessedSpread, tensionFirst } from "../../core/advice";
import { newtonWindow, notZero, positive } from "../fields";
import { tool } from "../tool";

export const tensionFirstTool = tool({
  name: "tension-first",
  purpose: "first moves of a belt whose stiffness is a guess, safe against passing the upper limit",
  input: z.strictObject({
    tensionN: positive,
    readingSdN: positive,
    perUnitN: positive,
    spread: positive.default(guessedSpread),
    limitsN: newtonWindow,
    risk: z.number().gt(0).lt(0.5).default(0.005),
    moves: z
      .array(z.strictObject({ amount: notZero, readingN: positive }))
      .max(10_000)
      .default([]),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    presentN: z.number(),
    stiffness: z.strictObject({ perUnitN: z.number(), spread: z.number() }),
    safeAmount: z.number(),
    move: z.strictObject({ amount: z.number(), limitedBy: z.enum(["aim", "risk"]) }).nullable(),
    expectedN: z.strictObject({ lo: z.number(), median: z.number(), hi: z.number() }).optional(),
    riskOfOver: z.number().optional(),
  }),
  run: tensionFirst,
});
