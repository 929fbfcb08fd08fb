import * as z from "zod";
import { verdicts } from "../../core/limits";
import { closure } from "../../core/proving";
import { accept } from "../../core/quantity";
import { finite, notNegative, positive } from "../fields";
import { tool } from "../tool";

const whole = z.number().int().gte(1).lte(1_000_000_000);
const misses = z.array(finite).min(1).max(10_000);
const way = z.strictObject({
  meanArcmin: z.number(),
  expandedUncertaintyArcmin: z.number(),
  verdict: z.enum(verdicts),
});

export const closureTool = tool({
  name: "closure",
  purpose: "whether an index drive comes back to zero: misses both ways, lost motion, whole steps lost",
  input: z.strictObject({
    divisions: whole,
    turns: whole.default(1),
    forward: misses,
    backward: misses.optional(),
    radiusMm: positive.optional(),
    toleranceArcmin: notNegative,
    expandedUncertainty: notNegative.default(0),
    stepsPerTurn: positive.optional(),
  }),
  output: z.strictObject({
    forward: way,
    backward: way.optional(),
    lostMotionArcmin: z.number().optional(),
    lostMotionUncertaintyArcmin: z.number().optional(),
    perTurnArcmin: z.number(),
    perDivisionArcmin: z.number(),
    stepsLost: z.strictObject({ steps: z.number().int(), remainderArcmin: z.number(), sure: z.boolean() }).optional(),
    verdict: z.enum(verdicts),
  }),
  run: (question) => accept(closure(question)),
});
