import type { DraftBody } from "~/operations/draft-body";

const phases = ["as-found", "set", "check"] as const;

type Loose = Readonly<Record<string, unknown>>;
const isObject = (value: unknown): value is Loose =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const isText = (value: unknown): value is string => typeof value === "string";
const isCount = (value: unknown): value is number => Number.isSafeInteger(value);

const isReading = (value: unknown): boolean =>
  isObject(value) &&
  isCount(value.tooth) &&
  isCount(value.turn) &&
  isText(value.typed) &&
  typeof value.struck === "boolean" &&
  (value.repeats === null || isCount(value.repeats));

const isRound = (value: unknown): boolean =>
  isObject(value) &&
  isText(value.field) &&
  isCount(value.at) &&
  Array.isArray(value.readings) &&
  value.readings.every(isReading);

/**
 * Whether something kept is a draft that can be gone on with. What goes into the logbook is checked by the schema; this is what a page can look at
 * before it has one.
 */
export function isDraftBody(value: unknown): value is DraftBody {
  if (!isObject(value) || !isText(value.savedAt)) return false;
  const { rounds, texts } = value;
  return (
    isObject(rounds) &&
    phases.every((phase) => isRound(rounds[phase])) &&
    isObject(texts) &&
    Object.values(texts).every(isText)
  );
}
