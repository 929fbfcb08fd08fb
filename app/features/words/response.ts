import type { Reader } from "~/app/features/words/reader";
import {
  type LearntResponse,
  type MoveUnit,
  priorWidth,
  type ResponseChange,
  stiffnessGuessed,
  unitOf,
} from "~/core/advice";
import type { Stage } from "~/core/records";
import { judgedBy, judgedUnit } from "~/core/stages";
import { formatNumber } from "./figure";
import { spoken } from "./spoken";

const oneOf: Record<MoveUnit, (length: string) => string> = {
  turns: () => "turn",
  deg: () => "degree",
  mm: (length) => length,
  "mm-at-lever": (length) => `${length} at the lever`,
  "mm-of-shim": (length) => `${length} of shim`,
};

/** What a unit of an adjuster does, in the reader's units: "0.728 mm a mm", "58.1 lbf a turn", "0.97 of its law". */
export function responsePerUnit(reader: Reader, { adjuster, geometry }: Stage, perUnit: number): string {
  if (!adjuster.adjuster) return "";
  if (adjuster.adjuster.type === "eccentric") return `${formatNumber(reader, perUnit, 2)} of its law`;
  const quantity = judgedBy(geometry.element);
  const read = spoken(reader, judgedUnit[quantity].unit, 3);
  const length = spoken(reader, "mm", 3);
  const unit = unitOf(adjuster.adjuster);
  const byLength = unit === "turns" || unit === "deg" ? 1 : length.per;
  const squared = quantity === "sag";
  const value = (perUnit * byLength) / read.per ** (squared ? 2 : 1);
  return `${formatNumber(reader, value, 3)} ${read.unit}${squared ? "²" : ""} ${withArticle(oneOf[unit](length.unit))}`;
}

/** What is expected of a unit of an adjuster and how surely: by its law, or as its moves have taught. */
export function responseWords(reader: Reader, stage: Stage, learnt: LearntResponse): string {
  const { element } = stage.geometry;
  const said = responsePerUnit(reader, stage, learnt.perUnit);
  const percent = formatNumber(reader, (100 * learnt.sd) / Math.abs(learnt.perUnit), 0);
  const from =
    learnt.moves > 0
      ? `learnt from ${learnt.moves} of ${learnt.evidence.length} moves`
      : stiffnessGuessed(element)
        ? "by calculation from a guessed stiffness; nothing learnt yet"
        : `by calculation; nothing learnt yet, taken as ±${formatNumber(reader, 100 * priorWidth(element), 0)} % (common practice)`;
  return `${said} ± ${percent} % (1 sd), ${from}`;
}

/** That an adjuster does not do what it did, and what to look for. */
export function responseChangeWords(reader: Reader, stage: Stage, change: ResponseChange): string {
  const [before, now] = [change.before, change.now].map((per) => responsePerUnit(reader, stage, per));
  return change.kind === "step"
    ? `Its last ${change.moves} moves did ${now}, those before them ${before}: look for a loose screw or lock, something that gives, or a part that was changed (common practice)`
    : `What it does drifts: from ${before} to ${now} over ${change.moves} moves. Look for a worn thread, or a seat that beds in (common practice)`;
}

/** "a mm of shim", "an in of shim". */
const withArticle = (words: string): string => `${/^[aeiou]/.test(words) ? "an" : "a"} ${words}`;
