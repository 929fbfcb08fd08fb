import { bevelPair } from "../bevels";
import { gearPair } from "../gears";
import { radians } from "../numerics";
import { wormPair } from "../worms";
import type { StageElement } from "./element";
import { wormFriction } from "./ratio";

/**
 * Axial force on one member. `perTangential`: as a part of the tangential force of the teeth on the driven wheel; `way`: along which
 * direction, in the words of the member itself.
 */
export type Thrust = {
  member: 0 | 1;
  /** Turning of the driver, seen from the end at which it is driven (bevels: from its back). */
  turning: "clockwise" | "counter-clockwise";
  perTangential: number;
  way: "away-from-drive" | "towards-drive" | "with-the-worm" | "against-the-worm" | "into-mesh" | "out-of-mesh";
};

const turnings = ["clockwise", "counter-clockwise"] as const;

/**
 * Axial thrust by direction of rotation, the first member driving. A helical driver and a worm are pushed like a screw in its nut:
 * a right-hand one turning clockwise, seen from the end at which it is driven, away from that end. Their partners are pushed the
 * other way; a worm wheel along its own axis as the worm's threads sweep past it, by tan(γ + ρ′), for there friction is as much as the lead. A bevel is pushed out of mesh by its cone, tan α·sin δ,
 * and by its spiral into or out of it, sin β·cos δ, both over cos β (general handbooks; magnitudes from the equilibrium of
 * forces at the pitch point; those of helical and bevel gears without friction).
 *
 * @returns none for spur pairs and whatever has no teeth
 */
export function thrustsOf(element: StageElement): Thrust[] {
  switch (element.kind) {
    case "gear-pair":
      return helicalThrust(element.pair.helixAngleDeg);
    case "worm": {
      const { leadAngleDeg } = wormPair(element.worm);
      const friction = Math.atan(wormFriction / Math.cos(radians(element.worm.pressureAngleDeg)));
      const along = Math.tan(radians(leadAngleDeg) + friction);
      return turnings.flatMap((turning): Thrust[] => {
        const away = (element.hand === "right") === (turning === "clockwise");
        return [
          // The worm's axial force is the wheel's tangential one.
          { member: 0, turning, perTangential: 1, way: away ? "away-from-drive" : "towards-drive" },
          { member: 1, turning, perTangential: along, way: "with-the-worm" },
        ];
      });
    }
    case "bevel": {
      const { bevel } = element;
      const { pitchAngleDeg } = bevelPair(bevel);
      return turnings.flatMap((turning) =>
        ([0, 1] as const).map((member): Thrust => {
          const force = bevelThrust(
            bevel.pressureAngleDeg,
            bevel.spiralAngleDeg,
            pitchAngleDeg[member],
            member,
            turning,
          );
          return { member, turning, perTangential: Math.abs(force), way: force < 0 ? "into-mesh" : "out-of-mesh" };
        }),
      );
    }
    default:
      return [];
  }
}

/** Positive helix: the driver is right-hand. */
function helicalThrust(helixAngleDeg: number): Thrust[] {
  if (helixAngleDeg === 0) return [];
  const perTangential = Math.tan(radians(Math.abs(helixAngleDeg)));
  return turnings.flatMap((turning) => {
    const away = helixAngleDeg > 0 === (turning === "clockwise");
    return ([0, 1] as const).map(
      (member): Thrust => ({
        member,
        turning,
        perTangential,
        way: (member === 0) === away ? "away-from-drive" : "towards-drive",
      }),
    );
  });
}

/** Away from the apex positive. A right-hand spiral that turns clockwise, seen from its back, screws itself towards the apex. */
function bevelThrust(alphaDeg: number, spiralDeg: number, deltaDeg: number, member: 0 | 1, turning: string): number {
  const [alpha, beta, delta] = [radians(alphaDeg), radians(spiralDeg), radians(deltaDeg)];
  const sense = (turning === "clockwise" ? 1 : -1) * (member === 0 ? -1 : 1);
  return (Math.tan(alpha) * Math.sin(delta) + sense * Math.sin(beta) * Math.cos(delta)) / Math.cos(beta);
}

/** Tangential force at the driven wheel's pitch circle from its torque, N; null where it has none. */
export function tangentialForceN(element: StageElement, outputTorqueNm: number): number | null {
  switch (element.kind) {
    case "gear-pair": {
      const mesh = gearPair(element.pair);
      return mesh.ok ? (2000 * outputTorqueNm) / mesh.value.workingPitchDiameterMm[1] : null;
    }
    case "worm":
      return (2000 * outputTorqueNm) / (element.worm.wheelTeeth * element.worm.axialModuleMm);
    case "bevel": {
      const { pitchDiameterMm, pitchAngleDeg } = bevelPair(element.bevel);
      const mean = pitchDiameterMm[1] - (element.faceWidthMm ?? 0) * Math.sin(radians(pitchAngleDeg[1]));
      return (2000 * outputTorqueNm) / mean;
    }
    default:
      return null;
  }
}
