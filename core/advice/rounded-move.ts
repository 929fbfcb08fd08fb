import { type Verdict, worstVerdict } from "../limits";
import { type JudgedRound, judgeEnds } from "../rounds";
import { type Adjuster, centreChange } from "./adjusters";
import type { Advice } from "./advise";

/** A setting that a hand can have, and what it then reads. */
export type Setting = { amount: number; min: number; max: number; at: number | null; verdict: Verdict };

export type RoundedMove = Setting & {
  /** The setting on the other side of what was advised; null where that is the same. */
  other: Setting | null;
};

/** What a round would read after a change of centre distance, at the rate that the advice goes by; sag on the scale of its square. */
export function readsAfter(
  advice: Advice,
  adjuster: Adjuster,
  { quantity, least, greatest, expandedUncertainty }: JudgedRound,
  limits: { lo: number; hi: number },
): (changeMm: number) => Omit<Setting, "amount"> {
  const sag = quantity === "sag";
  const f = (x: number) => (sag ? x * x : x);
  const inverse = (y: number) => (sag ? Math.sqrt(Math.max(0, y)) : y);
  const advised = advice.move ? centreChange(adjuster, advice.move.amount) : 0;
  const whole = f(advice.predicted.min) - f(least);
  const { atAngle } = advice.predicted;
  return (changeMm) => {
    const share = advised === 0 ? 0 : changeMm / advised;
    const [min, max] = [least, greatest].map((value) => inverse(f(value) + share * whole)) as [number, number];
    const ends = { quantity, min, max, worstMin: null, worstMax: null, expandedUncertainty };
    return {
      min,
      max,
      at: atAngle === undefined ? null : inverse(f(atAngle) + (share - 1) * whole),
      verdict: judgeEnds(ends, limits).verdict,
    };
  };
}

/**
 * An advised move as a setting that a hand can have, whole steps of a thread, holes, barrels or sizes of shim: of the two next to
 * what was advised the one that is judged better, then the nearer. A push of a one-way screw is never rounded up: what was cut for safety
 * stays cut.
 *
 * @param step the smallest amount of this adjuster, e.g. 1/16 turn
 * @returns null where no move is advised
 */
export function roundedMove(
  advice: Advice | null,
  adjuster: Adjuster,
  step: number,
  judged: JudgedRound,
  limits: { lo: number; hi: number },
): RoundedMove | null {
  if (!advice?.move) return null;
  const reads = readsAfter(advice, adjuster, judged, limits);
  const settingOf = (steps: number): Setting => ({
    amount: steps * step,
    ...reads(centreChange(adjuster, steps * step)),
  });
  const steps = advice.move.amount / step;
  const [below, above] = [settingOf(Math.floor(steps + 1e-9)), settingOf(Math.ceil(steps - 1e-9))];
  if (below.amount === above.amount) return { ...below, other: null };
  const inTravel = ({ amount }: Setting) =>
    !adjuster.travel || (amount >= adjuster.travel.min - 1e-9 && amount <= adjuster.travel.max + 1e-9);
  const pushes = adjuster.type === "screw" && adjuster.oneWay && steps > 0;
  if (pushes || !inTravel(above)) return { ...below, other: inTravel(above) ? above : null };
  if (!inTravel(below)) return { ...above, other: null };
  const better = worstVerdict([below.verdict, above.verdict]);
  const nearer = steps - Math.floor(steps) < 0.5 ? below : above;
  const best = below.verdict === above.verdict ? nearer : below.verdict === better ? above : below;
  return { ...best, other: best === below ? above : below };
}
