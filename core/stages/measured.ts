import { tensionOfDeflection, tensionOfFrequency } from "../belts";
import { bevelPair } from "../bevels";
import { type GearPair, gearPair, type PairGeometry } from "../gears";
import { degrees, radians } from "../numerics";
import { accept, type Result } from "../quantity";
import { type BeltElement, isBelt, type PlanetaryElement, type StageElement } from "./element";
import { readSpan, stagePath } from "./path";
import type { MeasuredQuantity } from "./quantities";

/** How a value is taken: where the tip stands, and what was held still while the other was read. */
export type MeasuringWay = {
  quantity: MeasuredQuantity;
  /** Where the indicator's tip touches; null: at the pitch circle. */
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number;
  /** mm of deflection for a force, N for a deflection, pitches counted for an elongation; null: the usual one. */
  held: number | null;
};

/** From what was measured, in the unit of `measuredUnit`, to the quantity judged, in that of `judgedUnit`. */
export type ToJudged = {
  convert: (measured: number) => number;
  /** Slope of that at a value, for the uncertainty. */
  factor: (measured: number) => number;
  /** Standard uncertainty that the method itself adds, in the judged unit. */
  ownUncertainty: number;
  /** The radius used, where one is. */
  indicatorRadiusMm: number | null;
};

/**
 * How far real tips and roots stray from the drawing, half the range in mm: common practice. A clearance between tip and root
 * carries it into the backlash that is worked out from it.
 */
const tipStrayMm = 0.05;
/** Weighed lengths of wet, dirty or printed belts differ by 5 to 10 % (common practice): half of that as a standard uncertainty. */
const massSpread = 0.025;
/** Counted pitches of a chain where nobody says. */
export const usualPitches = 20;

const linear = (factor: number, more: Partial<ToJudged> = {}): ToJudged => ({
  convert: (value) => value * factor,
  factor: () => factor,
  ownUncertainty: 0,
  indicatorRadiusMm: null,
  ...more,
});

/**
 * The way from a measured quantity to the one judged. Backlash is circumferential at the working pitch circle of the wheel that is
 * rocked (ISO 21771: j_t = j_n/(cos α_wt·cos β_b)); an indicator's tip at radius R counts r_w/R·cos φ of its way. Tension comes
 * from a span's frequency or from a force with its deflection.
 *
 * @returns the way, or the refusal of a geometry that is none
 */
export function toJudged(element: StageElement, way: MeasuringWay): Result<ToJudged> {
  if (isBelt(element)) return beltWay(element, way);
  switch (element.kind) {
    case "chain": {
      // Up and down together; half of it is what the limits are about.
      if (way.quantity === "hand-movement") return accept(linear(0.5));
      if (way.quantity !== "elongation") return accept(linear(1));
      const counted = (way.held ?? usualPitches) * element.pitchMm;
      return accept({
        convert: (mm) => 100 * (mm / counted - 1),
        factor: () => 100 / counted,
        ownUncertainty: 0,
        indicatorRadiusMm: null,
      });
    }
    case "gap":
      return accept(linear(1));
    case "planetary":
      return accept(planetaryWay(element, way));
    default:
      return toothWay(element, way);
  }
}

type Toothed = Exclude<StageElement, BeltElement | PlanetaryElement | { kind: "chain" | "gap" }>;

function toothWay(element: Toothed, way: MeasuringWay): Result<ToJudged> {
  const wheel = rockedWheel(element);
  if (!wheel.ok) return wheel;
  const { radiusMm, normalPerCircumferential } = wheel.value;
  const tip = way.indicatorRadiusMm ?? radiusMm;
  switch (way.quantity) {
    case "normal-backlash":
      return accept(linear(1 / normalPerCircumferential));
    case "angular-backlash":
      return accept(linear(radians(1 / 60) * radiusMm));
    case "tip-clearance":
      return element.kind === "gear-pair" ? tipWay(element.pair) : accept(linear(1));
    default:
      return accept(linear((radiusMm / tip) * Math.cos(radians(way.indicatorAngleDeg)), { indicatorRadiusMm: tip }));
  }
}

/** From the clearance of the pinion's tip to the gear's root the centre distance is the present one plus what it differs from its nominal. */
function tipWay(pair: PairGeometry): Result<ToJudged> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  const { centreDistanceMm, tipClearanceMm, backlashPerCentreMm } = mesh.value;
  const sign = pair.internal ? -1 : 1;
  const slope = Math.abs(backlashPerCentreMm);
  return accept({
    convert: (mm) => {
      const there = gearPair({ ...pair, centreDistanceMm: centreDistanceMm + sign * (mm - tipClearanceMm[0]) });
      return there.ok ? there.value.backlash.circumferentialMm : Number.NaN;
    },
    factor: () => slope,
    ownUncertainty: (slope * tipStrayMm * Math.SQRT2) / Math.sqrt(3),
    indicatorRadiusMm: null,
  });
}

/** Working radius of the wheel that is rocked, and how much of its circumferential backlash lies along the flank normal. */
export function rockedWheel(element: Toothed): Result<{ radiusMm: number; normalPerCircumferential: number }> {
  switch (element.kind) {
    case "gear-pair": {
      const mesh = gearPair(element.pair);
      if (!mesh.ok) return mesh;
      return accept({
        radiusMm: mesh.value.workingPitchDiameterMm[1] / 2,
        normalPerCircumferential: normalPerCircumferential(element.pair, mesh.value),
      });
    }
    case "worm": {
      const { worm } = element;
      const lead = Math.atan((worm.wormStarts * worm.axialModuleMm) / worm.wormPitchDiameterMm);
      return accept({
        radiusMm: (worm.wheelTeeth * worm.axialModuleMm) / 2,
        normalPerCircumferential: Math.cos(radians(worm.pressureAngleDeg)) * Math.cos(lead),
      });
    }
    case "bevel": {
      const { bevel } = element;
      return accept({
        radiusMm: bevelPair(bevel).pitchDiameterMm[1] / 2,
        normalPerCircumferential: Math.cos(radians(bevel.pressureAngleDeg)) * Math.cos(radians(bevel.spiralAngleDeg)),
      });
    }
  }
}

/** j_n/j_t of a pair on parallel axes: cos α_wt·cos β_b. */
export function normalPerCircumferential(pair: PairGeometry, mesh: GearPair): number {
  const baseHelix = Math.asin(Math.sin(radians(pair.helixAngleDeg)) * Math.cos(radians(pair.pressureAngleDeg)));
  return Math.cos(radians(mesh.workingPressureAngleDeg)) * Math.cos(baseHelix);
}

/** Lost motion in arcminutes, from an indicator at a radius on the output. */
function planetaryWay(element: PlanetaryElement, way: MeasuringWay): ToJudged {
  if (way.quantity === "angular-backlash") return linear(1);
  const tip = way.indicatorRadiusMm ?? planetCircleMm(element);
  return linear(degrees(1 / tip) * 60 * Math.cos(radians(way.indicatorAngleDeg)), { indicatorRadiusMm: tip });
}

/** Radius of the circle on which the planets stand; a module of 1 where none is known. */
export const planetCircleMm = ({ set }: PlanetaryElement): number =>
  ((set.sun + set.planet[0]) * (set.moduleMm ?? 1)) / 2;

function beltWay(element: BeltElement, way: MeasuringWay): Result<ToJudged> {
  const path = stagePath(element);
  if (!path.ok) return path;
  const spanMm = readSpan(path.value);
  const { massKgPerM, bendingStiffnessNMm2 } = element;
  const none = { ownUncertainty: 0, indicatorRadiusMm: null };
  switch (way.quantity) {
    case "span-frequency": {
      const convert = (hz: number) => {
        const tension = tensionOfFrequency({ spanMm, massKgPerM, bendingStiffnessNMm2 }, hz);
        return tension.ok ? tension.value : Number.NaN;
      };
      return accept({
        convert,
        factor: (hz) => 8 * massKgPerM * (spanMm / 1000) ** 2 * hz,
        ...none,
      });
    }
    case "span-force": {
      const held = way.held ?? spanMm / 64;
      return accept({ ...linear(tensionOfDeflection(spanMm, 1, held)), ...none });
    }
    case "span-deflection": {
      const force = way.held ?? 10;
      return accept({
        convert: (mm) => (mm > 0 ? tensionOfDeflection(spanMm, force, mm) : Number.NaN),
        factor: (mm) => (mm > 0 ? (force * spanMm) / (4 * mm * mm) : 0),
        ...none,
      });
    }
    default:
      return accept(linear(1));
  }
}

/** What the method adds to the uncertainty of a tension, as a part of it: the mass a metre goes straight into a frequency's. */
export const relativeSpread = (quantity: MeasuredQuantity): number => (quantity === "span-frequency" ? massSpread : 0);
