/**
 * ISO 286-2 tolerances and fundamental deviations up to 500 mm, in micrometres (from memory, cross-checked by the rule that
 * the upper deviation of a K, M, N or P hole of grade 7 is −ei + IT7 − IT6). Columns: nominal over … up to and including
 * 3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500 mm.
 */
const upTo = [3, 6, 10, 18, 30, 50, 80, 120, 180, 250, 315, 400, 500] as const;

const toleranceUm: Readonly<Record<number, readonly number[]>> = {
  5: [4, 5, 6, 8, 9, 11, 13, 15, 18, 20, 23, 25, 27],
  6: [6, 8, 9, 11, 13, 16, 19, 22, 25, 29, 32, 36, 40],
  7: [10, 12, 15, 18, 21, 25, 30, 35, 40, 46, 52, 57, 63],
  8: [14, 18, 22, 27, 33, 39, 46, 54, 63, 72, 81, 89, 97],
  9: [25, 30, 36, 43, 52, 62, 74, 87, 100, 115, 130, 140, 155],
  10: [40, 48, 58, 70, 84, 100, 120, 140, 160, 185, 210, 230, 250],
  11: [60, 75, 90, 110, 130, 160, 190, 220, 250, 290, 320, 360, 400],
};

/** Distance of a shaft's zone from the nominal: below it for d to h, above it for k to p. */
const deviationUm: Readonly<Record<string, readonly number[]>> = {
  d: [20, 30, 40, 50, 65, 80, 100, 120, 145, 170, 190, 210, 230],
  e: [14, 20, 25, 32, 40, 50, 60, 72, 85, 100, 110, 125, 135],
  f: [6, 10, 13, 16, 20, 25, 30, 36, 43, 50, 56, 62, 68],
  g: [2, 4, 5, 6, 7, 9, 10, 12, 14, 15, 17, 18, 20],
  h: [0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0],
  k: [0, 1, 1, 1, 2, 2, 2, 3, 3, 4, 4, 4, 5],
  m: [2, 4, 6, 7, 8, 9, 11, 13, 15, 17, 20, 21, 23],
  n: [4, 8, 10, 12, 15, 17, 20, 23, 27, 31, 34, 37, 40],
  p: [6, 12, 15, 18, 22, 26, 32, 37, 43, 50, 56, 62, 68],
};

export const holeClasses = [
  "D10",
  "E9",
  "F7",
  "F8",
  "G7",
  "H6",
  "H7",
  "H8",
  "H9",
  "H10",
  "H11",
  "JS7",
  "K7",
  "M7",
  "N7",
  "P7",
] as const;
export const shaftClasses = [
  "d9",
  "e8",
  "f6",
  "f7",
  "g5",
  "g6",
  "h5",
  "h6",
  "h7",
  "h8",
  "h9",
  "h10",
  "h11",
  "js6",
  "k6",
  "m6",
  "n6",
  "p6",
] as const;
export type HoleClass = (typeof holeClasses)[number];
export type ShaftClass = (typeof shaftClasses)[number];

export const largestNominalMm = 500;

/** Lower and upper deviation of a class, micrometres. `nominalMm` in (0, 500]. */
export function deviationsUm(
  toleranceClass: HoleClass | ShaftClass,
  nominalMm: number,
): [lower: number, upper: number] {
  const [, letter = "", digits = ""] = /^([A-Za-z]+)(\d+)$/.exec(toleranceClass) ?? [];
  const column = upTo.findIndex((limit) => nominalMm <= limit);
  const grade = toleranceUm[Number(digits)]?.[column] ?? Number.NaN;
  if (letter.toLowerCase() === "js") return [-grade / 2, grade / 2];
  const isHole = letter === letter.toUpperCase();
  const distance = deviationUm[letter.toLowerCase()]?.[column] ?? Number.NaN;
  const loose = letter.toLowerCase() <= "h";
  if (isHole && loose) return [distance, distance + grade];
  if (isHole) {
    const shrink = nominalMm <= 3 ? 0 : (toleranceUm[7]?.[column] ?? 0) - (toleranceUm[6]?.[column] ?? 0);
    const upper = -distance + shrink;
    return [upper - grade, upper];
  }
  return loose ? [-distance - grade, -distance] : [distance, distance + grade];
}
