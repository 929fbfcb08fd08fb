import type { Database } from "../data/postgres";
import { chainPage, type StoredEntry, storedOfJob } from "../data/queries/entries";
import type { Machine } from "../data/queries/machines";
import { stagesOfMachines } from "../data/queries/stages";

export const exportFormat = "harmostat-logbook-1";

/** An entry as it leaves: with the hashes by which anybody can check it. */
const exported = ({ entry, previousHash, hash }: StoredEntry) => ({
  ...entry,
  previousHash: previousHash.toString("hex"),
  hash: hash.toString("hex"),
});
export type ExportedEntry = ReturnType<typeof exported>;

const pageSize = 200;

/**
 * A machine's whole logbook, or the entries of one job, as JSON text in pieces: a logbook of ten years is not held in memory at once.
 * The head stands at the end, as it was after the last entry written.
 */
export async function* exportLogbook(
  db: Database,
  machine: Machine,
  now: Date,
  jobId: string | null = null,
): AsyncGenerator<string> {
  const stages = await stagesOfMachines(db, [machine.id]);
  const { workshopId: _, ...about } = machine;
  const head = { format: exportFormat, exportedAt: now.toISOString(), machine: about, jobId, stages };
  yield `${JSON.stringify(head).slice(0, -1)},"entries":[`;
  let last: StoredEntry | undefined;
  if (jobId) {
    const entries = await storedOfJob(db, jobId);
    yield entries.map((stored) => JSON.stringify(exported(stored))).join(",\n");
  } else {
    for (;;) {
      const page = await chainPage(db, machine.id, last?.entry.seq ?? 0, pageSize);
      if (page.length > 0)
        yield `${last ? ",\n" : ""}${page.map((stored) => JSON.stringify(exported(stored))).join(",\n")}`;
      last = page[page.length - 1] ?? last;
      if (page.length < pageSize) break;
    }
  }
  yield `],"head":${JSON.stringify(jobId ? null : { seq: last?.entry.seq ?? 0, hash: last?.hash.toString("hex") ?? null })}}\n`;
}
