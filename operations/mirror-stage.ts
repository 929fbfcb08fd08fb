import { isBelt, type StageElement } from "../core/stages";
import type { Geometry, StageAdjuster } from "../data/queries/stages";

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

/** The adjuster of a mirror image: its screw has the other hand, its directions the other words. What parts the centres still does. */
export const mirroredAdjuster = <T extends Omit<StageAdjuster, "id" | "revision">>(adjuster: T): T => ({
  ...adjuster,
  hand: adjuster.hand === null ? null : adjuster.hand === "right" ? "left" : "right",
  positiveWord: mirroredWord(adjuster.positiveWord),
  negativeWord: mirroredWord(adjuster.negativeWord),
  seenFrom: mirroredWord(adjuster.seenFrom),
});

const otherHand = (angle: number): number => (angle === 0 ? 0 : -angle);

/** Helix, spiral and worm change hands; idlers swap strands. */
function mirroredElement(element: StageElement): StageElement {
  if (isBelt(element) || element.kind === "chain")
    return {
      ...element,
      idlers: element.idlers.map((idler) => ({
        ...idler,
        y: otherHand(idler.y),
        strand: idler.strand === "lower" ? ("upper" as const) : ("lower" as const),
      })),
    };
  switch (element.kind) {
    case "gear-pair":
      return { ...element, pair: { ...element.pair, helixAngleDeg: otherHand(element.pair.helixAngleDeg) } };
    case "worm":
      return { ...element, hand: element.hand === "right" ? "left" : "right" };
    case "bevel":
      return { ...element, bevel: { ...element.bevel, spiralAngleDeg: otherHand(element.bevel.spiralAngleDeg) } };
    default:
      return element;
  }
}

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
