import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";

/** How the planets are put in by their marks, seen along the arms. */
export function clockingWords(reader: Reader, steps: number | null, planetTeeth: number): string | null {
  if (steps === null) return null;
  if (steps === 0) return "Planets all mounted alike: marks outwards.";
  const degrees = formatNumber(reader, (360 * steps) / planetTeeth, 1);
  return `Planets by their marks: each ${formatNumber(reader, steps, 3)} teeth (${degrees}°) on from the one before, seen from its arm.`;
}
