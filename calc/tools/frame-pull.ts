import * as z from "zod";
import { framePull } from "../../core/frames";
import { finite, notNegative, ordered, positive } from "../fields";
import { tool } from "../tool";

const stand = z.strictObject({ offsetMm: z.number(), angleDeg: z.number() });

export const framePullTool = tool({
  name: "frame-pull",
  purpose: "what tension pulls a frame out of true by, and whether a pre-set holds it or only a brace",
  input: z.strictObject({
    readings: z
      .array(z.strictObject({ tensionN: notNegative, offsetMm: finite, angleDeg: finite }))
      .min(2)
      .max(2000),
    targetN: notNegative,
    bandN: z.strictObject({ lo: notNegative, hi: notNegative }).superRefine(ordered("lo", "hi")).optional(),
    limits: z.strictObject({ offsetMm: positive, angleDeg: positive }),
    expandedUncertainty: z
      .strictObject({ offsetMm: notNegative.default(0), angleDeg: notNegative.default(0) })
      .default({ offsetMm: 0, angleDeg: 0 }),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    perN: stand,
    slack: stand,
    atTarget: stand,
    residual: stand,
    action: z.enum(["none", "pre-set", "brace"]),
    preset: stand.optional(),
    stiffenBy: z.number().optional(),
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
  }),
  run: ({ bandN, ...question }) =>
    framePull({ ...question, bandN: bandN ?? { lo: question.targetN, hi: question.targetN } }),
});
