import type { Adjuster } from "./adjusters";

/**
 * An adjuster as it stands after moves: an eccentric has turned on from the angle that was entered, and of the travel so much is used. A
 * revision of the adjuster begins anew.
 *
 * @param moved sum of the amounts moved since this revision was entered
 */
export function adjusterNow<T extends Adjuster>(adjuster: T, moved: number): T {
  if (moved === 0) return adjuster;
  const travel = adjuster.travel && { min: adjuster.travel.min - moved, max: adjuster.travel.max - moved };
  return {
    ...adjuster,
    ...(travel ? { travel } : {}),
    ...(adjuster.type === "eccentric" ? { angleDeg: adjuster.angleDeg + moved } : {}),
  };
}

/** Near a dead point an eccentric moves the centres little, and past it the other way. */
const deadPointDeg = 15;

/** How far an eccentric stands from its next dead point, degrees; null further than fifteen, and for anything else. */
export function nearDeadPoint(adjuster: Adjuster): number | null {
  if (adjuster.type !== "eccentric") return null;
  const rest = ((adjuster.angleDeg % 180) + 180) % 180;
  const off = Math.min(rest, 180 - rest);
  return off < deadPointDeg ? off : null;
}
