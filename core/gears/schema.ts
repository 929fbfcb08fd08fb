import * as z from "zod";
import { moduleOfDiametralPitch } from "../reference";
import { both, exactlyOne, finite, helixAngle, notNegative, positive, pressureAngle, toothCount } from "../schemas";
import type { PairGeometry } from "./pair";

export const pitchShape = { moduleMm: positive.optional(), diametralPitch: positive.optional() };
export const rackShape = { pressureAngleDeg: pressureAngle, helixAngleDeg: helixAngle };

export const pairShape = {
  teeth: both(toothCount),
  ...pitchShape,
  ...rackShape,
  profileShift: both(finite).default([0, 0]),
  thinningMm: both(notNegative).default([0, 0]),
  faceWidthMm: positive.optional(),
  tipDiameterMm: both(positive).optional(),
  internal: z.boolean().default(false),
  centreDistanceMm: positive.optional(),
};

export const onePitch = exactlyOne<{ moduleMm?: number | undefined; diametralPitch?: number | undefined }>([
  "moduleMm",
  "diametralPitch",
]);

/** A pair as people give it, by module or by diametral pitch. */
export const pairSchema = z.strictObject(pairShape).superRefine(onePitch);
type PairInput = z.output<typeof pairSchema>;

export const moduleOf = (input: { moduleMm?: number | undefined; diametralPitch?: number | undefined }): number =>
  input.moduleMm ?? moduleOfDiametralPitch(input.diametralPitch ?? Number.NaN);

export const pairGeometry = (input: PairInput): PairGeometry => ({ ...input, moduleMm: moduleOf(input) });
