import * as z from "zod";
import { flatness } from "../../core/frames";
import { finite, notNegative, positive } from "../fields";
import { tool } from "../tool";

const rail = z.array(z.number().int().gte(0)).min(2).max(2000);

export const flatnessTool = tool({
  name: "flatness",
  purpose: "how flat a frame and how parallel its rails are, and what to shim where",
  input: z.strictObject({
    points: z
      .array(z.strictObject({ xMm: finite, yMm: finite, zMm: finite }))
      .min(3)
      .max(2000),
    expandedUncertaintyMm: notNegative.default(0),
    limitMm: positive.optional(),
    rails: z.strictObject({ along: z.enum(["x", "y"]), a: rail, b: rail }).optional(),
    railLimitMmPerM: positive.optional(),
  }),
  output: z.strictObject({
    plane: z.strictObject({ atOriginMm: z.number(), slopeXMmPerM: z.number(), slopeYMmPerM: z.number() }),
    deviationsMm: z.array(z.number()),
    flatnessMm: z.number(),
    raiseMm: z.array(z.number()),
    twistMm: z.number().optional(),
    shim: z.strictObject({ point: z.number(), mm: z.number() }).nullable().optional(),
    rails: z.strictObject({ heightMmPerM: z.number(), planMmPerM: z.number() }).optional(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]).optional(),
  }),
  run: flatness,
});
