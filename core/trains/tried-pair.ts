import type { GridQuestion } from "./hole-grid";

export type TriedFelt = "binds" | "right" | "loose";

/** A pair that was put on two holes and turned. */
export type TriedPair = { teeth: readonly [number, number]; holes: readonly [number, number]; felt: TriedFelt };

/** Centre distance less the sum of the radii of a pair on two holes, mm. */
export const openingOf = (
  { teeth: [z1, z2], holes: [a, b] }: Pick<TriedPair, "teeth" | "holes">,
  { pitchMm, moduleMm }: Pick<GridQuestion, "pitchMm" | "moduleMm">,
): number => pitchMm * Math.hypot(a, b) - (moduleMm * (z1 + z2)) / 2;

/** Nearer than this to an opening that was tried nothing new is said (common practice: what a hand tells apart). */
const toldMm = 0.001;

/**
 * The openings that run, after one pair was tried: printed and moulded teeth are thinner or fatter than a table knows, and one pair that binds
 * says that all nearer ones do. A band that is left empty says that the try contradicts it.
 *
 * @example −0.2 to 0.8, and a pair at 0 that binds // 0.001 to 0.8
 * @source common practice; the opening is judged, since for gears of one make the same opening is about the same backlash
 */
export function bandAfter(band: GridQuestion["band"], openingMm: number, felt: TriedFelt): GridQuestion["band"] {
  if (felt === "binds") return { ...band, loMm: Math.max(band.loMm, openingMm + toldMm) };
  if (felt === "loose") return { ...band, hiMm: Math.min(band.hiMm, openingMm - toldMm) };
  return { loMm: Math.min(band.loMm, openingMm), hiMm: Math.max(band.hiMm, openingMm) };
}
