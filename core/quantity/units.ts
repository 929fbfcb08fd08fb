/**
 * The units people type and read, each as a factor to the canonical unit of its dimension.
 * Canonical: mm, degrees, N, N·m, Hz, °C, hours, ampere. Factors are exact by definition (SI Brochure, 9th ed.; international
 * yard and pound agreement 1959: 1 in = 25.4 mm, 1 lb = 0.45359237 kg; standard gravity 9.80665 m/s²).
 */
export type Dimension = "length" | "angle" | "force" | "torque" | "frequency" | "temperature" | "time" | "current";

export type Unit = {
  id: string;
  dimension: Dimension;
  /** As written behind a figure. */
  symbol: string;
  /** canonical = typed · factor + offset */
  factor: number;
  offset: number;
  /** Other ways people write it, lower case, compared without spaces. */
  spellings: readonly string[];
};

/** m/s², by definition (CGPM 1901). */
export const standardGravity = 9.80665;
const poundForceN = 4.4482216152605;

const unit = (
  id: string,
  dimension: Dimension,
  symbol: string,
  factor: number,
  spellings: readonly string[],
  offset = 0,
): Unit => ({ id, dimension, symbol, factor, offset, spellings });

export const units = [
  unit("mm", "length", "mm", 1, ["mm", "millimetre", "millimetres", "millimeter", "millimeters"]),
  unit("hundredth", "length", "× 0.01 mm", 0.01, ["×0.01mm", "x0.01mm", "hundredth", "hundredths"]),
  unit("um", "length", "µm", 0.001, ["µm", "μm", "um", "micron", "microns", "micrometre", "micrometres"]),
  unit("m", "length", "m", 1000, ["m", "metre", "metres", "meter", "meters"]),
  unit("in", "length", "in", 25.4, ["in", "in.", "inch", "inches", '"', "″", "''"]),
  unit("thou", "length", "thou", 0.0254, ["thou", "thous", "mil", "mils"]),
  unit("deg", "angle", "°", 1, ["°", "º", "deg", "degree", "degrees"]),
  unit("arcmin", "angle", "′", 1 / 60, ["'", "′", "’", "arcmin", "arcminute", "arcminutes"]),
  unit("turn", "angle", "turn", 360, ["turn", "turns", "rev", "revs", "ofaturn"]),
  unit("eighth", "angle", "eighths of a turn", 45, ["eighth", "eighths", "eighthofaturn", "eighthsofaturn"]),
  unit("sixteenth", "angle", "sixteenths of a turn", 22.5, [
    "sixteenth",
    "sixteenths",
    "sixteenthofaturn",
    "sixteenthsofaturn",
  ]),
  unit("N", "force", "N", 1, ["n", "newton", "newtons"]),
  unit("lbf", "force", "lbf", poundForceN, ["lbf", "lb", "lbs", "pound", "pounds"]),
  unit("kgf", "force", "kgf", standardGravity, ["kgf", "kp", "kg"]),
  unit("Nm", "torque", "N·m", 1, ["nm", "n·m", "n*m", "n.m"]),
  unit("lbf-ft", "torque", "lbf·ft", poundForceN * 0.3048, ["lbf·ft", "lbf-ft", "lbfft", "ft-lb", "ftlb", "lb-ft"]),
  unit("lbf-in", "torque", "lbf·in", poundForceN * 0.0254, ["lbf·in", "lbf-in", "lbfin", "in-lb", "inlb", "lb-in"]),
  unit("Hz", "frequency", "Hz", 1, ["hz", "hertz"]),
  unit("C", "temperature", "°C", 1, ["c", "°c", "ºc", "celsius"]),
  unit("F", "temperature", "°F", 5 / 9, ["f", "°f", "ºf", "fahrenheit"], -160 / 9),
  unit("h", "time", "h", 1, ["h", "hr", "hrs", "hour", "hours"]),
  unit("A", "current", "A", 1, ["a", "amp", "amps", "ampere", "amperes"]),
  unit("mA", "current", "mA", 0.001, ["ma", "milliamp", "milliamps"]),
  unit("s", "time", "s", 1 / 3600, ["s", "sec", "secs", "second", "seconds"]),
  unit("min", "time", "min", 1 / 60, ["min", "mins", "minute", "minutes"]),
] as const satisfies readonly Unit[];

export type UnitId = (typeof units)[number]["id"];

export function unitById(id: string): Unit {
  const found = units.find((candidate) => candidate.id === id);
  if (!found) throw new Error(`no unit ${id}`);
  return found;
}

/** Every unit, of whatever dimension, that a spelling can stand for. */
export function unitsSpelled(text: string): readonly Unit[] {
  const spelling = text.toLowerCase().replace(/\s+/g, "");
  return units.filter((candidate) => (candidate.spellings as readonly string[]).includes(spelling));
}

export const toCanonical = (value: number, from: Unit): number => value * from.factor + from.offset;
export const fromCanonical = (value: number, to: Unit): number => (value - to.offset) / to.factor;
