import * as z from "zod";
import { both, helixAngle, positive, pressureAngle, toothCount } from "../schemas";

export const bevelShape = {
  teeth: both(toothCount),
  moduleMm: positive,
  shaftAngleDeg: z.number().gt(0).lt(180).default(90),
  pressureAngleDeg: pressureAngle,
  spiralAngleDeg: helixAngle,
};
