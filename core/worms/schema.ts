import * as z from "zod";
import { positive, pressureAngle, toothCount } from "../schemas";

export const wormShape = {
  wormStarts: z.number().int().gte(1).lte(100),
  wheelTeeth: toothCount,
  axialModuleMm: positive,
  wormPitchDiameterMm: positive,
  pressureAngleDeg: pressureAngle,
  centreDistanceMm: positive.optional(),
};
