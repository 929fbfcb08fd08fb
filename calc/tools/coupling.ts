import * as z from "zod";
import { fitCoupling } from "../../core/couplings";
import { allowanceSchema, couplingEndSchema, shaftErrorsSchema } from "../../core/couplings/schema";
import { both, finite, notNegative, ordered, positive } from "../fields";
import { tool } from "../tool";

const window = z.strictObject({ lo: finite, hi: finite }).superRefine(ordered("lo", "hi"));
const usual = { lo: 0, hi: 0.05 };
const share = z.number().optional();

export const couplingTool = tool({
  name: "coupling",
  purpose: "whether a coupling fits both shafts, has room to grow, lives with their errors and carries the torque",
  input: z.strictObject({
    ends: both(couplingEndSchema),
    clearanceMm: window.default(usual),
    holdClearanceMm: window.default(usual),
    errors: shaftErrorsSchema.optional(),
    allow: allowanceSchema.optional(),
    growth: z
      .strictObject({
        lengthMm: both(notNegative),
        perK: both(finite),
        fromC: finite,
        toC: both(finite),
        runGapMm: notNegative,
      })
      .optional(),
    torqueNm: positive.optional(),
    ratedNm: positive.optional(),
    serviceFactor: positive.optional(),
  }),
  output: z.strictObject({
    ends: z.array(z.strictObject({ clearanceMm: z.number(), holdClearanceMm: z.number().optional() })),
    shares: z.strictObject({ radial: share, angular: share, axial: share }).optional(),
    shareSum: z.number().optional(),
    growthMm: z.number().optional(),
    gapMm: z.number().optional(),
    torqueMargin: z.number().optional(),
    faults: z.array(z.strictObject({ end: z.number().optional(), code: z.string(), by: z.number() })),
    ok: z.boolean(),
  }),
  run: fitCoupling,
});
