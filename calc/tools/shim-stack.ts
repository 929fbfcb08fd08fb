import * as z from "zod";
import { shimStack } from "../../core/stacks";
import { finite, ordered, positive } from "../fields";
import { tool } from "../tool";

const stack = z.strictObject({
  shims: z.array(z.strictObject({ thicknessMm: z.number(), count: z.number() })),
  totalMm: z.number(),
  clearanceMm: z.number(),
  pieces: z.number(),
});

export const stockShape = { count: z.number().int().gte(0).lte(100_000) };

export const shimStackTool = tool({
  name: "shim-stack",
  purpose: "the shims from a drawer that leave a gap with the clearance wanted, or the nearest that can be had",
  input: z.strictObject({
    gapMm: positive,
    target: z
      .strictObject({ loMm: finite, aimMm: finite.optional(), hiMm: finite })
      .superRefine(ordered("loMm", "hiMm")),
    stock: z.array(z.strictObject({ thicknessMm: positive, ...stockShape })).max(500),
    maxPieces: z.number().int().gte(1).lte(100).default(6),
    alternatives: z.number().int().gte(0).lte(100).default(5),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    best: stack.nullable(),
    alternatives: z.array(stack),
    nearestBelow: stack.optional(),
    nearestAbove: stack.optional(),
  }),
  run: (input, done) => shimStack(input, done),
});
