import { createHash, sign } from "node:crypto";
import type { Machine } from "../core/records";
import type { Database } from "../data/postgres";
import { chainPage, namesBeside, type StoredEntry, storedOfJob } from "../data/queries/entries";
import { headOf } from "../data/queries/machines";
import { lastSeal } from "../data/queries/seals";
import { stagesOfMachines } from "../data/queries/stages";
import type { SealKey } from "./seal";

export const exportFormat = "harmostat-logbook-2";

/** An entry as it leaves: with the hashes by which anybody can check it. */
const exported = ({ entry, previousHash, hash }: StoredEntry) => ({
  ...entry,
  previousHash: previousHash.toString("hex"),
  hash: hash.toString("hex"),
});
export type ExportedEntry = ReturnType<typeof exported>;

const pageSize = 200;

/** What stands before the signature of an export; all the text before it is signed. */
export const signatureMark = '\n],"signature":';

/**
 * A machine's whole logbook, or the entries of one job, as JSON text in pieces: a logbook of ten years is not held in memory at once. It begins
 * with what is in it (first, last, count, head, the last seal) and ends with a signature over every letter before that: Ed25519 over the
 * SHA-512 of the text.
 */
export async function* exportLogbook(
  db: Database,
  machine: Machine,
  now: Date,
  key: SealKey,
  jobId: string | null = null,
): AsyncGenerator<string> {
  const digest = createHash("sha512");
  const signed = (text: string): string => {
    digest.update(text);
    return text;
  };
  const stages = await stagesOfMachines(db, [machine.id]);
  const [seal, head] = [await lastSeal(db), await headOf(db, machine.id)];
  const { workshopId: _, ...about } = machine;
  const ofJob = jobId ? await storedOfJob(db, jobId) : null;
  const count = ofJob ? ofJob.length : head.count;
  const opening = {
    format: exportFormat,
    exportedAt: now.toISOString(),
    machine: about,
    jobId,
    first: ofJob ? (ofJob[0]?.entry.seq ?? null) : count > 0 ? 1 : null,
    last: ofJob ? (ofJob.at(-1)?.entry.seq ?? null) : count > 0 ? count : null,
    count,
    head: { seq: head.count, hash: head.hash.toString("hex") },
    seal: seal && { number: seal.number, at: seal.at, hash: seal.hash.toString("hex") },
    publicKey: key.publicKey.export({ type: "spki", format: "der" }).toString("base64"),
    // Entries of earlier formats do not hold the names of those who made them.
    names: await namesBeside(db, machine.id, jobId),
    stages,
  };
  yield signed(`${JSON.stringify(opening).slice(0, -1)},"entries":[\n`);
  if (ofJob) yield signed(ofJob.map((stored) => JSON.stringify(exported(stored))).join(",\n"));
  else
    for (let after = 0; after < count; ) {
      // What comes in while it is written out is not in it: the head is named already.
      const page = (await chainPage(db, machine.id, after, Math.min(pageSize, count - after))).filter(
        ({ entry }) => entry.seq <= count,
      );
      if (page.length === 0) break;
      yield signed(`${after > 0 ? ",\n" : ""}${page.map((stored) => JSON.stringify(exported(stored))).join(",\n")}`);
      after = page.at(-1)?.entry.seq ?? count;
    }
  const signature = {
    key: key.id.toString("hex"),
    value: sign(null, digest.digest(), key.privateKey).toString("base64"),
  };
  yield `${signatureMark}${JSON.stringify(signature)}}\n`;
}
