import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { Sense } from "~/core/logbook";
import { type Dimension, type PlainCode, parseQuantity, type Refusal, refuse } from "~/core/quantity";
import type { Instrument, Stage } from "~/core/records";
import {
  gearNames,
  type MeasuredQuantity,
  measuredUnit,
  type StageElement,
  spanOf,
  usualPitches,
  waysToMeasure,
} from "~/core/stages";
import { lengthWords, spoken } from "../../words/spoken";

export type Method = {
  quantity: MeasuredQuantity;
  instrument: Instrument;
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number;
  held: number | null;
  temperatureC: number | null;
  sense: Sense;
  /** Which gear of a switchable one is in. */
  gear: string | undefined;
  bareUnit: string;
  /** What stands in the form and cannot be meant, at the name of its field; no round is taken while it stands. */
  problem: Refusal | null;
};

/** Beside the usual one; what has none here is typed in its usual unit alone. */
const otherUnits: Partial<Record<Dimension, readonly string[]>> = {
  length: ["hundredth", "thou", "in"],
  force: ["lbf", "kgf"],
  angle: ["deg"],
};

/** Units that a bare number can be said to be in, the usual one first. */
export const bareUnits = (quantity: MeasuredQuantity): readonly string[] => {
  const { dimension, bare } = measuredUnit[quantity];
  return [bare, ...(otherUnits[dimension] ?? []).filter((unit) => unit !== bare)];
};

/** What is held still while the other is read, and where it is usual. */
export function heldOf(
  reader: Reader,
  element: StageElement,
  quantity: MeasuredQuantity,
): {
  label: string;
  hint: string;
  usual: number;
  dimension: Dimension;
  bare: string;
  said: (value: number) => string;
} | null {
  switch (quantity) {
    case "span-force":
      return {
        label: "Pressed in by",
        hint: "mm; empty: a 64th of the span",
        usual: (spanOf(element) ?? 64) / 64,
        dimension: "length",
        bare: "mm",
        said: (mm) => `pressed in by ${lengthWords(reader, mm, 1)}`,
      };
    case "span-deflection":
      return {
        label: "Pressed with",
        hint: "N; empty: 10",
        usual: 10,
        dimension: "force",
        bare: "N",
        said: (newton) => `pressed with ${spoken(reader, "N", 1).said(newton)}`,
      };
    case "elongation":
      return {
        label: "Pitches counted",
        hint: `empty: ${usualPitches}`,
        usual: usualPitches,
        dimension: "length",
        bare: "mm",
        said: (pitches) => `${formatNumber(reader, pitches, 0)} of them`,
      };
    default:
      return null;
  }
}

/** How it is read, from the texts of the form; what cannot be understood counts as left out, and the form says so. */
export function methodOf(
  reader: Reader,
  stage: Stage,
  texts: Record<string, string>,
  instruments: readonly Instrument[],
): Method {
  const { element } = stage.geometry;
  const ways = waysToMeasure(element);
  // The first of its ways for which there is an instrument here.
  const quantity =
    ways.find((way) => way === texts["method.quantity"]) ??
    ways.find((way) => instrumentsFor(way, instruments).length > 0) ??
    ways[0] ??
    "circumferential-backlash";
  const fitting = instrumentsFor(quantity, instruments);
  const chosen = fitting.find((instrument) => instrument.id === texts["method.instrument"]);
  const usual = usualKind[quantity];
  const fallback = fitting.find((instrument) => instrument.kind === usual) ?? fitting[0] ?? instruments[0];
  if (!fallback) throw new Error("no instrument in this workshop");
  let problem: Refusal | null = null;
  const value = (name: string, dimension: Dimension, bare: string, wanted: (value: number) => PlainCode | null) => {
    const typed = (texts[name] ?? "").trim();
    if (typed === "") return null;
    const parsed = parseQuantity(typed, dimension, bare);
    const code = parsed.ok ? wanted(parsed.value.value) : null;
    if (!parsed.ok) problem ??= { ...parsed.refusal, path: [name] };
    else if (code) problem ??= refuse(code, [name]).refusal;
    return parsed.ok && !code ? parsed.value.value : null;
  };
  const over0 = (length: number) => (length > 0 ? null : "too-small");
  const byIndicator = quantity === "circumferential-backlash";
  const radius = byIndicator ? value("method.radius", "length", "mm", over0) : null;
  const angle = byIndicator
    ? value("method.angle", "angle", "deg", (deg) => (Math.abs(deg) < 60 ? null : "inclined-too-far"))
    : null;
  const needs = heldOf(reader, element, quantity);
  const held = needs && value("method.held", needs.dimension, needs.bare, over0);
  const temperatureC = value("method.temperature", "temperature", "C", (c) =>
    c > -60 && c < 300 ? null : c < 0 ? "too-small" : "too-large",
  );
  const gears = gearNames(element) ?? [];
  return {
    quantity,
    instrument: chosen ?? fallback,
    indicatorRadiusMm: radius,
    indicatorAngleDeg: angle ?? 0,
    held,
    temperatureC,
    problem,
    sense: texts["method.sense"] === "counter-clockwise" ? "counter-clockwise" : "clockwise",
    gear: gears.find((name) => name === texts["method.gear"]) ?? gears[0],
    bareUnit: bareUnit(quantity, texts["method.unit"], chosen ?? fallback),
  };
}

/** What a bare number is in: as the person said, else as the instrument shows it. */
export function bareUnit(quantity: MeasuredQuantity, said: string | undefined, instrument: Instrument): string {
  const known = bareUnits(quantity);
  return [said, instrument.unit].find((unit) => unit && known.includes(unit)) ?? known[0] ?? "mm";
}

/** What the quantity is usually read with. */
const usualKind: Partial<Record<MeasuredQuantity, string>> = {
  "circumferential-backlash": "lever indicator",
  sag: "steel rule",
  "hand-movement": "steel rule",
  elongation: "caliper",
  gap: "feeler set",
  "switch-to-buffer": "caliper",
  "span-frequency": "frequency meter",
};

/** Instruments that show the dimension in which a quantity is read. */
export const instrumentsFor = (quantity: MeasuredQuantity, instruments: readonly Instrument[]): readonly Instrument[] =>
  instruments.filter(({ dimension }) => dimension === measuredUnit[quantity].dimension);

/** The part of a method that goes with a round into the logbook. */
export const methodInput = (method: Method) => ({
  quantity: method.quantity,
  instrumentId: method.instrument.id,
  indicatorRadiusMm: method.indicatorRadiusMm,
  indicatorAngleDeg: method.indicatorAngleDeg,
  held: method.held,
  temperatureC: method.temperatureC,
  sense: method.sense,
  gear: method.gear,
});
