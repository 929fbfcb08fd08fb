import { heardPeriod } from "../proving";
import type { LinePeriod, RecurringPart, RunsBeside, StageKind } from "../stages";
import { besideRule, type CauseRule, causeRules } from "./rules";
import type { TwoTimings } from "./two-timings";
import type { CauseCode, SymptomKind, SymptomWhen, TestCode, WhenSaid } from "./vocabulary";

export type Symptom = {
  kinds: readonly SymptomKind[];
  when: SymptomWhen;
  /** How often it comes, at the speed for which the periods were worked out; null: it was not timed, or has no rhythm. */
  heard: { perMinute: number; toleranceShare: number } | null;
  /** What a second timing at another speed told; left out: it was timed once. */
  twice?: TwoTimings["find"] | null;
};

/** What speaks for a cause, or against it. */
export type Ground =
  | { code: "comes-as-often" | "comes-nearly"; times: number; deviationPercent: number }
  | { code: "comes-otherwise"; perMinute: number }
  | { code: "has-no-rhythm" }
  | { code: "not-timed" }
  | { code: "stays-at-other-speed" }
  | { code: "goes-with-speed" }
  | { code: "shows-so"; kind: SymptomKind }
  | { code: "shows-otherwise" }
  | { code: "when"; said: WhenSaid }
  | { code: "found-before"; times: number };

export type Cause = {
  code: CauseCode;
  score: number;
  speaksFor: Ground[];
  against: Ground[];
  test: TestCode;
  /** Of a rule of the workshop's own. */
  own?: { id: string; says: string };
};

/** What was found behind a symptom of this machine before: by suspect and cause, or the words of a rule of one's own. */
export type FoundBefore = { key: string; cause: CauseCode | null; ownCause?: string | undefined };

/** A part of a stage, the stage as a whole, or what runs beside them, with what may be wrong with it, likeliest first. */
export type Suspect = {
  key: string;
  /** null: of no stage, but what runs beside it. */
  stageId: string | null;
  /** The name of what runs beside it. */
  beside?: string;
  gear: string | null;
  part: RecurringPart | null;
  perMinute: number | null;
  causes: Cause[];
  score: number;
};

const weights = {
  /** A noise that was timed is worth more than any word for it. */
  period: 5,
  nearness: 1,
  anotherTime: 0.75,
  otherPeriod: -6,
  /** A second timing at another speed: for what runs at its own rate; and against the others, which it settles. */
  ownRate: 3,
  otherRate: -12,
  noRhythm: -2,
  /** Just enough that a part whose period was not looked at stands behind what has none. */
  notTimed: -0.25,
  shows: 2,
  showsOtherwise: -3,
  when: 1,
  /** A thing that broke here once may break again; less than a timing, more than a word. */
  foundBefore: 1.5,
} as const;

/**
 * Everything of a line that may be behind a symptom, likeliest first. Each part is one suspect, whatever may be wrong with it: what sits on one
 * shaft comes equally often, and is told apart by hands. Ranked by a sum of what speaks for and against; the weights are common practice.
 *
 * @param stages of the line, in its order
 * @param periods at the speed at which the symptom was timed
 * @param before what was found on this line behind earlier symptoms
 * @param beside what runs beside the line at rates of its own
 */
export function rankSuspects(
  symptom: Symptom,
  stages: readonly { id: string; kind: StageKind }[],
  periods: readonly LinePeriod[],
  rules: readonly CauseRule[] = causeRules,
  before: readonly FoundBefore[] = [],
  beside: readonly RunsBeside[] = [],
): Suspect[] {
  const suspects = new Map<string, Suspect>();
  for (const { id, kind } of stages)
    for (const rule of rules) {
      if (rule.kinds && !rule.kinds.includes(kind)) continue;
      const of =
        rule.parts.length === 0 ? [null] : periods.filter((one) => one.stageId === id && rule.parts.includes(one.part));
      for (const period of of) {
        const key = suspectKey(id, period?.gear ?? null, period?.part ?? null);
        const suspect = suspects.get(key) ?? {
          ...{ key, stageId: id, gear: period?.gear ?? null, part: period?.part ?? null },
          ...{ perMinute: period?.perMinute ?? null, causes: [], score: 0 },
        };
        suspect.causes.push(judgeCause(rule, period, true, symptom, timesFound(before, key, rule)));
        suspects.set(key, suspect);
      }
    }
  for (const { id, name, perMinute } of beside) {
    // By its name too: an id that was given up may come to another.
    const key = suspectKey(null, `${id} ${name}`, null);
    const cause = judgeCause(besideRule, { perMinute }, false, symptom, timesFound(before, key, besideRule));
    suspects.set(key, {
      key,
      stageId: null,
      beside: name,
      gear: null,
      part: null,
      perMinute,
      causes: [cause],
      score: 0,
    });
  }
  for (const suspect of suspects.values()) {
    suspect.causes.sort((a, b) => b.score - a.score);
    suspect.score = suspect.causes[0]?.score ?? 0;
  }
  // Of equal ones the first of the line: sorting keeps their order.
  return [...suspects.values()].sort((a, b) => b.score - a.score);
}

/** By what a suspect is known again: its stage, gear and part; or of none, what runs beside them. */
export const suspectKey = (stageId: string | null, gear: string | null, part: RecurringPart | null): string =>
  [stageId ?? "beside", gear ?? "", part ?? ""].join(" ");

const timesFound = (before: readonly FoundBefore[], key: string, rule: CauseRule): number =>
  before.filter((found) => found.key === key && found.cause === rule.code && found.ownCause === rule.own?.says).length;

type Period = Pick<LinePeriod, "perMinute"> | null;

function judgeCause(rule: CauseRule, period: Period, driven: boolean, symptom: Symptom, foundTimes: number): Cause {
  const grounds = [
    ...periodGrounds(rule, period, symptom),
    ...twiceGrounds(period, driven, symptom),
    ...showsGrounds(rule, symptom),
    ...whenGrounds(rule, symptom),
    ...(foundTimes > 0
      ? [{ ground: { code: "found-before" as const, times: foundTimes }, score: weights.foundBefore }]
      : []),
  ];
  return {
    code: rule.code,
    score: grounds.reduce((sum, { score }) => sum + score, 0),
    speaksFor: grounds.flatMap(({ ground, score }) => (score > 0 ? [ground] : [])),
    against: grounds.flatMap(({ ground, score }) => (score < 0 ? [ground] : [])),
    test: rule.test,
    ...(rule.own && { own: rule.own }),
  };
}

type Weighed = { ground: Ground; score: number };

function periodGrounds({ times }: CauseRule, period: Period, { heard }: Symptom): Weighed[] {
  if (!heard) return period ? [{ ground: { code: "not-timed" }, score: weights.notTimed }] : [];
  if (!period) return [{ ground: { code: "has-no-rhythm" }, score: weights.noRhythm }];
  const matchWithin = (toleranceShare: number) =>
    heardPeriod({
      sources: [{ id: "", perMinute: period.perMinute, fixed: false }],
      heardPerMinute: heard.perMinute,
      toleranceShare,
      maxTimes: Math.max(...times),
    }).matches.find((one) => times.includes(one.times));
  const match = matchWithin(heard.toleranceShare);
  // One timing in twenty lies outside of its own interval: nobody is let off for that.
  const near = match ?? matchWithin(Math.min(0.49, nearTimes * heard.toleranceShare));
  if (!near) return [{ ground: { code: "comes-otherwise", perMinute: period.perMinute }, score: weights.otherPeriod }];
  const { deviationPercent } = near;
  const ground: Ground = { code: match ? "comes-as-often" : "comes-nearly", times: near.times, deviationPercent };
  const off = heard.toleranceShare > 0 ? Math.abs(deviationPercent) / (100 * heard.toleranceShare) : 0;
  return [{ ground, score: weights.period - weights.nearness * off - weights.anotherTime * times.indexOf(near.times) }];
}

/** A second timing at another speed: what turns with the drive goes with it, what runs beside it stays. */
function twiceGrounds(period: Period, driven: boolean, { twice }: Symptom): Weighed[] {
  if (!period || (twice !== "stays" && twice !== "goes-with-it")) return [];
  const ground = { code: twice === "stays" ? ("stays-at-other-speed" as const) : ("goes-with-speed" as const) };
  if ((twice === "stays") === driven) return [{ ground, score: weights.otherRate }];
  // That it goes with the speed tells nothing among what all does.
  return driven ? [] : [{ ground, score: weights.ownRate }];
}

/** Within so many times its tolerance a timing still speaks for a part. */
const nearTimes = 2.5;

function showsGrounds({ shows }: CauseRule, { kinds }: Symptom): Weighed[] {
  const shown = kinds.filter((kind) => shows[kind] !== undefined);
  if (kinds.length === 0) return [];
  if (shown.length === 0) return [{ ground: { code: "shows-otherwise" }, score: weights.showsOtherwise }];
  return shown.map((kind) => ({
    ground: { code: "shows-so", kind },
    score: (weights.shows * (shows[kind] ?? 0)) / kinds.length,
  }));
}

function whenGrounds(rule: CauseRule, { when }: Symptom): Weighed[] {
  return Object.values(when).flatMap((said) => {
    const speaks = said === null ? undefined : rule.when[said];
    return said !== null && speaks ? [{ ground: { code: "when" as const, said }, score: weights.when * speaks }] : [];
  });
}
