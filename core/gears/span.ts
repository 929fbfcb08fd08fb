import { radians } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { inverseInvolute, involute } from "./involute";
import { type GearBlank, toothCircles } from "./tooth-circles";

export type SpanMeasure = { spanTeeth: number; spanMm: number; overPins: { pinDiameterMm: number; mm: number } };

/**
 * Span over teeth and measure over two pins of one external gear (ISO 21771, clause 5; AGMA 2002).
 *
 * @param gear external
 * @param spanTeeth teeth spanned; by default those whose contact lies nearest to d + 2·x·m
 * @param pinDiameterMm by default 1.728 normal modules (Machinery's Handbook, external gears)
 * @returns normal span, and the measure over pins (over two balls on an odd count), mm; or a refusal
 *   `pin-drops-through` at pinDiameterMm
 */
export function gearSpan(gear: GearBlank, spanTeeth?: number, pinDiameterMm?: number): Result<SpanMeasure> {
  const circles = toothCircles(gear);
  const alphaN = radians(gear.pressureAngleDeg);
  const helix = radians(gear.helixAngleDeg);
  const invT = involute(circles.transverseAngle);
  const shiftTerm = 2 * gear.profileShift * Math.tan(alphaN);
  const teeth = spanTeeth ?? teethToSpan(gear);
  const span =
    gear.moduleMm * Math.cos(alphaN) * (Math.PI * (teeth - 0.5) + gear.teeth * invT + shiftTerm) -
    gear.thinningMm * Math.cos(alphaN);

  const pin = pinDiameterMm ?? 1.728 * gear.moduleMm;
  const spaceMm = (Math.PI * gear.moduleMm) / Math.cos(helix) - circles.thicknessMm;
  const pinCentre =
    invT + pin / (circles.baseDiameterMm * Math.cos(circles.baseHelix)) - spaceMm / circles.referenceDiameterMm;
  if (pinCentre <= 0) return refuse("pin-drops-through", ["pinDiameterMm"], { pinMm: pin });
  const centreDiameter = circles.baseDiameterMm / Math.cos(inverseInvolute(pinCentre));
  const chord = gear.teeth % 2 === 0 ? 1 : Math.cos(Math.PI / 2 / gear.teeth);
  return accept({
    spanTeeth: teeth,
    spanMm: span,
    overPins: { pinDiameterMm: pin, mm: centreDiameter * chord + pin },
  });
}

/** The number of teeth whose span touches nearest to d + 2·x·m; a tie (within 1e-9) goes to the smaller; at least 2. */
function teethToSpan(gear: GearBlank): number {
  const circles = toothCircles(gear);
  const alphaN = radians(gear.pressureAngleDeg);
  const radius = circles.referenceDiameterMm / 2 + gear.profileShift * gear.moduleMm;
  const base = circles.baseDiameterMm / 2;
  const chord = (2 * Math.sqrt(Math.max(0, radius ** 2 - base ** 2))) / Math.cos(circles.baseHelix);
  const pitches =
    chord / (gear.moduleMm * Math.cos(alphaN)) -
    gear.teeth * involute(circles.transverseAngle) -
    2 * gear.profileShift * Math.tan(alphaN);
  return Math.max(2, Math.ceil(pitches / Math.PI - 1e-9));
}
