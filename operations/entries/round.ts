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
import { measuredQuantities, type RoundValues, typedRound } from "../../core/rounds";
import type { Instrument } from "../../data/queries/instruments";
import type { Stage } from "../../data/queries/stages";
import { id } from "../input";
import { typedReading } from "./typed-reading";

export const mostReadings = 1000;

export const roundMethod = z.object({
  quantity: z.enum(measuredQuantities).default("circumferential-backlash"),
  instrumentId: id,
  indicatorRadiusMm: z.number().gt(0).lte(100_000).nullable(),
  indicatorAngleDeg: z.number().gt(-60).lt(60),
  temperatureC: z.number().gt(-60).lt(300).nullable(),
  sense: z.enum(["clockwise", "counter-clockwise"]),
});

export const roundInput = z.object({
  kind: z.literal("round"),
  phase: z.enum(["as-found", "set", "check"]),
  method: roundMethod,
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
  stage: Stage,
  instrument: Instrument,
  known: KnownRound | null,
  live: boolean,
  earlier: readonly ReadingRecord[],
): Result<{ body: Bodies["round"]; readings: ReadingRecord[] }> {
  const values = typedRound(stage.geometry.pair, instrument, input.method, input.readings);
  if (!values.ok) return values;
  const { method } = input;
  const byIndicator = method.quantity === "circumferential-backlash";
  const readings = input.readings.map((reading, ordinal): ReadingRecord => {
    const value = values.value.readings[ordinal] as RoundValues["readings"][number];
    return {
      ordinal,
      tooth: reading.tooth,
      turn: reading.turn,
      angleDeg: value.gearAngleDeg,
      sense: method.sense,
      quantity: method.quantity,
      typed: reading.typed,
      unit: value.unit,
      valueMm: value.backlashMm,
      struck: reading.struck,
      repeats: reading.repeats,
      indicatorRadiusMm: byIndicator ? values.value.indicatorRadiusMm : null,
      indicatorAngleDeg: byIndicator ? method.indicatorAngleDeg : null,
      instrumentId: instrument.id,
      resolutionMm: instrument.resolutionMm,
      expandedUncertaintyMm: instrument.expandedUncertaintyMm,
      temperatureC: method.temperatureC,
      live,
    };
  });
  // Of two instruments in one round the coarser decides.
  const uncertaintyMm = Math.max(
    values.value.expandedUncertaintyMm,
    ...earlier.map((reading) => reading.expandedUncertaintyMm),
  );
  const result = judgeRound(
    stage,
    [...earlier, ...readings],
    input.carries ? "carries" : input.phase,
    uncertaintyMm,
    known,
  );
  return result.ok ? accept({ body: { phase: input.phase, result: result.value }, readings }) : result;
}

function judgeRound(
  stage: Stage,
  readings: readonly ReadingRecord[],
  how: RoundPhase | "carries",
  expandedUncertaintyMm: number,
  known: KnownRound | null,
): Result<Bodies["round"]["result"]> {
  const counting = countingReadings(readings, how, known, stage.geometry.pair.teeth[1]);
  if (counting.readings.length === 0) return refuse("all-struck", ["readings"]);
  const { loMm, aimMm, hiMm } = stage.limits;
  const assessed = assessRound(
    {
      pair: stage.geometry.pair,
      limits: { lo: loMm, aim: aimMm ?? undefined, hi: hiMm },
      adjuster: stage.adjuster.adjuster,
      arcDeg: stage.geometry.arcDeg,
    },
    counting.readings,
    expandedUncertaintyMm,
  );
  if (!assessed.ok) return assessed;
  const { fit, advice } = assessed.value;
  const values = counting.readings.map((reading) => reading.backlashMm);
  const tightest = counting.readings.reduce((a, b) => (b.backlashMm < a.backlashMm ? b : a));
  return accept({
    count: readings.filter((reading) => !reading.struck).length,
    minMm: Math.min(...values),
    maxMm: Math.max(...values),
    meanMm: fit?.meanMm ?? values.reduce((a, b) => a + b, 0) / values.length,
    worstMinMm: fit?.worstTight.backlashMm ?? null,
    worstMaxMm: fit?.worstLoose.backlashMm ?? null,
    tightTooth: tightest.tooth,
    expandedUncertaintyMm,
    verdict: advice.verdict,
    fits: advice.spread <= hiMm - loMm,
    carriedFrom: counting.carriedFrom,
  });
}
