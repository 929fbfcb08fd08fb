import { beltDrive, tensionOfDeflection, tensionOfFrequency } from "../../belts";
import { radians } from "../../numerics";
import { accept, type RefusalOf, type Result, refuse } from "../../quantity";
import type { BeltElement } from "../element";
import { linear, type MeasuringWay, type ToJudged } from "../measured";
import type { MeasuredQuantity, SideQuantity } from "../quantities";
import type { Recurrence } from "../recurrence";
import { type AskedFor, angleLimit, type Recommended, recommendEndFloat, recommendRunout, rounded } from "../rule";
import type { Unwise } from "../unwise";
import { pathPull, readSpan, runDiameters, type StagePath, stagePath } from "./path";
import { leastWrapDeg, smallWrapDeg } from "./span";

export const beltTensionWays: readonly MeasuredQuantity[] = [
  "span-frequency",
  "span-force",
  "span-deflection",
  "tension",
];
export const limitTensionWays: readonly MeasuredQuantity[] = [
  "tension",
  "span-frequency",
  "span-force",
  "span-deflection",
];
export const beltSides: readonly SideQuantity[] = ["offset", "angle", "runout"];

/** Strain at the aim where the stiffness is not known (common practice). */
const guessedStrain = 0.002;

/**
 * N per unit of strain. A belt's stiffness is seldom known; where it is not, it is taken as if the aim stretched the belt by a fifth of a per
 * cent, which the first moves then put right.
 */
export const beltStiffness = ({ stiffnessN }: Pick<BeltElement, "stiffnessN">, aimN: number): number =>
  stiffnessN ?? aimN / guessedStrain;

export const beltLaw = ({ stiffnessN }: BeltElement) =>
  stiffnessN === null ? ("guessed-stiffness" as const) : ("stiffness" as const);

export function beltSensitivity(element: BeltElement, aim: number): number | null {
  const path = stagePath(element);
  if (!path.ok) return null;
  return (beltStiffness(element, aim) * pathPull(path.value, element.moved)) / path.value.laid.lengthMm;
}

/** Tension, from a span's frequency or from a force with its deflection. */
export function beltWay(element: BeltElement, way: MeasuringWay): Result<ToJudged> {
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

/** Turns of the belt for one of the driver, and of the driven pulley. */
export function beltRecurrences(element: BeltElement, own: readonly Recurrence[]): Recurrence[] {
  const path = stagePath(element);
  const [d1, d2] = runDiameters(element);
  return [
    { part: "driver-turn", timesPerTurn: 1 },
    { part: "driven-turn", timesPerTurn: d1 / d2 },
    ...own,
    { part: "belt-round", timesPerTurn: path.ok ? (Math.PI * d1) / path.value.laid.lengthMm : 0 },
  ];
}

/**
 * Whether a belt reaches round its path, and what is unwise about it.
 *
 * @param lengthMm of the belt
 * @param at the field that holds its length
 * @param little what is said of the wrap on the smaller pulley, degrees
 */
export function checkBelt(
  element: BeltElement,
  lengthMm: number,
  at: "beltTeeth" | "lengthMm",
  little: (wrapDeg: number) => Unwise[],
): Result<Unwise[]> {
  const path = stagePath(element);
  if (!path.ok) return path;
  const { laid } = path.value;
  // A belt stretches by less than a hundredth; one that is shorter still does not go on.
  if (lengthMm < laid.lengthMm * 0.99) return refuse("belt-too-short", [at], shortestBelt(element, laid.lengthMm));
  const slack: Unwise[] =
    lengthMm > laid.lengthMm * 1.02 ? [{ code: "belt-slack", byMm: lengthMm - laid.lengthMm }] : [];
  return accept([...slack, ...little(wrapOf(element, path.value))]);
}

export const wrapOf = (element: BeltElement, path: StagePath): number =>
  smallWrapDeg(path.laid.wraps, runDiameters(element), path.driven);

export const littleWrap = (wrapDeg: number): Unwise[] =>
  wrapDeg < leastWrapDeg ? [{ code: "little-wrap", wrapDeg, leastDeg: leastWrapDeg }] : [];

/** The shortest belt that reaches, and, over two pulleys, the centre distance at which the one given would. */
function shortestBelt(element: BeltElement, needMm: number): RefusalOf<"belt-too-short">["facts"] {
  const toothed = element.kind === "toothed-belt";
  const least = toothed ? Math.ceil(needMm / element.pitchMm - 1e-9) : needMm;
  if (element.idlers.length > 0) return { least };
  const drive = toothed
    ? beltDrive({ by: "teeth", pitchMm: element.pitchMm, teeth: element.teeth }, { beltTeeth: element.beltTeeth })
    : beltDrive({ by: "diameter", pitchDiameterMm: element.pitchDiameterMm }, { lengthMm: element.lengthMm });
  return drive.ok && drive.value.centreDistanceMm ? { least, centreMm: drive.value.centreDistanceMm } : { least };
}

/**
 * Limits of what is read beside a belt's tension.
 *
 * @param angle how far its pulleys may stand askew
 */
export function recommendBesideBelt(
  { centreDistanceMm: centre }: BeltElement,
  quantity: SideQuantity,
  asked: AskedFor,
  angle: { deg: number; rule: "angle-toothed" | "angle-v" },
): Recommended | null {
  switch (quantity) {
    case "end-float":
      return recommendEndFloat(asked);
    case "runout":
      return recommendRunout;
    case "angle":
      return angleLimit(angle.deg, angle.rule);
    case "offset": {
      const hi = rounded(centre * Math.tan(radians(angle.deg)), 0.1);
      return { lo: 0, hi, rule: "offset-belt", facts: { angle: angle.deg, centre } };
    }
    case "elongation":
    case "hub-gap":
      return null;
  }
}
