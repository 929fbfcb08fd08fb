import * as z from "zod";
import { alignLimitsAt, alignShafts } from "../../core/couplings";
import { judge, worstVerdict } from "../../core/limits";
import { accept, refuse } from "../../core/quantity";
import { exactlyOne, feetBehind, finite, notNegative, positive } from "../fields";
import { tool } from "../tool";

const dial = {
  topMm: finite,
  rightMm: finite,
  bottomMm: finite,
  leftMm: finite,
  sagMm: finite.default(0),
};
const limits = z.strictObject({ offsetMm: positive, angleMmPerM: positive });
const common = {
  rim: z.strictObject(dial),
  feet: feetBehind.optional(),
  rpm: positive.optional(),
  limits: limits.optional(),
  closureLimitMm: positive.default(0.02),
  expandedUncertaintyMm: notNegative.default(0),
};
const oneLimit = exactlyOne<{ rpm?: number | undefined; limits?: object | undefined }>(["rpm", "limits"]);

const error = z.strictObject({ offsetMm: z.number(), angleMmPerM: z.number() });
const foot = z.strictObject({ shimMm: z.number(), sideMm: z.number() });

export const shaftAlignTool = tool({
  name: "shaft-align",
  purpose: "two shafts at a coupling by rim and face or by two rims: how they stand, and shims under the feet",
  input: z
    .discriminatedUnion("method", [
      z.strictObject({
        method: z.literal("rim-face"),
        face: z.strictObject({ ...dial, diameterMm: positive }),
        ...common,
      }),
      z.strictObject({
        method: z.literal("two-rim"),
        rim2: z.strictObject(dial),
        planesApartMm: positive,
        ...common,
      }),
    ])
    .superRefine(oneLimit),
  output: z.strictObject({
    vertical: error,
    horizontal: error,
    offsetMm: z.number(),
    angleMmPerM: z.number(),
    closureMm: z.tuple([z.number(), z.number()]),
    valid: z.boolean(),
    limits: error,
    verdict: z.enum(["conforms", "does-not-conform", "undecided"]),
    moves: z.strictObject({ front: foot, rear: foot }).optional(),
  }),
  run: (input) => {
    const { rim, feet, rpm, closureLimitMm, expandedUncertaintyMm } = input;
    const allowed = input.limits ?? (rpm === undefined ? null : alignLimitsAt(rpm));
    if (!allowed) return refuse("too-large", ["rpm"], { most: 6000 });
    const by = input.method === "rim-face" ? { face: input.face } : input;
    const { uncertainty, ...stand } = alignShafts({ rim, by, feet, closureLimitMm, expandedUncertaintyMm });
    const verdict = worstVerdict([
      judge(stand.offsetMm, { hi: allowed.offsetMm }, uncertainty.offsetMm).verdict,
      judge(stand.angleMmPerM, { hi: allowed.angleMmPerM }, uncertainty.angleMmPerM).verdict,
    ]);
    return accept({ ...stand, limits: allowed, verdict: stand.valid ? verdict : ("undecided" as const) });
  },
});
