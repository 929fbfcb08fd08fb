import type { Entry } from "../core/logbook";
import type { Database } from "../data/postgres";
import { insertEntry } from "../data/queries/entries";
import { advanceHead, type ChainHead } from "../data/queries/machines";
import { entryHash } from "./entry-hash";

type DistributiveOmit<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;
export type NewEntry = DistributiveOmit<Entry, "seq">;

/**
 * Puts an entry at the end of its machine's logbook. The caller holds the lock on the machine's row (`lockHead`), so numbers
 * follow the order in which the server took the entries, whatever the tablets' clocks say.
 */
export async function appendEntry(db: Database, head: ChainHead, newEntry: NewEntry): Promise<Entry> {
  const entry = { ...newEntry, seq: head.count + 1 } as Entry;
  const hash = entryHash(entry, head.hash);
  await insertEntry(db, { entry, previousHash: head.hash, hash });
  await advanceHead(db, entry.machineId, { count: entry.seq, hash });
  return entry;
}
