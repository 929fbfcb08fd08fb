import { v7 } from "uuid";
import type { DraftBody, RoundDraft } from "~/operations/draft-body";
import { isDraftBody } from "./draft-shape";

export type Draft = { id: string; body: DraftBody };
export type StoredDraft = { id: string; stageId: string; body: unknown };

/** Where it is typed, and by whom: nobody goes on with another's unless it is handed over to them. */
export type DraftPlace = { personId: string; jobId: string; stageId: string };

const key = ({ personId, jobId, stageId }: DraftPlace, id: string) =>
  `harmostat draft ${personId} ${jobId} ${stageId} ${id}`;

export const emptyRound = (): RoundDraft => ({ field: "", at: 0, readings: [] });

export const emptyDraft = (): DraftBody => ({
  rounds: { "as-found": emptyRound(), set: emptyRound(), check: emptyRound() },
  texts: {},
  savedAt: new Date(0).toISOString(),
});

const isEmpty = ({ rounds, texts }: DraftBody): boolean =>
  Object.values(rounds).every((round) => round.field === "" && round.readings.length === 0) &&
  Object.values(texts).every((text) => text === "");

/** Local storage, because it is written before the next keystroke; a crash a moment later loses nothing. */
export function keepDraft(place: DraftPlace, draft: Draft): void {
  try {
    localStorage.setItem(key(place, draft.id), JSON.stringify(draft.body));
  } catch {
    // A full or forbidden storage: the copy on the server remains.
  }
}

/**
 * The draft to go on with: the newest that no other tab is writing, from this browser or, typed on another device, from the
 * server. Each tab holds a lock on its draft's id while it lives, so two tabs never write over each other.
 */
export async function claimDraft(place: DraftPlace, fromServer: readonly StoredDraft[]): Promise<Draft> {
  const local = localDrafts(place);
  const stored = fromServer
    .filter((draft) => draft.stageId === place.stageId)
    .flatMap(({ id, body }) => (isDraftBody(body) ? [{ id, body }] : []));
  const newest = new Map<string, Draft>();
  for (const draft of [...local, ...stored]) {
    const known = newest.get(draft.id);
    if (!known || known.body.savedAt < draft.body.savedAt) newest.set(draft.id, draft);
  }
  const byAge = [...newest.values()].sort((a, b) => b.body.savedAt.localeCompare(a.body.savedAt));
  const full = byAge.filter((draft) => !isEmpty(draft.body));
  for (const draft of [...full, ...byAge.filter((candidate) => !full.includes(candidate))]) {
    if (await lockForLife(draft.id)) return draft;
  }
  const fresh = { id: v7(), body: emptyDraft() };
  await lockForLife(fresh.id);
  return fresh;
}

function localDrafts(place: DraftPlace): Draft[] {
  const prefix = key(place, "");
  return namesKept().flatMap((name) => {
    if (!name.startsWith(prefix)) return [];
    try {
      const body: unknown = JSON.parse(localStorage.getItem(name) ?? "");
      return isDraftBody(body) ? [{ id: name.slice(prefix.length), body }] : [];
    } catch {
      return [];
    }
  });
}

function namesKept(): string[] {
  try {
    return Object.keys(localStorage);
  } catch {
    return []; // A forbidden storage holds nothing.
  }
}

const held = new Set<string>();
/** A browser that has not said by then whether another tab writes is not waited for any longer. */
const lockWithinMs = 5000;

/** Takes the lock on a draft until the tab closes; false where another tab has it. */
function lockForLife(id: string): Promise<boolean> {
  if (held.has(id) || !navigator.locks) return Promise.resolve(true);
  return new Promise((answer) => {
    setTimeout(answer, lockWithinMs, true);
    navigator.locks
      .request(`harmostat-draft-${id}`, { ifAvailable: true }, (lock) => {
        if (lock) held.add(id);
        answer(lock !== null);
        return lock ? new Promise<void>(() => {}) : undefined;
      })
      .catch(() => answer(true));
  });
}
