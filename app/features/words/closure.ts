import type { Closure } from "~/core/proving";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";

const closes: Record<Closure["verdict"], string> = {
  conforms: "It closes",
  undecided: "Whether it closes cannot be told",
  "does-not-conform": "It does not close",
};

/** "It closes: −1.2′ forwards, −3.6′ back, 2.3′ of play". */
export function closureWords(reader: Reader, { verdict, forward, backward, lostMotionArcmin }: Closure): string {
  const f = (arcmin: number) => `${formatNumber(reader, arcmin, 1)}′`;
  const parts = [
    `${f(forward.meanArcmin)} forwards`,
    ...(backward ? [`${f(backward.meanArcmin)} back`] : []),
    ...(lostMotionArcmin === undefined ? [] : [`${f(lostMotionArcmin)} of lost motion`]),
  ];
  return `${closes[verdict]}: ${parts.join(", ")}`;
}

/** What the forward miss is in whole motor steps, and what that points to. */
export function stepsLostWords(reader: Reader, lost: NonNullable<Closure["stepsLost"]>): string {
  const { steps, remainderArcmin, sure } = lost;
  const rest = `${formatNumber(reader, remainderArcmin, 2)}′ is left`;
  if (!sure) return `In whole steps ${Math.abs(steps)}, but the readings are not sure to half a step: repeat them.`;
  if (steps === 0) return `No whole step is lost; ${rest}.`;
  const points =
    steps % 4 === 0
      ? "whole fours: a stepper that stalled falls in again four full steps away"
      : "not whole fours: look at the count or the step value, not at the motor";
  return `${Math.abs(steps)} steps ${steps > 0 ? "lost" : "too many"}, ${rest}: ${points}.`;
}
