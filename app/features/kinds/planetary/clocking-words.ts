import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";

/** How the planets are put in by their marks, seen along the arms. */
export function clockingWords(reader: Reader, steps: number | null, planetTeeth: number): string | null {
  if (steps === null) return null;
  if (steps === 0) return "Planets all mounted alike: marks outwards.";
  const short = (value: number, digits: number) => formatNumber(reader, value, digits).replace(/[.,]?0+$/, "");
  return `By their marks: each planet ${short(steps, 3)} teeth (${short((360 * steps) / planetTeeth, 1)}°) on from the one before.`;
}
