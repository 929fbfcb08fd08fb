import { deviationsUm, type HoleClass, type ShaftClass } from "../reference";

export type Window = readonly [lo: number, hi: number];
export type Fit = {
  clearanceMm: [min: number, max: number];
  kind: "clearance" | "transition" | "interference";
  holeMm: [number, number];
  shaftMm: [number, number];
};

/** The window of a tolerance class about its nominal, mm (ISO 286-2). */
export function classWindow(toleranceClass: HoleClass | ShaftClass, nominalMm: number): [number, number] {
  const [lower, upper] = deviationsUm(toleranceClass, nominalMm);
  return [nominalMm + lower / 1000, nominalMm + upper / 1000];
}

/**
 * What a hole and a shaft make together (ISO 286-1): clearance where the smallest is not below 0, interference where the
 * largest is not above 0, transition between. Decided to a nanometre, so that binary fractions do not decide.
 *
 * @example fitOf(classWindow("H7", 20), classWindow("h6", 20)) // clearance 0 … 0.034
 */
export function fitOf(hole: Window, shaft: Window): Fit {
  const clean = (mm: number) => Number(mm.toFixed(9)) + 0;
  const min = clean(hole[0] - shaft[1]);
  const max = clean(hole[1] - shaft[0]);
  return {
    clearanceMm: [min, max],
    kind: min >= 0 ? "clearance" : max <= 0 ? "interference" : "transition",
    holeMm: [clean(hole[0]), clean(hole[1])],
    shaftMm: [clean(shaft[0]), clean(shaft[1])],
  };
}
