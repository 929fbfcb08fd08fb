import type { Bodies } from "../core/logbook";
import type { Machine } from "../core/records";
import type { Database } from "../data/postgres";
import { attachmentDigest } from "../data/queries/attachments";
import { chainPage } from "../data/queries/entries";
import { headOf } from "../data/queries/machines";
import { entryHash, firstHash } from "./entry-hash";

export type ChainReport = {
  machine: string;
  entries: number;
  breaks: { seq: number; id: string | null; why: BreakReason } | null;
};
export type BreakReason =
  | "number-missing"
  | "previous-hash-differs"
  | "content-differs"
  | "attachment-missing"
  | "attachment-differs"
  | "head-differs"
  | "media-type-differs"
  | "not-readable"
  | "not-signed"
  | "not-as-signed"
  | "other-key";

const pageSize = 500;

/**
 * Recomputes a machine's chain from its first entry; stops at the first that does not fit. `db` reads one snapshot, so that nobody who
 * saves meanwhile is held up or taken for a break.
 */
export async function verifyChain(db: Database, machine: Machine): Promise<ChainReport> {
  const head = await headOf(db, machine.id);
  let previous = firstHash(machine.id);
  let seq = 0;
  for (;;) {
    const page = await chainPage(db, machine.id, seq, pageSize);
    for (const stored of page) {
      const at = { seq: stored.entry.seq, id: stored.entry.id };
      const broken = (why: BreakReason) => ({ machine: machine.name, entries: seq, breaks: { ...at, why } });
      if (stored.entry.seq !== seq + 1) return broken("number-missing");
      if (!stored.previousHash.equals(previous)) return broken("previous-hash-differs");
      if (!entryHash(stored.entry, previous).equals(stored.hash)) return broken("content-differs");
      if (stored.entry.kind === "attachment") {
        const kept = await attachmentDigest(db, stored.entry.id);
        const { sha256, mediaType } = stored.entry.body as Bodies["attachment"];
        if (kept?.digest !== sha256) return broken(kept ? "attachment-differs" : "attachment-missing");
        if (kept.mediaType !== mediaType) return broken("media-type-differs");
      }
      previous = stored.hash;
      seq++;
    }
    if (page.length < pageSize) break;
  }
  const complete = head.count === seq && head.hash.equals(previous);
  return {
    machine: machine.name,
    entries: seq,
    breaks: complete ? null : { seq: seq + 1, id: null, why: "head-differs" },
  };
}
