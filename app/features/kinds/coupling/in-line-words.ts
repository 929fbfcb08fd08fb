import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { lengthWords } from "~/app/features/words/spoken";
import type { Alignment } from "~/core/couplings";

/** "The movable shaft stands 0.19 mm low and 0.05 mm left, rises 1.00 mm and goes right 0.17 mm in a metre." */
export function standWords(
  reader: Reader,
  { vertical, horizontal }: Pick<Alignment, "vertical" | "horizontal">,
): string {
  const of = (mm: number, [more, less]: readonly [string, string]) =>
    `${lengthWords(reader, Math.abs(mm), 2)} ${mm < 0 ? less : more}`;
  const slope = (mmPerM: number, [more, less]: readonly [string, string]) =>
    `${mmPerM < 0 ? less : more} ${formatNumber(reader, Math.abs(mmPerM), 2)} mm`;
  return `The movable shaft stands ${of(vertical.offsetMm, ["high", "low"])} and ${of(horizontal.offsetMm, ["to the right", "to the left"])}; away from the coupling it ${slope(vertical.angleMmPerM, ["rises", "falls"])} and ${slope(horizontal.angleMmPerM, ["goes right", "goes left"])} a metre.`;
}

/** "Front feet: 0.01 mm of shim in, 0.02 mm to the right. Rear feet: …" */
export function moveWords(reader: Reader, { front, rear }: NonNullable<Alignment["moves"]>): string {
  const foot = (name: string, { shimMm, sideMm }: typeof front) =>
    `${name} feet: ${lengthWords(reader, Math.abs(shimMm), 2)} of shim ${shimMm < 0 ? "out" : "in"}, ${lengthWords(reader, Math.abs(sideMm), 2)} to the ${sideMm < 0 ? "left" : "right"}.`;
  return `${foot("Front", front)} ${foot("Rear", rear)}`;
}

/** Why nothing is to be done after readings that do not close. */
export const notClosedWords = (reader: Reader, { closureMm }: Pick<Alignment, "closureMm">): string =>
  `Top and bottom together differ from right and left together by ${lengthWords(reader, Math.max(...closureMm.map(Math.abs)), 2)}: a loose bracket, a rim that is not round, or only one shaft turned. Read again; shim nothing after these.`;
