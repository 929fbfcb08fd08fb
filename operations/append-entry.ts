import type { Bodies, Entry, EntryKind, EntryOf, ReadingRecord } from "../core/logbook";
import { entryBodies } from "../core/logbook/schema";
import type { Database } from "../data/postgres";
import { insertEntry } from "../data/queries/entries";
import { advanceHead, type ChainHead } from "../data/queries/machines";
import { nameOfPerson } from "../data/queries/people";
import type { Submission } from "./already-there";
import { entryHash } from "./entry-hash";

/** An entry before it has its number; what it does not say is null, and the usage is the machine's. */
export type NewEntry<K extends EntryKind = EntryKind> = {
  id: string;
  machineId: string;
  kind: K;
  body: Bodies[K];
  madeBy: string;
  /** As they are called now; looked up where it is left out. */
  madeByName?: string;
  madeAt: string;
  recordedAt: Date;
  jobId?: string | null;
  stageId?: string | null;
  namesEntry?: string | null;
  geometryId?: string | null;
  adjusterId?: string | null;
  limitsId?: string | null;
  readings?: ReadingRecord[];
  /** What it was made from, where that came under the entry's own id. */
  submission?: Submission;
};

/**
 * Puts an entry at the end of its machine's logbook. The caller holds the lock on the machine's row (`lockHead`), so numbers
 * follow the order in which the server took the entries, whatever the tablets' clocks say. `head` goes on with the entry, for
 * the next one.
 */
export async function appendEntry<K extends EntryKind>(
  db: Database,
  head: ChainHead,
  newEntry: NewEntry<K>,
): Promise<Entry> {
  const entry: EntryOf<K> = {
    id: newEntry.id,
    machineId: newEntry.machineId,
    seq: head.count + 1,
    jobId: newEntry.jobId ?? null,
    stageId: newEntry.stageId ?? null,
    kind: newEntry.kind,
    // Nothing goes in that could not be read again.
    body: entryBodies[newEntry.kind].parse(newEntry.body) as Bodies[K],
    namesEntry: newEntry.namesEntry ?? null,
    madeBy: newEntry.madeBy,
    // As the author is called now: it stays in the entry, whatever becomes of the account.
    madeByName: newEntry.madeByName ?? (await nameOfPerson(db, newEntry.madeBy)),
    madeAt: new Date(newEntry.madeAt).toISOString(),
    recordedAt: newEntry.recordedAt.toISOString(),
    usage: newEntry.kind === "usage" ? (newEntry.body as Bodies["usage"]).total : head.usageTotal,
    geometryId: newEntry.geometryId ?? null,
    adjusterId: newEntry.adjusterId ?? null,
    limitsId: newEntry.limitsId ?? null,
    readings: newEntry.readings ?? [],
  };
  const hash = entryHash(entry, head.hash);
  await insertEntry(db, { entry, previousHash: head.hash, hash, submitted: newEntry.submission?.digest ?? null });
  head.count = entry.seq;
  head.hash = hash;
  await advanceHead(db, entry.machineId, head);
  return entry as Entry;
}
