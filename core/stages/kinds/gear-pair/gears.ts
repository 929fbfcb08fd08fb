import type { StageElement } from "../../element";
import type { GearElement, GearPosition, HardStop, Slide } from "./schema";

/** All gears of a switchable pair, its own first; of a plain pair that one. */
export const gearsOf = ({ pair, gears, gearName }: GearElement) => [
  { name: gearName ?? "", teeth: pair.teeth, profileShift: pair.profileShift },
  ...(gears ?? []),
];

/** A stage as the pair of gears that it is; null where it is something else. */
export const asGearPair = (element: StageElement): GearElement | null =>
  element.kind === "gear-pair" ? element : null;

/** Where it stands with that gear in, where it has a position of its own. */
export const positionOf = (element: StageElement, gear: string | null | undefined): GearPosition | null =>
  (element.kind === "gear-pair" && gear && element.positions?.find((position) => position.gear === gear)) || null;

/** A switchable pair with one of its gears in: each is a mesh of its own, at the pair's centre distance or at its own. null where it has no gear of that name. */
export function withGearIn(element: StageElement, gear: string): StageElement | null {
  if (element.kind !== "gear-pair") return element;
  const found = gearsOf(element).find(({ name }) => name === gear);
  if (!found) return null;
  const { centreDistanceMm, stop } = positionOf(element, gear) ?? {};
  const pair = {
    ...element.pair,
    teeth: found.teeth,
    profileShift: found.profileShift,
    ...(centreDistanceMm === undefined ? {} : { centreDistanceMm }),
  };
  return { ...element, pair, stop };
}

type Bounds = { lo: number; aim: number | null; hi: number };

/** The limits of the judged backlash with that gear in: its own where it has any, else those of the stage. */
export const limitsInGear = <L extends { lo: number; hi: number }>(
  element: StageElement,
  gear: string | null | undefined,
  limits: L | null,
): L | (Bounds & { source: string }) | null => positionOf(element, gear)?.limits ?? limits;

/** The gears that come to rest against a stop, each with its own. */
export const gearsWithStops = (element: StageElement): { gear: string; stop: HardStop }[] =>
  element.kind === "gear-pair"
    ? (element.positions ?? []).flatMap(({ gear, stop }) => (stop ? [{ gear, stop }] : []))
    : [];

/** Against what it rests with the gear in that was put in (`withGearIn`). */
export const hardStopOf = (element: StageElement): HardStop | null =>
  (element.kind === "gear-pair" && element.stop) || null;

export const slideOf = (element: StageElement): Slide | null => (element.kind === "gear-pair" && element.slide) || null;

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
