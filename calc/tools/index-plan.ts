import * as z from "zod";
import { accept } from "../../core/quantity";
import { indexPlan } from "../../core/trains";
import { both } from "../fields";
import { tool } from "../tool";

export const motorShape = {
  stepsPerRev: z.number().int().gte(1).lte(1_000_000),
  microsteps: z.number().int().gte(1).lte(1024),
  ratio: both(z.number().int().gte(1).lte(1_000_000)),
};

export const indexPlanTool = tool({
  name: "index-plan",
  purpose: "a turn divided into whole motor steps, and the error each division carries",
  input: z.strictObject({ ...motorShape, divisions: z.number().int().gte(1).lte(1_000_000) }),
  output: z.strictObject({
    stepsPerDivision: z.strictObject({ num: z.number(), den: z.number() }),
    exact: z.boolean(),
    moves: z.array(z.number()),
    maxErrorArcsec: z.number(),
    closes: z.boolean(),
  }),
  run: ({ divisions, ...motor }) => accept(indexPlan(motor, divisions)),
});
