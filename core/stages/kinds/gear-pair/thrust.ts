import { radians } from "../../../numerics";
import { type Thrust, turnings } from "../../thrust";

/** Positive helix: the driver is right-hand. A right-hand driver turning clockwise, seen from its driven end, is pushed away from that end. */
export function helicalThrust(helixAngleDeg: number): Thrust[] {
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
