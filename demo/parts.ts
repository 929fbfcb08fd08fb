import { type GearParts, spurPair } from "../core/gears";
import type { GearPosition, Idler, Slide, StageElement, SwitchGear } from "../core/stages";

/** Bolts in a rectangle, from the upper left clockwise. */
export const rectangle = (width: number, height: number) => [
  { x: -width / 2, y: -height / 2 },
  { x: width / 2, y: -height / 2 },
  { x: width / 2, y: height / 2 },
  { x: -width / 2, y: height / 2 },
];

/** Bolts on a circle, from the top clockwise. */
export const circle = (count: number, radius: number) =>
  Array.from({ length: count }, (_, i) => ({
    x: radius * Math.sin((2 * Math.PI * i) / count),
    y: -radius * Math.cos((2 * Math.PI * i) / count),
  }));

type Pair = {
  teeth: [number, number];
  moduleMm: number;
  faceWidthMm: number;
  centreDistanceMm: number;
  helixAngleDeg?: number;
  internal?: boolean;
};

/** A gear pair, 20°, unshifted; with more gears it is a switchable one. */
export const gears = (
  pair: Pair,
  parts: GearParts,
  switched:
    | { gearName: string; gears: SwitchGear[]; positions?: GearPosition[]; slide?: Slide }
    | undefined = undefined,
): StageElement => ({
  kind: "gear-pair",
  pair: { ...spurPair(pair.teeth, pair.moduleMm), ...pair },
  parts,
  ...switched,
});

const run = (centreDistanceMm: number, idlers: Idler[]) => ({
  centreDistanceMm,
  idlers,
  moved: idlers.length > 0 ? 0 : ("centres" as const),
});

/** A toothed belt; where it has an idler, that is what the adjuster moves. */
export const toothedBelt = (
  belt: {
    pitchMm: number;
    teeth: [number, number];
    beltTeeth: number;
    widthMm?: number;
    massKgPerM: number;
    stiffnessN: number | null;
  },
  centreDistanceMm: number,
  idlers: Idler[] = [],
): StageElement => ({ kind: "toothed-belt", ...belt, bendingStiffnessNMm2: 0, ...run(centreDistanceMm, idlers) });

export const vBelt = (
  belt: {
    pitchDiameterMm: [number, number];
    lengthMm: number;
    belts: number;
    massKgPerM: number;
    stiffnessN: number | null;
  },
  centreDistanceMm: number,
  idlers: Idler[] = [],
): StageElement => ({ kind: "v-belt", ...belt, bendingStiffnessNMm2: 0, ...run(centreDistanceMm, idlers) });

export const chain = (
  links: { pitchMm: number; teeth: [number, number]; links: number; inclinationDeg: number },
  centreDistanceMm: number,
  idlers: Idler[] = [],
): StageElement => ({ kind: "chain", ...links, ...run(centreDistanceMm, idlers) });
