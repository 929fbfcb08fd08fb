import type { Dimension } from "~/core/quantity";
import type { Instrument } from "~/data/queries/instruments";

export const instrumentKinds = [
  "dial indicator",
  "lever indicator",
  "caliper",
  "micrometer",
  "feeler set",
  "pin set",
  "steel rule",
  "depth gauge",
  "protractor",
  "frequency meter",
  "force gauge",
  "clamp meter",
  "thermometer",
];

/** In which an instrument's figures are typed and shown; `factor` turns the canonical value into it. */
export const shownUnit: Record<
  Instrument["dimension"],
  { unit: string; dimension: Dimension | null; bare: string; factor: number }
> = {
  length: { unit: "mm", dimension: "length", bare: "mm", factor: 1 },
  angle: { unit: "′", dimension: "angle", bare: "arcmin", factor: 60 },
  force: { unit: "N", dimension: "force", bare: "N", factor: 1 },
  frequency: { unit: "Hz", dimension: "frequency", bare: "Hz", factor: 1 },
  current: { unit: "A", dimension: "current", bare: "A", factor: 1 },
  // A step of a temperature has no zero to count from.
  temperature: { unit: "°C", dimension: null, bare: "C", factor: 1 },
};
