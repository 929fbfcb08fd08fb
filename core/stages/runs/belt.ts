import { tensionOfDeflection, tensionOfFrequency } from "../../belts";
import { accept, type Result, refuse } from "../../quantity";
import type { BeltElement } from "../element";
import { linear, type MeasuringWay, type ToJudged } from "../measured";
import type { MeasuredQuantity, SideQuantity } from "../quantities";
import type { Recurrence } from "../recurrence";
import { pathPull, readSpan, runDiameters, stagePath } from "./path";

const ways: readonly MeasuredQuantity[] = ["span-frequency", "span-force", "span-deflection", "tension"];
const limitWays: readonly MeasuredQuantity[] = ["tension", "span-frequency", "span-force", "span-deflection"];

/** A frequency tells nothing of a belt whose mass is not known. */
const known =
  (all: readonly MeasuredQuantity[]) =>
  ({ massKgPerM }: BeltElement): readonly MeasuredQuantity[] =>
    massKgPerM === null ? all.filter((way) => way !== "span-frequency") : all;
export const beltTensionWays = known(ways);
export const limitTensionWays = known(limitWays);
export const beltSides: readonly SideQuantity[] = ["offset", "angle", "runout", "run-clearance"];

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
      if (massKgPerM === null) return refuse("missing", ["massKgPerM"]);
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
