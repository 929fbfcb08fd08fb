import { createHash } from "node:crypto";
import canonicalize from "canonicalize";
import type { Bodies, WrittenEntry } from "../core/logbook";

/** The hash from which a machine's chain continues: it names the machine. */
export const firstHash = (machineId: string): Buffer => sha256({ machine: machineId });

/** SHA-256 over the canonical JSON (RFC 8785) of the entry with its readings, its attachments' hashes and the previous hash. */
export const entryHash = (entry: WrittenEntry, previousHash: Buffer): Buffer =>
  sha256({
    ...entry,
    attachments: entry.kind === "attachment" ? [(entry.body as Bodies["attachment"]).sha256] : [],
    previousHash: previousHash.toString("hex"),
  });

const sha256 = (value: object): Buffer =>
  createHash("sha256")
    .update(canonicalize(value) ?? "")
    .digest();
