import type { JudgedQuantity } from "../stages";
import { type Adjuster, centreChange } from "./adjusters";
import type { Advice } from "./advise";

export type RoundedMove = { amount: number; min: number; max: number; at: number | null };

/**
 * An advised move in whole steps that a hand can set, and what it then reads. A push of a one-way screw is rounded down, never
 * up: what was cut for safety stays cut. The shift goes with the change of centre distance, for sag on the scale of its square.
 *
 * @param step the smallest amount of this adjuster, e.g. 1/16 turn
 * @returns null where no move is advised
 */
export function roundedMove(
  advice: Advice,
  adjuster: Adjuster,
  step: number,
  now: { min: number; max: number },
  quantity: JudgedQuantity = "backlash",
): RoundedMove | null {
  if (!advice.move) return null;
  const steps = advice.move.amount / step;
  const pushes = adjuster.type === "screw" && adjuster.oneWay && steps > 0;
  const amount = (pushes ? Math.floor(steps + 1e-9) : Math.round(steps)) * step;
  const sag = quantity === "sag";
  const f = (x: number) => (sag ? x * x : x);
  const inverse = (y: number) => (sag ? Math.sqrt(Math.max(0, y)) : y);
  const advised = centreChange(adjuster, advice.move.amount);
  const share = advised === 0 ? 0 : centreChange(adjuster, amount) / advised;
  const whole = f(advice.predicted.min) - f(now.min);
  const after = (value: number) => inverse(f(value) + share * whole);
  const { atAngle } = advice.predicted;
  return {
    amount,
    min: after(now.min),
    max: after(now.max),
    at: atAngle === undefined ? null : inverse(f(atAngle) + (share - 1) * whole),
  };
}
