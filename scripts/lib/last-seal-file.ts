import { existsSync, readFileSync, renameSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import type { StoredSeal } from "../../data/queries/seals";
import type { KnownSeal } from "../../operations/verify-seals";
import { homeFolder } from "./database";

const file = process.env.LAST_SEAL_FILE ?? join(homeFolder, "last-seal.json");

/** Notes the last seal beside the key, apart from the database: seals that are cut off at the end are missed by it. */
export function noteLastSeal({ number, hash }: StoredSeal): void {
  const known: KnownSeal = { number, hash: hash.toString("hex") };
  writeFileSync(`${file}.new`, JSON.stringify(known), { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

export function knownSeal(): KnownSeal | null {
  if (!existsSync(file)) return null;
  try {
    return JSON.parse(readFileSync(file, "utf8")) as KnownSeal;
  } catch {
    return null;
  }
}
