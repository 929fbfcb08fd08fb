import type { Entry } from "../core/logbook";
import { entryHash, firstHash } from "./entry-hash";
import { type ExportedEntry, exportFormat } from "./export-logbook";
import type { BreakReason, ChainReport } from "./verify-chain";

type Export = {
  format: string;
  machine: { id: string; name: string };
  jobId: string | null;
  entries: ExportedEntry[];
  head: { seq: number; hash: string | null } | null;
};

/**
 * Whether an exported logbook is as it was written: every entry by its own hash, and for a whole machine every entry by the one before
 * it, from the first to the head. Of a job only its own entries are there, so that what lies between them is not spoken of.
 *
 * @throws where the file is no export at all
 */
export function verifyExport(file: unknown): ChainReport {
  const { format, machine, jobId, entries, head } = file as Export;
  if (format !== exportFormat || !Array.isArray(entries) || typeof machine?.id !== "string")
    throw new Error("This is no exported logbook.");
  let previous = firstHash(machine.id);
  let seq = 0;
  for (const { hash, previousHash, ...entry } of entries) {
    const broken = (why: BreakReason): ChainReport => ({
      machine: machine.name,
      entries: seq,
      breaks: { seq: entry.seq, id: entry.id, why },
    });
    if (jobId ? entry.seq <= seq : entry.seq !== seq + 1) return broken("number-missing");
    if (!jobId && previousHash !== previous.toString("hex")) return broken("previous-hash-differs");
    if (entry.machineId !== machine.id) return broken("content-differs");
    const made = entryHash(entry as unknown as Entry, Buffer.from(previousHash, "hex"));
    if (made.toString("hex") !== hash) return broken("content-differs");
    previous = made;
    seq = entry.seq;
  }
  const complete = jobId !== null || (head?.seq === seq && head.hash === (seq === 0 ? null : previous.toString("hex")));
  const breaks = complete ? null : { seq: seq + 1, id: null, why: "head-differs" as const };
  return { machine: machine.name, entries: entries.length, breaks };
}
