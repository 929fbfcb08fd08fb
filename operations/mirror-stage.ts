import type { Geometry, StageAdjuster } from "../core/records";
import { mirroredElement } from "../core/stages";

const handed: [string, string][] = [
  ["counter-clockwise", "clockwise"],
  ["anticlockwise", "clockwise"],
  ["left", "right"],
  ["leftwards", "rightwards"],
];

/** A word for a direction as it is called on the other hand; words that have none stay. */
export function mirroredWord(word: string): string {
  for (const [a, b] of handed) {
    if (new RegExp(`\\b${a}\\b`, "i").test(word)) return word.replace(new RegExp(`\\b${a}\\b`, "gi"), b);
    if (new RegExp(`\\b${b}\\b`, "i").test(word)) return word.replace(new RegExp(`\\b${b}\\b`, "gi"), a);
  }
  return word;
}

/** The adjuster of a mirror image: its screw has the other hand, its directions the other words. What opens the centres still does. */
export const mirroredAdjuster = <T extends Omit<StageAdjuster, "id" | "revision">>(adjuster: T): T => ({
  ...adjuster,
  hand: adjuster.hand === null ? null : adjuster.hand === "right" ? "left" : "right",
  positiveWord: mirroredWord(adjuster.positiveWord),
  negativeWord: mirroredWord(adjuster.negativeWord),
  seenFrom: mirroredWord(adjuster.seenFrom),
});

/** The geometry of a mirror image: clamps swap sides, a helix its hand, a working arc runs the other way from the witness mark. */
export const mirroredGeometry = <T extends Omit<Geometry, "id" | "revision">>(geometry: T): T => ({
  ...geometry,
  element: mirroredElement(geometry.element),
  clamps: {
    ...geometry.clamps,
    points: geometry.clamps.points.map(({ x, y }) => ({ x: x === 0 ? 0 : -x, y })),
  },
  arcDeg: geometry.arcDeg && [-geometry.arcDeg[1], -geometry.arcDeg[0]],
});
