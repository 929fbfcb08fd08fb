import * as z from "zod";
import { type Bodies, type ReadingRecord, type RoundResult, roundPhases, senses } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import type { Instrument, Stage } from "../../core/records";
import { type JudgedRound, judgeRound, type KnownRound, type RoundValues, typedRound } from "../../core/rounds";
import { frameOf, measuredQuantities, teethOf, waysToMeasure } from "../../core/stages";
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
  sense: z.enum(senses),
  /** Which gear of a switchable one. */
  gear: words(40).optional(),
});
export type ReadingMethod = z.output<typeof readingMethod>;

export const roundInput = z.object({
  kind: z.literal("round"),
  phase: z.enum(roundPhases),
  method: readingMethod,
  readings: z.array(typedReading).min(1).max(mostReadings),
  /** Tooth counts of the pair (of a switchable one its first gear) as the first of them was read, where the client kept them: a stage may be revised before the round is done. */
  teeth: z.tuple([z.int(), z.int()]).optional(),
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
 * @param earlier what stands in the logbook of the same round, where this one goes on with it, and what a reading of it is good to
 */
export function buildRound(
  input: RoundInput,
  whole: Stage,
  instrument: Instrument,
  known: KnownRound | null,
  live: boolean,
  earlier: { readings: readonly ReadingRecord[]; expandedUncertainty: number } | null,
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
  const uncertainty = Math.max(values.value.expandedUncertainty, earlier?.expandedUncertainty ?? 0);
  const { element, arcDeg } = stage.geometry;
  const all = [...(earlier?.readings ?? []), ...readings];
  const judged = judgeRound({
    element,
    arcDeg,
    limits: stage.limits,
    readings: all,
    expandedUncertainty: uncertainty,
    how: input.carries ? "carries" : input.phase,
    known,
  });
  if (!judged.ok) return judged;
  const count = all.filter((reading) => !reading.struck).length;
  const { word, belts } = frameOf(element);
  const teeth = teethOf(element);
  const result: RoundResult = {
    ...resultOf(judged.value, count),
    ...(method.gear ? { gear: method.gear } : {}),
    ...(teeth ? { teeth } : {}),
    read: { how: quantity, part: word, belts },
  };
  return accept({ body: { phase: input.phase, result }, readings });
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

/** What an entry keeps of a judged round. */
function resultOf(judged: JudgedRound, count: number): Omit<RoundResult, "gear" | "teeth" | "read"> {
  const { quantity, min, max, mean, worstMin, worstMax, expandedUncertainty, verdict, holds, carriedFrom } = judged;
  return {
    quantity,
    count,
    min,
    max,
    mean,
    worstMin,
    worstMax,
    tightTooth: judged.tight.tooth,
    expandedUncertainty,
    verdict,
    holds,
    carriedFrom,
  };
}
