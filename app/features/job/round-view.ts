import { type Advice, type Assessment, assessRound, type Response, type RoundedMove, roundedMove } from "~/core/advice";
import { judge } from "~/core/limits";
import { countingReadings, type EntryOf, type KnownRound, type ReadingRecord, type RoundPhase } from "~/core/logbook";
import { parseQuantity } from "~/core/quantity";
import { backlashAt, gearAngle, type RoundMethod, typedRound } from "~/core/rounds";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import type { RoundDraft } from "~/operations/draft-body";
import type { MarkState } from "~/ui/state-mark";
import { verdictState } from "../words/state";

export type ViewReading = {
  index: number;
  tooth: number;
  angleDeg: number;
  valueMm: number;
  state: MarkState;
  struck: boolean;
  repeats: number | null;
  questioned: boolean;
  /** Still in the field. */
  open: boolean;
};

export type RoundView = {
  readings: ViewReading[];
  expandedUncertaintyMm: number;
  assessment: Assessment;
  advice: Advice;
  /** The move in whole steps; null where none is advised. */
  move: RoundedMove | null;
  now: { min: number; max: number };
  standTooth: number | null;
  carried: boolean;
  state: MarkState;
  fitted: ((angleDeg: number) => number) | null;
  predicted: ((angleDeg: number) => number) | null;
};

type Question = {
  stage: Stage;
  instrument: Instrument;
  method: RoundMethod;
  /** "carries": the rest of the known round is carried over in any phase. */
  phase: RoundPhase | "carries";
  readings: RoundDraft["readings"];
  /** What stands in the field, and for which tooth; counts as a reading while it can be understood. */
  open: { typed: string; tooth: number } | null;
  known: KnownRound | null;
  response: Response | undefined;
  /** Readings of the same round that stand in the logbook already. */
  earlier?: readonly ReadingRecord[];
};

/** Everything the screen shows of a round, from what is typed; null while there is nothing to show. */
export function roundView({
  stage,
  instrument,
  method,
  phase,
  readings,
  open,
  known,
  response,
  earlier = [],
}: Question): RoundView | null {
  const previewed = open && parseQuantity(open.typed, "length", "mm").ok;
  const typed = previewed
    ? [...readings, { tooth: open.tooth, turn: 1, typed: open.typed, struck: false, repeats: null }]
    : readings;
  if (typed.every((reading) => reading.struck)) return null;
  const values = typedRound(stage.geometry.pair, instrument, method, typed);
  if (!values.ok) return null;
  return assessValues(
    stage,
    [...typed, ...earlier],
    [...values.value.readings.map((value) => value.backlashMm), ...earlier.map((reading) => reading.valueMm)],
    {
      // Of two instruments in one round the coarser decides.
      expandedUncertaintyMm: Math.max(
        values.value.expandedUncertaintyMm,
        ...earlier.map((reading) => reading.expandedUncertaintyMm),
      ),
      phase,
      known,
      response,
      openIndex: previewed ? typed.length - 1 : -1,
    },
  );
}

/** The same from an entry that stands in the logbook; `known` is the round as it was known before it, `readings` all of it. */
export function recordedView(
  stage: Stage,
  round: EntryOf<"round">,
  readings: readonly ReadingRecord[],
  known: KnownRound | null,
  response: Response | undefined,
): RoundView | null {
  return assessValues(
    stage,
    readings,
    readings.map((reading) => reading.valueMm),
    {
      expandedUncertaintyMm: round.body.result.expandedUncertaintyMm,
      phase: round.body.result.carriedFrom ? "carries" : round.body.phase,
      known,
      response,
      openIndex: -1,
    },
  );
}

function assessValues(
  stage: Stage,
  typed: readonly { tooth: number; turn: number; struck: boolean; repeats: number | null }[],
  valuesMm: readonly number[],
  of: {
    expandedUncertaintyMm: number;
    phase: RoundPhase | "carries";
    known: KnownRound | null;
    response: Response | undefined;
    openIndex: number;
  },
): RoundView | null {
  const { geometry, limits, adjuster } = stage;
  const teeth = geometry.pair.teeth[1];
  const all = typed.map((reading, index) => ({
    ...reading,
    index,
    angleDeg: gearAngle(reading, teeth),
    valueMm: valuesMm[index] ?? Number.NaN,
  }));
  const counting = countingReadings(all, of.phase, of.known, teeth);
  const assessed = assessRound(
    {
      pair: geometry.pair,
      limits: { lo: limits.loMm, aim: limits.aimMm ?? undefined, hi: limits.hiMm },
      adjuster: adjuster.adjuster,
      response: of.response,
      arcDeg: geometry.arcDeg,
    },
    counting.readings,
    of.expandedUncertaintyMm,
  );
  if (!assessed.ok) return null;
  const { advice, fit, harmonics, questioned } = assessed.value;
  const unstruck = all.filter((reading) => !reading.struck);
  const questionedIndices = new Set(counting.carriedFrom ? [] : questioned.map((i) => unstruck[i]?.index));
  const seen = [
    ...counting.readings.map((r) => r.backlashMm),
    ...(fit ? [fit.worstTight.backlashMm, fit.worstLoose.backlashMm] : []),
  ];
  const now = { min: Math.min(...seen), max: Math.max(...seen) };
  const move = roundedMove(advice, adjuster.adjuster, adjuster.step, now.min, now.max);
  const ratio = teeth / geometry.pair.teeth[0];
  const fitted = harmonics ? (angle: number) => backlashAt(harmonics, angle, ratio) : null;
  const shift = move ? move.minMm - now.min : 0;
  const tightest = counting.readings.reduce((a, b) => (b.backlashMm < a.backlashMm ? b : a));
  return {
    readings: all.map((reading) => ({
      ...reading,
      state:
        verdictState[judge(reading.valueMm, { lo: limits.loMm, hi: limits.hiMm }, of.expandedUncertaintyMm).verdict],
      questioned: questionedIndices.has(reading.index),
      open: reading.index === of.openIndex,
    })),
    expandedUncertaintyMm: of.expandedUncertaintyMm,
    assessment: assessed.value,
    advice,
    move,
    now,
    standTooth: counting.readings.length >= 3 ? tightest.tooth : null,
    carried: counting.carriedFrom !== null,
    state: verdictState[advice.verdict],
    fitted,
    predicted: fitted && move && move.amount !== 0 ? (angle) => fitted(angle) + shift : null,
  };
}
