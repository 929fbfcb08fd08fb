import { type Advice, type Assessment, assessRound, type Response, type RoundedMove, roundedMove } from "~/core/advice";
import { judge } from "~/core/limits";
import { countingReadings, type EntryOf, type KnownRound, type ReadingRecord, type RoundPhase } from "~/core/logbook";
import { parseQuantity } from "~/core/quantity";
import { fittedAt, type RoundMethod, typedRound } from "~/core/rounds";
import {
  frameOf,
  isTighter,
  judgedBy,
  leastPlaces,
  type MeasuredQuantity,
  measuredUnit,
  placeAngle,
} from "~/core/stages";
import type { ReadingBudget } from "~/core/statistics";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { inGear } from "~/operations/stage-as-read";
import type { MarkState } from "~/ui/state-mark";
import { verdictState } from "../words/state";

export type ViewReading = {
  index: number;
  tooth: number;
  angleDeg: number;
  value: number;
  state: MarkState;
  struck: boolean;
  repeats: number | null;
  questioned: boolean;
  /** Still in the field. */
  open: boolean;
};

export type RoundView = {
  readings: ViewReading[];
  expandedUncertainty: number;
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
  /** What the uncertainty is made of; null where it cannot be told any more. */
  budget: ReadingBudget | null;
};

type Question = {
  stage: Stage;
  instrument: Instrument;
  method: RoundMethod & { quantity: MeasuredQuantity };
  /** "carries": the rest of the known round is carried over in any phase. */
  phase: RoundPhase | "carries";
  readings: RoundDraft["readings"];
  /** What stands in the field, and for which tooth; counts as a reading while it can be understood. */
  open: { typed: string; tooth: number } | null;
  known: KnownRound | null;
  response: Response | undefined;
  /** Readings of the same round that stand in the logbook already. */
  earlier?: readonly ReadingRecord[];
  school?: School;
};

/** Where whoever sets it likes the round to lie. */
export type School = "centre-of-band" | "tight-spot" | undefined;

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
  school,
}: Question): RoundView | null {
  const { dimension, bare } = measuredUnit[method.quantity];
  const previewed = open && parseQuantity(open.typed, dimension, bare).ok;
  const typed = previewed
    ? [...readings, { tooth: open.tooth, turn: 1, typed: open.typed, struck: false, repeats: null }]
    : readings;
  if (typed.every((reading) => reading.struck)) return null;
  const values = typedRound(stage.geometry.element, instrument, method, typed);
  if (!values.ok) return null;
  return assessValues(
    stage,
    [...typed, ...earlier],
    [...values.value.readings.map((value) => value.value), ...earlier.map((reading) => reading.value)],
    {
      // Of two instruments in one round the coarser decides.
      expandedUncertainty: Math.max(
        values.value.expandedUncertainty,
        ...earlier.map((reading) => reading.expandedUncertainty),
      ),
      phase,
      known,
      response,
      school,
      budget: values.value.budget,
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
  school?: School,
  instruments: readonly Instrument[] = [],
): RoundView | null {
  return assessValues(
    inGear(stage, round.body.result.gear),
    readings,
    readings.map((reading) => reading.value),
    {
      expandedUncertainty: round.body.result.expandedUncertainty,
      phase: round.body.result.carriedFrom ? "carries" : round.body.phase,
      known,
      response,
      school,
      budget: recordedBudget(stage, readings, instruments),
      openIndex: -1,
    },
  );
}

/** The budget of a round that stands in the logbook, with the instrument's figures of that day. */
function recordedBudget(
  stage: Stage,
  readings: readonly ReadingRecord[],
  instruments: readonly Instrument[],
): ReadingBudget | null {
  const [first] = readings;
  if (!first) return null;
  const coverage = instruments.find(({ id }) => id === first.instrumentId)?.coverage ?? 2;
  const { resolution, expandedUncertainty, quantity, indicatorRadiusMm, indicatorAngleDeg, held } = first;
  const values = typedRound(
    stage.geometry.element,
    { resolution, expandedUncertainty, coverage },
    { quantity: quantity as MeasuredQuantity, indicatorRadiusMm, indicatorAngleDeg: indicatorAngleDeg ?? 0, held },
    readings.map((reading) => ({ ...reading, typed: withItsUnit(reading) })),
  );
  return values.ok ? values.value.budget : null;
}

/** A bare number was meant in the unit that was chosen then. */
const withItsUnit = ({ typed, unit }: ReadingRecord): string =>
  /[a-zµ°′"″']\s*$/i.test(typed) ? typed : `${typed} ${unit}`;

function assessValues(
  stage: Stage,
  typed: readonly { tooth: number; turn: number; struck: boolean; repeats: number | null }[],
  values: readonly number[],
  of: {
    expandedUncertainty: number;
    phase: RoundPhase | "carries";
    known: KnownRound | null;
    response: Response | undefined;
    school: School;
    budget: ReadingBudget | null;
    openIndex: number;
  },
): RoundView | null {
  const { geometry, limits, adjuster } = stage;
  const frame = frameOf(geometry.element);
  const quantity = judgedBy(geometry.element);
  const all = typed.map((reading, index) => ({
    ...reading,
    index,
    angleDeg: placeAngle(frame, reading),
    value: values[index] ?? Number.NaN,
  }));
  const counting = countingReadings(all, of.phase, of.known);
  const assessed = assessRound(
    {
      element: geometry.element,
      limits: { lo: limits.lo, aim: limits.aim ?? undefined, hi: limits.hi },
      adjuster: adjuster.adjuster,
      response: of.response,
      arcDeg: geometry.arcDeg,
      school: of.school,
    },
    counting.readings,
    of.expandedUncertainty,
  );
  if (!assessed.ok) return null;
  const { advice, fit, questioned } = assessed.value;
  const judgedLimits = quantity === "elongation" ? { hi: limits.hi } : { lo: limits.lo, hi: limits.hi };
  const unstruck = all.filter((reading) => !reading.struck);
  const questionedIndices = new Set(counting.carriedFrom ? [] : questioned.map((i) => unstruck[i]?.index));
  const seen = [...counting.readings.map((r) => r.value), ...(fit ? [fit.least.value, fit.greatest.value] : [])];
  const now = { min: Math.min(...seen), max: Math.max(...seen) };
  const move = adjuster.adjuster ? roundedMove(advice, adjuster.adjuster, adjuster.step, now, quantity) : null;
  const ratio = frame.teeth ? frame.teeth[1] / frame.teeth[0] : 1;
  const fitted = fit ? (angle: number) => fittedAt(fit.harmonics, angle, ratio) : null;
  const shift = move ? move.min - now.min : 0;
  const tightest = counting.readings.reduce((a, b) => (isTighter(quantity, b.value, a.value) ? b : a));
  return {
    readings: all.map((reading) => ({
      ...reading,
      state: verdictState[judge(reading.value, judgedLimits, of.expandedUncertainty).verdict],
      questioned: questionedIndices.has(reading.index),
      open: reading.index === of.openIndex,
    })),
    expandedUncertainty: of.expandedUncertainty,
    assessment: assessed.value,
    advice,
    move,
    now,
    standTooth: counting.readings.length >= leastPlaces(frame) ? tightest.tooth : null,
    carried: counting.carriedFrom !== null,
    state: verdictState[advice.verdict],
    fitted,
    budget: of.budget,
    predicted: fitted && move && move.amount !== 0 ? (angle) => fitted(angle) + shift : null,
  };
}
