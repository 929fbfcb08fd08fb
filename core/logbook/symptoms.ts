import type { Suspect, SuspectState } from "../symptoms";
import { type Entry, type EntryOf, isKind } from "./entry";
import { voidedBy } from "./job-record";

/** A symptom with what its suspects came to, newest last. */
export type SymptomKept = { symptom: EntryOf<"symptom">; said: EntryOf<"suspect">[] };

/** Symptoms of a machine, newest first, each with what was said of its suspects; what was taken back does not count. */
export function symptomsOf(entries: readonly Entry[]): SymptomKept[] {
  const voided = voidedBy(entries);
  const counting = entries.filter(({ id }) => !voided.has(id)).sort((a, b) => a.seq - b.seq);
  return counting
    .filter(isKind("symptom"))
    .map((symptom) => ({
      symptom,
      said: counting.filter(isKind("suspect")).filter(({ namesEntry }) => namesEntry === symptom.id),
    }))
    .reverse();
}

/** What the last word on a suspect is; of one of its causes where that was named. null: nobody said. */
export const stateOfSuspect = (said: readonly EntryOf<"suspect">[], key: string): SuspectState | null =>
  said.findLast(({ body }) => body.key === key)?.body.state ?? null;

/** What was found behind it; null: nothing yet. */
export const foundBehind = ({ said }: SymptomKept): EntryOf<"suspect"> | null =>
  said.findLast(({ body }, i) => body.state === "found" && stateOfSuspect(said.slice(i), body.key) === "found") ?? null;

/** Found ones first, then as ranked, and what was ruled out last. */
export function suspectsNow(
  suspects: readonly Suspect[],
  said: readonly EntryOf<"suspect">[],
): (Suspect & { state: SuspectState | null })[] {
  const order = { found: 0, "still-open": 1, "ruled-out": 2 } as const;
  const placed = suspects.map((suspect) => ({ ...suspect, state: stateOfSuspect(said, suspect.key) }));
  return placed.sort((a, b) => order[a.state ?? "still-open"] - order[b.state ?? "still-open"]);
}
