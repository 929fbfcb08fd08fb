import type { Adjuster } from "./adjusters";

export type StepKind = "set" | "push" | "slacken" | "draw-back";
export type MoveStep = { amount: number; kind: StepKind };

const slackenTurns = 0.25;
const approach = [0.6, 0.3, 0.1] as const;

/**
 * How a move is made up. An adjuster that goes both ways makes it in one. A one-way screw pushes in parts (60, 30, 10 %), a
 * reading between. To go back it is slackened a quarter turn further, the part is brought back against it (by a spring, or
 * by hand: a step of amount 0), and pushed up to the amount, so that it always ends pushing.
 *
 * @returns steps whose amounts sum to `amount`
 */
export function moveSteps(adjuster: Adjuster, amount: number): MoveStep[] {
  if (adjuster.type !== "screw" || !adjuster.oneWay || amount === 0) return [{ amount, kind: "set" }];
  if (amount > 0) {
    const parts = approach.slice(0, -1).map((share) => share * amount);
    const last = amount - parts.reduce((a, b) => a + b, 0);
    return [...parts, last].map((part) => ({ amount: part, kind: "push" }));
  }
  const room = adjuster.travel ? amount - adjuster.travel.min : slackenTurns;
  const further = room > 0 ? Math.min(slackenTurns, room) : slackenTurns;
  const byHand: MoveStep[] = adjuster.springReturn ? [] : [{ amount: 0, kind: "draw-back" }];
  return [{ amount: amount - further, kind: "slacken" }, ...byHand, { amount: further, kind: "push" }];
}

/**
 * The same steps in amounts that a hand can set: each ends at the nearest whole step of what was gone so far, so that they still sum to
 * the whole; a part that comes to nothing is left out.
 *
 * @param step the smallest amount of this adjuster; at least that of the words for it
 */
export function wholeSteps(steps: readonly MoveStep[], step: number): MoveStep[] {
  let gone = 0;
  let set = 0;
  return steps.flatMap((part) => {
    gone += part.amount;
    const to = Math.round(gone / step + 1e-9) * step;
    const amount = to - set;
    set = to;
    return part.kind === "draw-back" || Math.abs(amount) > step / 2 ? [{ ...part, amount }] : [];
  });
}
