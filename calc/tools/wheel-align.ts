import * as z from "zod";
import { wheelAlign } from "../../core/frames";
import { accept } from "../../core/quantity";
import { feetBehind, finite, notNegative, positive } from "../fields";
import { tool } from "../tool";

const gaps = z.strictObject({ nearMm: finite, farMm: finite, apartMm: positive });
/** What angle, twist and offset may come to together (common practice). */
const usualLimitDeg = { toothed: 0.25, "v-belt": 0.5, chain: 0.25 } as const;
const foot = z.strictObject({ apartMm: z.number(), shimMm: z.number().optional() });

export const wheelAlignTool = tool({
  name: "wheel-align",
  purpose: "two wheels in line by a straight edge: angle, offset, twist, and what the feet of the movable one need",
  input: z.strictObject({
    kind: z.enum(["toothed", "v-belt", "chain"]),
    centreDistanceMm: positive,
    movable: gaps,
    fixed: gaps.optional(),
    rimWidthMm: z.tuple([positive, positive]).optional(),
    across: z.strictObject({ topMm: finite, bottomMm: finite, apartMm: positive }).optional(),
    feet: feetBehind.optional(),
    limitDeg: positive.optional(),
    expandedUncertaintyMm: notNegative.default(0),
  }),
  output: z.strictObject({
    angleDeg: z.number(),
    offsetMm: z.number(),
    twistDeg: z.number().optional(),
    misalignmentDeg: z.number(),
    limitDeg: z.number(),
    overDeg: z.number(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    moves: z.strictObject({ axialMm: z.number(), front: foot, rear: foot }).optional(),
  }),
  run: ({ kind, limitDeg = usualLimitDeg[kind], ...question }) => accept(wheelAlign({ ...question, limitDeg })),
});
