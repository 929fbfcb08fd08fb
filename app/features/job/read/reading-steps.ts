import { parseQuantity, type Refusal } from "~/core/quantity";
import type { QuantityUnit } from "~/core/stages";
import type { RoundDraft } from "~/operations/draft-body";
import { withUnit } from "../../words/spoken";

/** What a hand does while it reads round a part. */
export type ReadingStep =
  | { do: "type"; text: string }
  | { do: "key"; key: string }
  | { do: "rub-out" }
  | { do: "enter" }
  | { do: "go"; to: number }
  | { do: "step-back" }
  | { do: "strike"; index: number }
  | { do: "strike-last-here" }
  | { do: "leave-asking" }
  /** Asked whether it repeats the reading that is there: it does, or that one is struck out for it. */
  | { do: "keep-as-repeat" }
  | { do: "keep-instead" }
  /** One after another at this place, as an ear takes them: the later ones repeat the first. */
  | { do: "several"; texts: readonly string[] };

/** Why what stands in the field was not taken. */
export type ReadingProblem = Refusal | "every-place-read" | "too-long" | "below-nothing" | "cannot-read-so";

export type Reading = {
  round: RoundDraft;
  /** Index of the reading at the same place that is asked about; null: nothing is asked. */
  asks: number | null;
  problem: ReadingProblem | null;
  /** The round was said to be done. */
  done: boolean;
};

export type ReadingPlan = {
  /** Places in the order of reading. */
  positions: readonly number[];
  unit: QuantityUnit;
  bareUnit: string;
  /** Whether the stage can read so at all; in the unit of what is measured. */
  canRead: (measured: number) => boolean;
  /** Fewest places that say how the stage stands. */
  least: number;
  /** Enough is enough: the tight spot alone ends it. */
  stopsEarly: boolean;
};

const longest = 34;

/** The round as it stands: where one is, what was read there, what is enough. */
export function readingNow(
  { readings, at: asked }: Pick<RoundDraft, "readings" | "at">,
  { positions, least, stopsEarly }: ReadingPlan,
) {
  const at = Math.min(asked, positions.length);
  const place = positions[at] ?? null;
  const counted = readings.filter(({ struck }) => !struck);
  const isRead = (position: number) => counted.some(({ tooth }) => tooth === position);
  const unread = positions.findIndex((position) => !isRead(position));
  const enough = new Set(counted.map(({ tooth }) => tooth)).size >= least;
  const here = readings.flatMap(({ tooth, struck }, i) => (tooth === place && !struck ? [i] : []));
  return { at, place, counted, here, unread, enough, complete: enough && (stopsEarly || unread === -1) };
}

/**
 * Readings taken blind. Enter takes what stands in the field and goes on to the next place that has none; on an empty field it passes a
 * place by, or ends the round where all are read. A place that was read is asked about. A struck reading is gone back to.
 */
export function readingStep(now: Reading, step: ReadingStep, plan: ReadingPlan): Reading {
  const { round } = now;
  const plain = (more: Partial<RoundDraft>): Reading => ({
    round: { ...round, ...more },
    asks: null,
    problem: null,
    done: false,
  });
  const { at, here } = readingNow(round, plan);
  switch (step.do) {
    case "type":
      return plain({ field: step.text });
    case "key":
      return plain({ field: round.field + step.key });
    case "rub-out":
      return round.field === "" ? goTo(plain, at - 1, plan) : plain({ field: round.field.slice(0, -1) });
    case "go":
      return goTo(plain, step.to, plan);
    case "step-back":
      return goTo(plain, at - 1, plan);
    case "strike":
      return strike(now, step.index, plan);
    case "strike-last-here":
      return here.length === 0 ? now : strike(now, here[here.length - 1] as number, plan);
    case "leave-asking":
      return { ...now, asks: null };
    case "keep-as-repeat":
      return keep(now, now.asks, plan);
    case "keep-instead":
      return now.asks === null ? now : keep({ ...strike(now, now.asks, plan), asks: null }, null, plan, at);
    case "enter":
      return enter(now, plan);
    case "several":
      return several(now, at, step.texts, plan);
  }
}

/** All of them, or none where one cannot be taken. */
function several(before: Reading, at: number, texts: readonly string[], plan: ReadingPlan): Reading {
  let now = before;
  for (const text of texts) {
    now = enter(
      goTo((more) => ({ ...now, round: { ...now.round, ...more, field: text }, asks: null }), at, plan),
      plan,
    );
    if (now.problem !== null) return { ...before, problem: now.problem };
    if (now.asks !== null) now = keep(now, now.asks, plan);
  }
  return now;
}

function goTo(plain: (more: Partial<RoundDraft>) => Reading, to: number, { positions }: ReadingPlan): Reading {
  return plain({ at: Math.max(0, Math.min(positions.length, to)) });
}

function enter(now: Reading, plan: ReadingPlan): Reading {
  const { round } = now;
  const { at, place, here, unread, complete } = readingNow(round, plan);
  const refused = (problem: ReadingProblem): Reading => ({ ...now, problem, done: false });
  if (round.field.trim() === "") {
    if (complete) return { ...now, done: true };
    const to = at < plan.positions.length ? at + 1 : Math.max(0, unread);
    return { ...now, round: { ...round, at: to }, asks: null, problem: null, done: false };
  }
  if (place === null) return refused("every-place-read");
  if (now.asks !== null) return keep(now, now.asks, plan);
  const parsed = parseQuantity(typedAs(round.field, plan), plan.unit.dimension, plan.unit.bare);
  if (!parsed.ok) return refused(parsed.refusal);
  if (round.field.trim().length > longest) return refused("too-long");
  if (parsed.value.value < 0 && !plan.unit.signed) return refused("below-nothing");
  if (!plan.canRead(parsed.value.value * plan.unit.factor)) return refused("cannot-read-so");
  const first = here[0];
  return first === undefined ? keep(now, null, plan) : { ...now, asks: first, problem: null, done: false };
}

/** With the unit that a bare number is said to be in. */
export const typedAs = (field: string, { bareUnit, unit }: Pick<ReadingPlan, "bareUnit" | "unit">): string =>
  withUnit(field, bareUnit, unit.bare);

function keep({ round }: Reading, repeats: number | null, plan: ReadingPlan, from?: number): Reading {
  const { counted, at: now } = readingNow(round, plan);
  const { positions } = plan;
  const at = from ?? now;
  const tooth = positions[at];
  const stay: Reading = { round, asks: null, problem: null, done: false };
  if (tooth === undefined) return stay;
  const isRead = (position: number) => counted.some((reading) => reading.tooth === position);
  const next = positions.findIndex((position, i) => i > at && !isRead(position));
  const first = positions.findIndex((position) => position !== tooth && !isRead(position));
  const reading = { tooth, turn: 1, typed: typedAs(round.field, plan), struck: false, repeats };
  return {
    ...stay,
    round: {
      field: "",
      at: next >= 0 ? next : first >= 0 ? first : positions.length,
      readings: [...round.readings, reading],
    },
  };
}

function strike({ round, problem }: Reading, index: number, { positions }: ReadingPlan): Reading {
  const readings = round.readings.map((reading, i) =>
    i === index ? { ...reading, struck: !reading.struck } : reading,
  );
  const place = positions.indexOf(round.readings[index]?.tooth ?? -1);
  const at = readings[index]?.struck && place >= 0 ? place : round.at;
  return { round: { ...round, readings, at }, asks: null, problem, done: false };
}
