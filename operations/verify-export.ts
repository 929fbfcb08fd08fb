import { createHash, createPublicKey, type KeyObject, verify } from "node:crypto";
import { entryHash, firstHash } from "./entry-hash";
import { type ExportedEntry, exportFormat, signatureMark } from "./export-logbook";
import { keyId } from "./seal";
import type { BreakReason, ChainReport } from "./verify-chain";

const unsignedFormat = "harmostat-logbook-1";

type Export = {
  format: string;
  machine: { id: string; name: string };
  jobId: string | null;
  first: number | null;
  last: number | null;
  count: number;
  entries: ExportedEntry[];
  head: { seq: number; hash: string | null } | null;
};

export type ExportReport = ChainReport & {
  /** Hex of the key that the text is signed with; null: it is not signed, as an earlier release wrote it. */
  signedWith: string | null;
};

/**
 * Whether an exported logbook is as it was written: signed over its whole text, complete by its own first, last and count, every entry by its own
 * hash, and for a whole machine every entry by the one before it. Of a job only its own entries are there, so that what lies between them is not
 * spoken of. Never throws: what cannot be read is a break with a name.
 *
 * @param text of the file
 * @param key the public key it should have been signed with; null: it is checked against the key that the file itself names, and whether that
 * is the workshop's is for whoever asks to compare
 */
export function verifyExport(text: string, key: KeyObject | null): ExportReport {
  const nothing = (why: BreakReason, signedWith: string | null = null): ExportReport => ({
    machine: "?",
    entries: 0,
    breaks: { seq: 0, id: null, why },
    signedWith,
  });
  let file: Export;
  try {
    file = JSON.parse(text) as Export;
  } catch {
    return nothing("not-readable");
  }
  const { format, machine, entries } = file ?? {};
  const mark = text.lastIndexOf(signatureMark);
  if (format === unsignedFormat && mark < 0)
    return wellFormed(file) ? { ...chainOf(file), signedWith: null } : nothing("not-readable");
  if (format !== exportFormat || !wellFormed(file) || mark < 0) return nothing("not-readable");
  const signature = signatureOf(text.slice(mark + signatureMark.length));
  const by = signature && key === null ? keyIn(file) : key;
  if (!signature || !by) return nothing("not-signed");
  const digest = createHash("sha512").update(text.slice(0, mark)).digest();
  const signedWith = signature.key;
  const report = { machine: machine.name, entries: entries.length, signedWith };
  if (keyId(by).toString("hex") !== signedWith) return { ...report, breaks: { seq: 0, id: null, why: "other-key" } };
  if (!verify(null, digest, by, Buffer.from(signature.value, "base64")))
    return { ...report, breaks: { seq: 0, id: null, why: "not-as-signed" } };
  const complete =
    file.count === entries.length &&
    file.first === (entries[0]?.seq ?? null) &&
    file.last === (entries.at(-1)?.seq ?? null);
  if (!complete) return { ...report, breaks: { seq: file.last ?? 0, id: null, why: "number-missing" } };
  return { ...chainOf(file), signedWith };
}

const wellFormed = ({ machine, entries }: Partial<Export>): boolean =>
  typeof machine?.id === "string" &&
  Array.isArray(entries) &&
  entries.every((entry) => typeof entry?.hash === "string" && typeof entry.previousHash === "string");

/** Exactly what an export ends with, to the last letter. */
function signatureOf(rest: string): { key: string; value: string } | null {
  const found = /^\{"key":"([0-9a-f]{64})","value":"([A-Za-z0-9+/]{86}==)"\}\}\n$/.exec(rest);
  const [, key, value] = found ?? [];
  // Of several ways to write the same 64 bytes only one is the export's own.
  return key && value && Buffer.from(value, "base64").toString("base64") === value ? { key, value } : null;
}

function keyIn(file: Export): KeyObject | null {
  try {
    const der = Buffer.from(String((file as { publicKey?: unknown }).publicKey), "base64");
    return createPublicKey({ key: der, format: "der", type: "spki" });
  } catch {
    return null;
  }
}

function chainOf({ machine, jobId, entries, head }: Export): ChainReport {
  let previous = firstHash(machine.id);
  let seq = 0;
  for (const { hash, previousHash, ...entry } of entries) {
    const broken = (why: BreakReason): ChainReport => ({
      machine: machine.name,
      entries: entries.length,
      breaks: { seq: entry.seq, id: entry.id, why },
    });
    if (jobId ? entry.seq <= seq : entry.seq !== seq + 1) return broken("number-missing");
    if (!jobId && previousHash !== previous.toString("hex")) return broken("previous-hash-differs");
    if (entry.machineId !== machine.id || (jobId && entry.jobId !== jobId)) return broken("content-differs");
    const made = entryHash(entry, Buffer.from(previousHash, "hex"));
    if (made.toString("hex") !== hash) return broken("content-differs");
    previous = made;
    seq = entry.seq;
  }
  // The head of an empty logbook names the machine; earlier releases wrote null there.
  const complete =
    jobId !== null ||
    (head?.seq === seq && (head.hash ?? firstHash(machine.id).toString("hex")) === previous.toString("hex"));
  const breaks = complete ? null : { seq: seq + 1, id: null, why: "head-differs" as const };
  return { machine: machine.name, entries: entries.length, breaks };
}
