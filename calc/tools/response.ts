import * as z from "zod";
import { learnResponse } from "../../core/advice";
import { accept } from "../../core/quantity";
import { finite, positive } from "../fields";
import { tool } from "../tool";

export const responseTool = tool({
  name: "response",
  purpose: "what one unit of an adjuster really does, learnt from its moves",
  input: z.strictObject({
    prior: z.strictObject({ perUnit: finite, sd: positive }),
    moves: z.array(z.strictObject({ amount: finite, change: finite })).max(10_000),
    readingSd: positive,
  }),
  output: z.strictObject({ perUnit: z.number(), sd: z.number(), moves: z.number() }),
  run: ({ prior, moves, readingSd }) => accept({ ...learnResponse(prior, moves, readingSd), moves: moves.length }),
});
