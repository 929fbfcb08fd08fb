import { bevelPair } from "../../../bevels";
import { radians } from "../../../numerics";
import { type Thrust, turnings } from "../../thrust";
import type { BevelElement } from "./schema";

/** A bevel is pushed out of mesh by its cone, tan α·sin δ, and by its spiral into or out of it, sin β·cos δ, both over cos β. */
export function bevelThrusts({ bevel }: BevelElement): Thrust[] {
  const { pitchAngleDeg } = bevelPair(bevel);
  return turnings.flatMap((turning) =>
    ([0, 1] as const).map((member): Thrust => {
      const force = bevelThrust(bevel.pressureAngleDeg, bevel.spiralAngleDeg, pitchAngleDeg[member], member, turning);
      return { member, turning, perTangential: Math.abs(force), way: force < 0 ? "into-mesh" : "out-of-mesh" };
    }),
  );
}

/** Away from the apex positive. A right-hand spiral that turns clockwise, seen from its back, screws itself towards the apex. */
function bevelThrust(alphaDeg: number, spiralDeg: number, deltaDeg: number, member: 0 | 1, turning: string): number {
  const [alpha, beta, delta] = [radians(alphaDeg), radians(spiralDeg), radians(deltaDeg)];
  const sense = (turning === "clockwise" ? 1 : -1) * (member === 0 ? -1 : 1);
  return (Math.tan(alpha) * Math.sin(delta) + sense * Math.sin(beta) * Math.cos(delta)) / Math.cos(beta);
}
