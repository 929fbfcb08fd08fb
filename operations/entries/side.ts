import * as z from "zod";
import { judge, worstVerdict } from "../../core/limits";
import type { Bodies, ReadingRecord } from "../../core/logbook";
import { accept, parseQuantity, type Result, refuse } from "../../core/quantity";
import type { Instrument, Stage } from "../../core/records";
import { measuredUnit, sideQuantities, sidesOf } from "../../core/stages";
import { id, text } from "../input";
import { sideUncertainty, sideWay } from "./side-way";

export const sideInput = z.object({
  kind: z.literal("side"),
  quantity: z.enum(sideQuantities),
  instrumentId: id,
  /** As typed: both ways, both ends, or round the turn. */
  typed: z.array(text(40)).min(1).max(24),
  /** Pitches counted, for an elongation. */
  held: z.number().gt(0).lte(1e6).nullable().default(null),
  note: text(400).trim().default(""),
});

/**
 * Something read beside what the stage is judged by: end float, runout, alignment, elongation. Each has limits of its own, or
 * none and then no verdict.
 */
export function buildSide(
  input: z.output<typeof sideInput>,
  stage: Stage,
  instrument: Instrument,
  live: boolean,
): Result<{ body: Bodies["side"]; readings: ReadingRecord[] }> {
  const { element } = stage.geometry;
  const { quantity } = input;
  if (!sidesOf(element).includes(quantity)) return refuse("not-of-this-kind", ["quantity"]);
  const unit = measuredUnit[quantity];
  const way = sideWay(element, quantity, input.held);
  const readings: ReadingRecord[] = [];
  for (const [ordinal, typed] of input.typed.entries()) {
    const parsed = parseQuantity(typed, unit.dimension, unit.bare);
    if (!parsed.ok) return refuse(parsed.refusal.code, ["typed", ordinal], parsed.refusal.facts);
    const value = way.convert(parsed.value.value * unit.factor);
    // A way there and back has no sign; a chain may read a little short.
    if (value < 0 && quantity !== "elongation") return refuse("below-nothing", ["typed", ordinal]);
    readings.push({
      ordinal,
      tooth: ordinal + 1,
      turn: 1,
      angleDeg: 0,
      sense: "clockwise",
      quantity,
      typed,
      unit: parsed.value.unit.id,
      value,
      struck: false,
      repeats: null,
      indicatorRadiusMm: null,
      indicatorAngleDeg: null,
      held: input.held,
      instrumentId: instrument.id,
      resolution: instrument.resolution,
      expandedUncertainty: instrument.expandedUncertainty,
      temperatureC: null,
      live,
    });
  }
  const values = readings.map(({ value }) => value);
  const u = sideUncertainty(element, quantity, input.held, instrument);
  const found = stage.sideLimits.find((limits) => limits.quantity === quantity) ?? null;
  // Nothing is not too little: a lower limit of 0 asks for nothing.
  const bounds = found && { lo: found.lo !== null && found.lo > 0 ? found.lo : undefined, hi: found.hi ?? undefined };
  return accept({
    body: {
      quantity,
      count: values.length,
      min: Math.min(...values),
      max: Math.max(...values),
      expandedUncertainty: u,
      limits: found && { lo: found.lo, hi: found.hi },
      verdict: bounds && worstVerdict(values.map((value) => judge(value, bounds, u).verdict)),
      note: input.note,
    },
    readings,
  });
}
