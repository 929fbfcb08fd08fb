import type { StageElement } from "../../element";
import type { GearElement } from "./schema";

/** All gears of a switchable pair, its own first; of a plain pair that one. */
export const gearsOf = ({ pair, gears, gearName }: GearElement) => [
  { name: gearName ?? "", teeth: pair.teeth, profileShift: pair.profileShift },
  ...(gears ?? []),
];

/** A stage as the pair of gears that it is; null where it is something else. */
export const asGearPair = (element: StageElement): GearElement | null =>
  element.kind === "gear-pair" ? element : null;

/** A switchable pair with one of its gears in: each is a mesh of its own at the same centre distance. null where it has no gear of that name. */
export function withGearIn(element: StageElement, gear: string): StageElement | null {
  if (element.kind !== "gear-pair") return element;
  const found = gearsOf(element).find(({ name }) => name === gear);
  if (!found) return null;
  return { ...element, pair: { ...element.pair, teeth: found.teeth, profileShift: found.profileShift } };
}

/** The gears of a stage that switches between them, its own first; none of any other. */
export const switchGears = (element: StageElement) =>
  element.kind === "gear-pair" && element.gears ? gearsOf(element) : [];

/** Of a switchable gear the names of all; null: it has one gear, or none. */
export function gearNames(element: StageElement): string[] | null {
  const gears = switchGears(element);
  return gears.length > 0 ? gears.map(({ name }) => name) : null;
}

/** The name of a switchable gear by its place among them; undefined for what has one gear. */
export const gearNamed = (element: StageElement, index: number): string | undefined => gearNames(element)?.[index];
