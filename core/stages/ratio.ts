import { bevelPair } from "../bevels";
import { degrees } from "../numerics";
import { planetarySet } from "../planetary";
import { wormEfficiency } from "../worms";
import { type GearElement, isBelt, type StageElement } from "./element";
import { rockedWheel } from "./measured";

/** Steel on bronze, well lubricated (common practice). */
export const wormFriction = 0.05;

/** Ratios of a stage, one for each gear of a switchable one: input turns per output turn, negative where the sense is reversed. */
export type StageRatio = { name: string; ratio: number };

/**
 * Ratios of a stage and the sense of turning. Shafts side by side are seen from one end: an external pair reverses, an internal one, belt
 * and chain do not. Where axes cross the view goes with the shaft: a worm is seen from where it is driven and its wheel as drawn, the
 * worm above it, so that a right-hand worm turning clockwise drives it counter-clockwise; both bevels are seen from their backs, so
 * that an external pair reverses. A gap drives nothing, nor does a planetary set whose output stands.
 */
export function ratiosOf(element: StageElement): StageRatio[] {
  if (isBelt(element)) {
    const [a, b] = element.kind === "v-belt" ? element.pitchDiameterMm : element.teeth;
    return [{ name: "", ratio: b / a }];
  }
  switch (element.kind) {
    case "gear-pair":
      return gearsOf(element).map(({ name, teeth }) => ({
        name,
        ratio: ((element.pair.internal ? 1 : -1) * teeth[1]) / teeth[0],
      }));
    case "worm":
      return [
        { name: "", ratio: ((element.hand === "right" ? -1 : 1) * element.worm.wheelTeeth) / element.worm.wormStarts },
      ];
    case "bevel": {
      const { teeth } = element.bevel;
      const internal = bevelPair(element.bevel).pitchAngleDeg[1] > 90;
      return [{ name: "", ratio: ((internal ? 1 : -1) * teeth[1]) / teeth[0] }];
    }
    case "planetary": {
      const set = planetarySet(element.set);
      return set.ok && set.value.ratio !== null ? [{ name: "", ratio: set.value.ratio }] : [];
    }
    case "chain":
      return [{ name: "", ratio: element.teeth[1] / element.teeth[0] }];
    case "gap":
      return [];
  }
}

/** All gears of a switchable pair, its own first; of a plain pair that one. */
export const gearsOf = ({ pair, gears, gearName }: GearElement) => [
  { name: gearName ?? "", teeth: pair.teeth, profileShift: pair.profileShift },
  ...(gears ?? []),
];

/** Efficiency of a stage running well, by kind (common practice); a worm's by its lead angle at a friction of 0.05. */
export function efficiencyOf(element: StageElement): number {
  switch (element.kind) {
    case "worm":
      return wormEfficiency(element.worm, wormFriction);
    case "planetary":
      return 0.95;
    case "toothed-belt":
    case "bevel":
    case "chain":
      return 0.97;
    case "v-belt":
      return 0.95;
    default:
      return 0.98;
  }
}

/**
 * Lost motion at a stage's own output in arcminutes, from the judged quantity as it was read: backlash at the pitch circle of the
 * wheel. A worm's end float turns its wheel by as much of the pitch circle, and no mesh adjustment takes that away: it comes on top. Belts and
 * chains are taken as free of it.
 */
export function lostMotionArcmin(element: StageElement, value: number, endFloatMm = 0): number {
  switch (element.kind) {
    case "gear-pair":
    case "worm":
    case "bevel": {
      const wheel = rockedWheel(element);
      const axial = element.kind === "worm" ? Math.max(0, endFloatMm) : 0;
      return wheel.ok ? degrees((Math.max(0, value) + axial) / wheel.value.radiusMm) * 60 : 0;
    }
    case "planetary":
      return Math.max(0, value);
    default:
      return 0;
  }
}
