import { type BandFit, bandFit, judge, type Limits, type ShiftScale, type Verdict, worstVerdict } from "../limits";
import { accept, type Result, refuse } from "../quantity";
import { frameOf, isTighter, type JudgedQuantity, judgedBy, onlyUpper, type StageElement, setApart } from "../stages";
import { type CountingReading, countingReadings, type HowCounted, type KnownRound } from "./counting";
import { fitRound, type RoundFit } from "./fit-round";
import { goesRound } from "./goes-round";
import { questionable } from "./outliers";

/**
 * Below this the pinion is not fitted, though the positions could tell it apart: twice as many places as unknowns leave a
 * residual; with fewer, one wild reading becomes a runout that is not there (common practice).
 */
const placesForPinion = 10;

/** What was read, in the unit of the judged quantity, and what it is judged by. */
export type RoundToJudge = {
  element: StageElement;
  /** null: nobody has said them, and it is not judged. */
  limits: { lo: number; hi: number } | null;
  /** Of a stage that turns only so far; the worst is looked for there alone. */
  arcDeg?: readonly [number, number] | null | undefined;
  readings: readonly { tooth: number; angleDeg: number; value: number; struck: boolean }[];
  /** Of one reading. */
  expandedUncertainty: number;
  how: HowCounted;
  /** The round as it was known before, from which one read at the tight spot alone is carried over. */
  known: KnownRound | null;
};

/** The ends of a round, from which it can be judged again by the limits of another day. */
export type RoundEnds = {
  quantity: JudgedQuantity;
  min: number;
  max: number;
  /** Fitted over the hunting cycle; null where the positions do not allow a fit. */
  worstMin: number | null;
  worstMax: number | null;
  expandedUncertainty: number;
};

export type JudgedEnds = {
  /** null: there are no limits to judge it by. */
  verdict: Verdict | null;
  /** Whether one setting can hold all of it. */
  holds: BandFit | null;
  /** Least and greatest of what was read and what was fitted. */
  least: number;
  greatest: number;
  /** Which limits it is surely beyond: bare of the uncertainty where it is only near. */
  beyond: { lo: boolean; hi: boolean };
};

export type JudgedRound = RoundEnds &
  JudgedEnds & {
    /** The readings that count: as taken, or the whole round carried over. */
    counting: CountingReading[];
    carriedFrom: string | null;
    /** The places go round the turn, or none comes round: of less, what was not read is not known. */
    covered: boolean;
    mean: number;
    spread: number;
    tight: CountingReading;
    /** null below three readings, or where nothing comes round in waves, or the positions do not go round or do not determine a fit. */
    fit: RoundFit | null;
    /** Indices into `readings` of those to be questioned. */
    questioned: number[];
  };

/** The limits that a quantity is judged by. */
export const limitsThatJudge = (quantity: JudgedQuantity, { lo, hi }: { lo: number; hi: number }): Limits =>
  onlyUpper(quantity) ? { hi } : { lo, hi };

export const scaleOf = (quantity: JudgedQuantity): ShiftScale => (quantity === "sag" ? "square" : "linear");

/** The verdict of a round from its ends: of what was read and of what was fitted, by the limits given, if any. */
export function judgeEnds(
  ends: RoundEnds,
  limits: { lo: number; hi: number },
): JudgedEnds & { verdict: Verdict; holds: BandFit };
export function judgeEnds(ends: RoundEnds, limits: { lo: number; hi: number } | null): JudgedEnds;
export function judgeEnds(ends: RoundEnds, limits: { lo: number; hi: number } | null): JudgedEnds {
  const { quantity, expandedUncertainty } = ends;
  const seen = [ends.min, ends.max, ends.worstMin, ends.worstMax].filter((value) => value !== null);
  const [least, greatest] = [Math.min(...seen), Math.max(...seen)];
  if (!limits) return { verdict: null, holds: null, least, greatest, beyond: { lo: false, hi: false } };
  const bounds = limitsThatJudge(quantity, limits);
  return {
    verdict: worstVerdict([least, greatest].map((value) => judge(value, bounds, expandedUncertainty).verdict)),
    holds: bandFit(
      { min: setApart(quantity) ? greatest : least, max: greatest },
      bounds,
      expandedUncertainty,
      scaleOf(quantity),
    ),
    least,
    greatest,
    beyond: { lo: bounds.lo !== undefined && least < bounds.lo, hi: bounds.hi !== undefined && greatest > bounds.hi },
  };
}

/**
 * What a round says, decided here and nowhere else: entry, screen, floor, record, trend and calc take it from here. With fewer than three
 * readings, or where no wave is to be expected, it rests on the readings alone.
 *
 * @returns the round judged, or `all-struck` at readings
 */
export function judgeRound(round: RoundToJudge): Result<JudgedRound> {
  const { element, limits, expandedUncertainty } = round;
  const frame = frameOf(element);
  const { readings, carriedFrom } = countingReadings(round.readings, round.how, frame.ends ? null : round.known);
  if (readings.length === 0) return refuse("all-struck", ["readings"]);
  const quantity = judgedBy(element);
  const places = new Set(readings.map((reading) => reading.gearAngleDeg)).size;
  const covered = !frame.wave || Boolean(round.arcDeg) || goesRound(readings.map(({ gearAngleDeg }) => gearAngleDeg));
  const fitted =
    frame.wave && covered
      ? fitRound(frame.teeth ?? [1, frame.places], readings, {
          separatePinion: frame.teeth !== null && places >= placesForPinion,
          arcDeg: round.arcDeg ?? undefined,
        })
      : null;
  const fit = fitted?.ok ? fitted.value : null;
  const values = readings.map((reading) => reading.value);
  const ends: RoundEnds = {
    quantity,
    min: values.reduce((a, b) => Math.min(a, b)),
    max: values.reduce((a, b) => Math.max(a, b)),
    worstMin: fit?.least.value ?? null,
    worstMax: fit?.greatest.value ?? null,
    expandedUncertainty,
  };
  const judged = judgeEnds(ends, limits);
  const unstruck = round.readings.flatMap((reading, i) => (reading.struck ? [] : [i]));
  const stray = frame.wave && !carriedFrom ? questionable(readings, 3 * expandedUncertainty) : [];
  return accept({
    ...ends,
    ...judged,
    counting: readings,
    carriedFrom,
    covered,
    mean: fit?.harmonics.mean ?? values.reduce((a, b) => a + b, 0) / values.length,
    spread: judged.greatest - judged.least,
    tight: readings.reduce((a, b) => (isTighter(quantity, b.value, a.value) ? b : a)),
    fit,
    questioned: stray.map((i) => unstruck[i] ?? i),
  });
}
