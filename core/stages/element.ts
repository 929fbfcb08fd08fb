import type { BevelGeometry } from "../bevels";
import type { GearParts, PairGeometry } from "../gears";
import type { PlanetaryGeometry } from "../planetary";
import type { WormGeometry } from "../worms";

export const stageKinds = [
  "gear-pair",
  "worm",
  "bevel",
  "planetary",
  "toothed-belt",
  "v-belt",
  "chain",
  "gap",
] as const;
export type StageKind = (typeof stageKinds)[number];

/** A further ratio of a switchable gear, at the same centre distance and module. */
export type SwitchGear = { name: string; teeth: readonly [number, number]; profileShift: readonly [number, number] };

/** A spur or helical pair. `gears`: the other ratios of a switchable gear; `gearName` is the pair's own. */
export type GearElement = {
  kind: "gear-pair";
  pair: PairGeometry;
  parts: GearParts;
  gears?: readonly SwitchGear[] | undefined;
  gearName?: string | undefined;
};

export type WormElement = { kind: "worm"; worm: WormGeometry; hand: "right" | "left" };

/** `shimmed`: the member behind which the shims lie. */
export type BevelElement = {
  kind: "bevel";
  bevel: BevelGeometry;
  faceWidthMm?: number | undefined;
  shimmed: "pinion" | "gear";
};

export type PlanetaryElement = { kind: "planetary"; set: PlanetaryGeometry };

/**
 * A roller or idler in a belt's or chain's path. The driver stands at (0, 0), the driven pulley at (centre distance, 0), y upwards; the
 * belt runs counter-clockwise: from the driver along the lower strand. `strand`: on which it lies, in running order.
 */
export type Idler = {
  x: number;
  y: number;
  /** Where the belt's pitch line runs on it. */
  diameterMm: number;
  side: "inside" | "outside";
  strand: "lower" | "upper";
};

/** `moved`: what the adjuster moves, the centres or an idler by its number from 0. */
export type Moved = "centres" | number;

type BeltParts = {
  centreDistanceMm: number;
  idlers: readonly Idler[];
  moved: Moved;
  massKgPerM: number;
  /** EA, N per unit of strain of one belt; null where nobody knows. */
  stiffnessN: number | null;
  /** EI, N·mm². */
  bendingStiffnessNMm2: number;
};

export type ToothedBeltElement = BeltParts & {
  kind: "toothed-belt";
  pitchMm: number;
  teeth: readonly [number, number];
  beltTeeth: number;
};

/** One V-belt or a set of them side by side. */
export type VBeltElement = BeltParts & {
  kind: "v-belt";
  pitchDiameterMm: readonly [number, number];
  lengthMm: number;
  belts: number;
};

export type ChainElement = {
  kind: "chain";
  pitchMm: number;
  teeth: readonly [number, number];
  links: number;
  centreDistanceMm: number;
  idlers: readonly Idler[];
  moved: Moved;
  /** Of the line of centres against the level. */
  inclinationDeg: number;
};

/** A gap that shims or spacers set. */
export type GapElement = {
  kind: "gap";
  what: "end-float" | "pinion-clearance" | "running-clearance";
  /** At how many places it is read. */
  places: number;
  /** Of the faces or rim, for the drawing. */
  diameterMm: number;
};

export type BeltElement = ToothedBeltElement | VBeltElement;
export type StageElement =
  | GearElement
  | WormElement
  | BevelElement
  | PlanetaryElement
  | BeltElement
  | ChainElement
  | GapElement;

export const isBelt = (element: StageElement): element is BeltElement =>
  element.kind === "toothed-belt" || element.kind === "v-belt";

/** Whether its span runs so steeply that no rule for sag holds: the weight then lies along the span (common practice: above 60°). */
export const isSteep = (chain: ChainElement): boolean => Math.abs(chain.inclinationDeg) > 60;
