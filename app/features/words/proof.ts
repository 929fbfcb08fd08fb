import type { Bodies, UnprovenRun } from "~/core/logbook";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";
import { lengthWords } from "./spoken";

/** Directions and gears that no powered run has proven: "Not proven under power: low backwards"; empty where all are. */
export const unprovenWords = (unproven: readonly UnprovenRun[]): string =>
  unproven.length === 0
    ? ""
    : `Not proven under power: ${unproven.map(({ gear, direction }) => [gear, direction].filter(Boolean).join(" ")).join(", ")}`;

/** What was seen of an axis on a run: "4.5 mm left to the buffer", "touched the buffer", "overshoots by 0.3 mm"; empty of what is none. */
export function axisRunWords(reader: Reader, { axis }: Pick<Bodies["proof"], "axis">): string {
  if (!axis) return "";
  const f = (value: number) =>
    axis.unit === "mm" ? lengthWords(reader, value, 1) : `${formatNumber(reader, value, 1)}°`;
  return [
    axis.leftToBuffer === null
      ? ""
      : axis.leftToBuffer > 0
        ? `${f(axis.leftToBuffer)} left to the buffer`
        : "touched the buffer",
    axis.overshoot === null ? "" : `overshoots by ${f(axis.overshoot)}`,
    axis.guidesLubricated ? "guides lubricated" : "",
  ]
    .filter(Boolean)
    .join(", ");
}

/** Ends whose switch was not run into: "Switch not proven at the low end and the high end"; empty where all were. */
export const unprovenEndsWords = (ends: readonly ("low" | "high")[]): string =>
  ends.length === 0 ? "" : `Switch not proven at the ${ends.join(" end and the ")} end`;
