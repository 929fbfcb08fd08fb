import * as z from "zod";
import { roundPlan } from "../../core/rounds";
import { both, toothCount } from "../fields";
import { tool } from "../tool";

export const roundPlanTool = tool({
  name: "round-plan",
  purpose: "tooth positions for a round that tell gear runout from pinion runout",
  input: z.strictObject({
    teeth: both(toothCount),
    positions: z.number().int().gte(1).lte(10_000),
    maxTurns: z.number().int().gte(1).lte(10_000).default(1),
  }),
  output: z.strictObject({
    gearToothIndices: z.array(z.number()),
    conditionNumber: z.number().nullable(),
    huntingTurns: z.number(),
    separable: z.boolean(),
  }),
  run: ({ teeth, positions, maxTurns }) => roundPlan(teeth, positions, maxTurns),
});
