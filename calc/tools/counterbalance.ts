import * as z from "zod";
import { counterbalance } from "../../core/axes";
import { standardGravity } from "../../core/quantity";
import { exactlyOne, notNegative, positive } from "../fields";
import { tool } from "../tool";

const points = z
  .array(z.strictObject({ extensionMm: notNegative, forceN: notNegative }))
  .min(2)
  .max(1000)
  .superRefine((list, context) => {
    for (const [i, point] of list.entries()) {
      const before = list[i - 1];
      if (!before) continue;
      const at = (key: string, message: string) =>
        context.addIssue({ code: "custom", params: { code: "does-not-rise" }, message, path: [i, key] });
      if (point.extensionMm <= before.extensionMm) at("extensionMm", "extensions must rise");
      else if (point.forceN < before.forceN) at("forceN", "forces must not fall");
    }
  });

export const counterbalanceTool = tool({
  name: "counterbalance",
  purpose: "how springs or cords carry a load along its travel, and how many strands leave the drive least",
  input: z
    .strictObject({
      loadN: positive.optional(),
      loadKg: positive.optional(),
      strand: z.strictObject({ points }),
      strands: z.number().int().gte(0).lte(1000),
      reeving: positive.default(1),
      extensionAtTopMm: notNegative,
      travelMm: positive,
      frictionN: notNegative.default(0),
      maxStrands: z.number().int().gte(1).lte(1000).default(12),
      maxExtensionMm: notNegative.optional(),
      pulleyPitchDiameterMm: positive.optional(),
    })
    .superRefine(exactlyOne(["loadN", "loadKg"])),
  output: z.strictObject({
    feasible: z.boolean(),
    positions: z.array(
      z.strictObject({
        atMm: z.number(),
        carriedN: z.number(),
        residualN: z.number(),
        upN: z.number(),
        downN: z.number(),
      }),
    ),
    worstN: z.number(),
    worstAtMm: z.number(),
    worstGoing: z.enum(["up", "down"]),
    balanceAtMm: z.number().nullable(),
    staysPut: z.boolean(),
    bestStrands: z.number(),
    bestWorstN: z.number(),
    extrapolated: z.boolean(),
    reachMm: z.number().optional(),
    torqueNm: z.number().optional(),
  }),
  run: ({ loadN, loadKg = 0, strand, ...question }) =>
    counterbalance({ ...question, points: strand.points, loadN: loadN ?? loadKg * standardGravity }),
});
