import { type Adjuster, centreChange } from "./adjusters";
import type { Advice } from "./advise";

export type RoundedMove = { amount: number; minMm: number; maxMm: number; atMm: number | null };

/**
 * An advised move in whole steps that a hand can set, and what it then reads. A push of a one-way screw is rounded down, never
 * up: what was cut for safety stays cut. The shift goes with the change of centre distance (backlash: f(x) = x).
 *
 * @param step the smallest amount of this adjuster, e.g. 1/16 turn
 * @returns null where no move is advised
 */
export function roundedMove(
  advice: Advice,
  adjuster: Adjuster,
  step: number,
  nowMin: number,
  nowMax: number,
): RoundedMove | null {
  if (!advice.move) return null;
  const steps = advice.move.amount / step;
  const pushes = adjuster.type === "screw" && adjuster.oneWay && steps > 0;
  const amount = (pushes ? Math.floor(steps + 1e-9) : Math.round(steps)) * step;
  return { amount, ...afterMove(advice, adjuster, amount, nowMin, nowMax) };
}

/** What the whole round reads after another amount than the advised one, by the same response. */
function afterMove(
  advice: Advice,
  adjuster: Adjuster,
  amount: number,
  nowMin: number,
  nowMax: number,
): Omit<RoundedMove, "amount"> {
  const advised = advice.move ? centreChange(adjuster, advice.move.amount) : 0;
  const share = advised === 0 ? 0 : centreChange(adjuster, amount) / advised;
  const shift = share * (advice.predicted.min - nowMin);
  const now =
    advice.predicted.atAngle === undefined ? null : advice.predicted.atAngle - (advice.predicted.min - nowMin);
  return { minMm: nowMin + shift, maxMm: nowMax + shift, atMm: now === null ? null : now + shift };
}
