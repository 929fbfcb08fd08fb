import { type Advice, assessRound, type Response, type RoundedMove, roundedMove } from "~/core/advice";
import { judge } from "~/core/limits";
import type { EntryOf, ReadingRecord } from "~/core/logbook";
import { parseQuantity } from "~/core/quantity";
import type { Instrument, Stage } from "~/core/records";
import {
  fittedAt,
  type HowCounted,
  type JudgedRound,
  type KnownRound,
  limitsThatJudge,
  type RoundMethod,
  typedRound,
} from "~/core/rounds";
import { frameOf, leastPlaces, type MeasuredQuantity, measuredUnit, placeAngle } from "~/core/stages";
import type { ReadingBudget } from "~/core/statistics";
import type { RoundDraft } from "~/operations/draft-body";
import { inGear } from "~/operations/stage-as-read";
import type { MarkState } from "~/ui/state-mark";
import { stateOfVerdict } from "../../words/state";

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
  /** What it says: the same as entry, floor and record say of it. */
  judged: JudgedRound;
  /** null where nothing can be moved. */
  advice: Advice | null;
  /** Change of the judged quantity per mm of centre distance; null where nothing can be adjusted. */
  sensitivity: number | null;
  /** The move in whole steps; null where none is advised. */
  move: RoundedMove | null;
  /** By which it is judged: least and greatest of what was read and what was fitted. */
  now: { min: number; max: number };
  /** What was read, or carried over: the figures that are shown, as tape, floor and record show them. */
  seen: { min: number; max: number };
  standTooth: number | null;
  carried: boolean;
  state: MarkState;
  /** The wave of the part that is read, which comes back to itself with every turn. */
  fitted: ((angleDeg: number) => number) | null;
  /** How far the other part's wave lifts and lowers it as it comes round; 0 where it was not told apart. */
  fittedSpread: number;
  predicted: ((angleDeg: number) => number) | null;
  /** What was held to it. */
  read: MeasuredQuantity | undefined;
  /** What the uncertainty is made of; null where it cannot be told any more. */
  budget: ReadingBudget | null;
};

type Question = {
  stage: Stage;
  instrument: Instrument;
  method: RoundMethod & { quantity: MeasuredQuantity };
  /** "carries": the rest of the known round is carried over in any phase. */
  phase: HowCounted;
  readings: RoundDraft["readings"];
  /** What stands in the field, and for which tooth; counts as a reading while it can be understood. */
  open: { typed: string; tooth: number } | null;
  known: KnownRound | null;
  response: Response | undefined;
  /** What stands in the logbook of the same round already, and what a reading of it is good to. */
  earlier?: { readings: readonly ReadingRecord[]; expandedUncertainty: number } | null;
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
  earlier = null,
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
    [...typed, ...(earlier?.readings ?? [])],
    [...values.value.readings, ...(earlier?.readings ?? [])].map(({ value }) => value),
    {
      // Of two instruments in one round the coarser decides.
      expandedUncertainty: Math.max(values.value.expandedUncertainty, earlier?.expandedUncertainty ?? 0),
      how: phase,
      known,
      response,
      school,
      budget: values.value.budget,
      openIndex: previewed ? typed.length - 1 : -1,
      read: method.quantity,
    },
  );
}

/** What will be read where a setting changes what it is judged by from `now` to `then`: the readings go along, sag by its square. */
export function seenAfter(
  { now, seen, judged }: Pick<RoundView, "now" | "seen" | "judged">,
  then: { min: number; max: number },
): { min: number; max: number } {
  const sag = judged.quantity === "sag";
  const f = (x: number) => (sag ? x * x : x);
  const along = (from: number, before: number, after: number) => {
    const y = f(from) + f(after) - f(before);
    return sag ? Math.sqrt(Math.max(0, y)) : y;
  };
  return { min: along(seen.min, now.min, then.min), max: along(seen.max, now.max, then.max) };
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
      how: round.body.result.carriedFrom ? "carries" : round.body.phase,
      known,
      response,
      school,
      budget: recordedBudget(stage, readings, instruments),
      openIndex: -1,
      read: readings[0]?.quantity,
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
    how: HowCounted;
    known: KnownRound | null;
    response: Response | undefined;
    school: School;
    budget: ReadingBudget | null;
    openIndex: number;
    read: MeasuredQuantity | undefined;
  },
): RoundView | null {
  const { geometry, limits, adjuster } = stage;
  const { element } = geometry;
  const frame = frameOf(element);
  const all = typed.map((reading, index) => ({
    ...reading,
    index,
    angleDeg: placeAngle(frame, reading),
    value: values[index] ?? Number.NaN,
  }));
  const assessed = assessRound({
    element,
    arcDeg: geometry.arcDeg,
    limits: limits && { lo: limits.lo, aim: limits.aim ?? undefined, hi: limits.hi },
    readings: all,
    expandedUncertainty: of.expandedUncertainty,
    how: of.how,
    known: of.known,
    adjuster: adjuster.adjuster,
    response: of.response,
    school: of.school,
    read: of.read,
  });
  if (!assessed.ok) return null;
  const { judged, advice, sensitivity } = assessed.value;
  const { fit } = judged;
  const bounds = limits && limitsThatJudge(judged.quantity, limits);
  const move =
    adjuster.adjuster && limits ? roundedMove(advice, adjuster.adjuster, adjuster.step, judged, limits) : null;
  const ofPart = fit && { ...fit.harmonics, pinion: null };
  const fitted = ofPart ? (angle: number) => fittedAt(ofPart, angle, 1) : null;
  const shift = move ? move.min - judged.least : 0;
  return {
    readings: all.map((reading) => ({
      ...reading,
      state: stateOfVerdict(bounds && judge(reading.value, bounds, of.expandedUncertainty).verdict),
      questioned: judged.questioned.includes(reading.index),
      open: reading.index === of.openIndex,
    })),
    expandedUncertainty: of.expandedUncertainty,
    judged,
    advice,
    sensitivity,
    move,
    now: { min: judged.least, max: judged.greatest },
    seen: { min: judged.min, max: judged.max },
    standTooth: judged.counting.length >= leastPlaces(frame) ? judged.tight.tooth : null,
    carried: judged.carriedFrom !== null,
    state: stateOfVerdict(judged.verdict),
    fitted,
    fittedSpread: fit?.harmonics.pinion?.amplitude ?? 0,
    read: of.read,
    budget: of.budget,
    predicted: fitted && move && move.amount !== 0 ? (angle) => fitted(angle) + shift : null,
  };
}
