import { z } from "zod";
import { assessRound } from "../../core/advice";
import {
  type Bodies,
  countingReadings,
  type KnownRound,
  type ReadingRecord,
  type RoundPhase,
} from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import { type RoundValues, typedRound } from "../../core/rounds";
import { isTighter, judgedBy, measuredQuantities, waysToMeasure } from "../../core/stages";
import type { Instrument } from "../../data/queries/instruments";
import type { Stage } from "../../data/queries/stages";
import { id, words } from "../input";
import { stageAsRead } from "../stage-as-read";
import { typedReading } from "./typed-reading";

export const mostReadings = 1000;

export const readingMethod = z.object({
  quantity: z.enum(measuredQuantities).optional(),
  instrumentId: id,
  indicatorRadiusMm: z.number().gt(0).lte(100_000).nullable(),
  indicatorAngleDeg: z.number().gt(-60).lt(60),
  /** mm of deflection, N, or counted pitches. */
  held: z.number().gt(0).lte(1e6).nullable().default(null),
  temperatureC: z.number().gt(-60).lt(300).nullable(),
  sense: z.enum(["clockwise", "counter-clockwise"]),
  /** Which gear of a switchable one. */
  gear: words(40).optional(),
});
export type ReadingMethod = z.output<typeof readingMethod>;

export const roundInput = z.object({
  kind: z.literal("round"),
  phase: z.enum(["as-found", "set", "check"]),
  method: readingMethod,
  readings: z.array(typedReading).min(1).max(mostReadings),
  /** The first entry of the round that these readings go on with. */
  continues: id.nullable().default(null),
  /** Read at the tight spot alone: the rest is carried over from the stage's last round, of an earlier job too. */
  carries: z.boolean().default(false),
});
export type RoundInput = z.output<typeof roundInput>;

/**
 * The body and readings of a round, judged by the stage's present geometry and limits.
 *
 * @param known the round as the job knows it so far, from which one read at the tight spot alone is carried over
 * @param live whether the drive was live when it was read
 * @param earlier readings of the same round that stand in the logbook already, where this one goes on with it
 */
export function buildRound(
  input: RoundInput,
  whole: Stage,
  instrument: Instrument,
  known: KnownRound | null,
  live: boolean,
  earlier: readonly ReadingRecord[],
): Result<{ body: Bodies["round"]; readings: ReadingRecord[] }> {
  const { method } = input;
  const read = stageAsRead(whole, method.gear);
  if (!read.ok) return read;
  const stage = read.value;
  const ways = waysToMeasure(stage.geometry.element);
  const quantity = method.quantity ?? ways[0];
  if (!quantity || !ways.includes(quantity)) return refuse("not-of-this-kind", ["method", "quantity"]);
  const values = typedRound(stage.geometry.element, instrument, { ...method, quantity }, input.readings);
  if (!values.ok) return values;
  const readings = readingRecords(input.readings, values.value, { ...method, quantity }, instrument, live);
  // Of two instruments in one round the coarser decides.
  const uncertainty = Math.max(
    values.value.expandedUncertainty,
    ...earlier.map((reading) => reading.expandedUncertainty),
  );
  const how = input.carries ? "carries" : input.phase;
  const result = judgeRound(stage, [...earlier, ...readings], how, uncertainty, known);
  if (!result.ok) return result;
  const gear = method.gear ? { gear: method.gear } : {};
  return accept({ body: { phase: input.phase, result: { ...result.value, ...gear } }, readings });
}

/** Readings as the logbook keeps them: what was typed, and all that turns it into a value. */
export const readingRecords = (
  typed: readonly z.output<typeof typedReading>[],
  values: RoundValues,
  method: ReadingMethod & { quantity: ReadingRecord["quantity"] },
  instrument: Instrument,
  live: boolean,
): ReadingRecord[] =>
  typed.map((reading, ordinal): ReadingRecord => {
    const value = values.readings[ordinal] as RoundValues["readings"][number];
    return {
      ordinal,
      tooth: reading.tooth,
      turn: reading.turn,
      angleDeg: value.gearAngleDeg,
      sense: method.sense,
      quantity: method.quantity,
      typed: reading.typed,
      unit: value.unit,
      value: value.value,
      struck: reading.struck,
      repeats: reading.repeats,
      indicatorRadiusMm: values.indicatorRadiusMm,
      indicatorAngleDeg: values.indicatorRadiusMm === null ? null : method.indicatorAngleDeg,
      held: method.held,
      instrumentId: instrument.id,
      resolution: instrument.resolution,
      expandedUncertainty: instrument.expandedUncertainty,
      temperatureC: method.temperatureC,
      live,
    };
  });

function judgeRound(
  stage: Stage,
  readings: readonly ReadingRecord[],
  how: RoundPhase | "carries",
  expandedUncertainty: number,
  known: KnownRound | null,
): Result<Bodies["round"]["result"]> {
  const counting = countingReadings(readings, how, known);
  if (counting.readings.length === 0) return refuse("all-struck", ["readings"]);
  const { element, arcDeg } = stage.geometry;
  const { lo, aim, hi } = stage.limits;
  const assessed = assessRound(
    { element, limits: { lo, aim: aim ?? undefined, hi }, adjuster: stage.adjuster.adjuster, arcDeg },
    counting.readings,
    expandedUncertainty,
  );
  if (!assessed.ok) return assessed;
  const { fit, advice } = assessed.value;
  const quantity = judgedBy(element);
  const values = counting.readings.map((reading) => reading.value);
  const tightest = counting.readings.reduce((a, b) => (isTighter(quantity, b.value, a.value) ? b : a));
  return accept({
    quantity,
    count: readings.filter((reading) => !reading.struck).length,
    min: Math.min(...values),
    max: Math.max(...values),
    mean: fit?.harmonics.mean ?? values.reduce((a, b) => a + b, 0) / values.length,
    worstMin: fit?.least.value ?? null,
    worstMax: fit?.greatest.value ?? null,
    tightTooth: tightest.tooth,
    expandedUncertainty,
    verdict: advice.verdict,
    fits: advice.spread <= hi - lo,
    carriedFrom: counting.carriedFrom,
  });
}
