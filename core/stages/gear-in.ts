import type { StageElement } from "./element";
import { gearsOf } from "./ratio";

/** A switchable pair with one of its gears in: each is a mesh of its own at the same centre distance. null where it has no gear of that name. */
export function withGearIn(element: StageElement, gear: string): StageElement | null {
  if (element.kind !== "gear-pair") return element;
  const found = gearsOf(element).find(({ name }) => name === gear);
  if (!found) return null;
  return { ...element, pair: { ...element.pair, teeth: found.teeth, profileShift: found.profileShift } };
}

/** Tooth counts of a mesh as it is; null for what has no two counts that mesh. With another count a round is of another mesh. */
export function teethOf(element: StageElement): readonly [number, number] | null {
  switch (element.kind) {
    case "gear-pair":
      return element.pair.teeth;
    case "worm":
      return [element.worm.wormStarts, element.worm.wheelTeeth];
    case "bevel":
      return element.bevel.teeth;
    default:
      return null;
  }
}

/** The name of a switchable gear by its place among them; undefined for what has one gear. */
export const gearNamed = (element: StageElement, index: number): string | undefined =>
  element.kind === "gear-pair" && element.gears ? gearsOf(element)[index]?.name : undefined;
