import * as z from "zod";
import { indexError, lostMotionId, stepRounding } from "../../core/trains";
import { both, id, idsOnce, notNegative, positive } from "../fields";
import { tool } from "../tool";

const count = z.number().int().gte(1).lte(1_000_000_000);
const taken = [stepRounding, lostMotionId];
const added = z.strictObject({ worstArcmin: z.number(), rssArcmin: z.number() });

export const indexErrorTool = tool({
  name: "index-error",
  purpose: "what every division of an index drive may be off by: runout, whole steps, lost motion",
  input: z
    .strictObject({
      divisions: z.number().int().gte(1).lte(100_000),
      wheels: z
        .array(
          z.strictObject({
            id,
            eccentricityMm: notNegative,
            radiusMm: positive,
            turnsPerOutputTurn: both(count),
            pressureAngleDeg: z.number().gte(0).lt(60).default(20),
          }),
        )
        .max(1000)
        .superRefine((list, context) => idsOnce(list, context, taken))
        .default([]),
      stepsPerOutputTurn: both(count).optional(),
      lostMotionArcmin: notNegative.optional(),
      oneSided: z.boolean().default(false),
      others: z
        .array(z.strictObject({ id, arcmin: notNegative }))
        .max(1000)
        .default([]),
      toleranceArcmin: notNegative.optional(),
    })
    .superRefine(({ wheels, others }, context) => {
      idsOnce(others, context, [...taken, ...wheels.map((wheel) => wheel.id)], ["others"]);
    }),
  output: z.strictObject({
    contributions: z.array(z.strictObject({ id: z.string(), positionArcmin: z.number(), betweenArcmin: z.number() })),
    position: added,
    between: added,
    verdict: z.enum(["within", "likely", "beyond"]).optional(),
  }),
  run: indexError,
});
