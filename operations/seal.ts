import { createHash, createPrivateKey, createPublicKey, type KeyObject, sign } from "node:crypto";
import canonicalize from "canonicalize";
import { type Pool, transaction } from "../data/postgres";
import {
  allHeads,
  type Head,
  insertSeal,
  lastSeal,
  lockSealing,
  rowDigests,
  type SealedKind,
  type StoredSeal,
  takeMovedHeads,
  takeToSeal,
} from "../data/queries/seals";

/** The private Ed25519 key that seals and exports are signed with, its public half, and what that is called. */
export type SealKey = { privateKey: KeyObject; publicKey: KeyObject; id: Buffer };

export function sealKeyOf(pem: string): SealKey {
  const privateKey = createPrivateKey(pem);
  const publicKey = createPublicKey(privateKey);
  return { privateKey, publicKey, id: keyId(publicKey) };
}

/** SHA-256 of the public key, DER: by this a key is compared over the telephone. */
export const keyId = (publicKey: KeyObject): Buffer =>
  createHash("sha256")
    .update(publicKey.export({ type: "spki", format: "der" }))
    .digest();

export type SealBody = {
  number: number;
  at: string;
  /** Hash of the seal before, hex; null for the first. */
  previous: string | null;
  /** Heads that have moved since the seal before: number and hash of the last entry, by machine. */
  moved: Record<string, [seq: number, hash: string]>;
  /** SHA-256 over the canonical JSON of all heads, the unmoved ones too. */
  heads: string;
  /** Digests of the rows written since, by kind and id; null: noted, but not there any more when it was sealed. */
  rows: Partial<Record<SealedKind, Record<string, string | null>>>;
};

/** What a seal says of all heads. */
export const headsDigest = (heads: readonly Head[]): string =>
  sha256(
    canonicalize(Object.fromEntries(heads.map(({ machineId, seq, hash }) => [machineId, [seq, hash]]))) ?? "",
  ).toString("hex");

export const sha256 = (text: string | Buffer): Buffer => createHash("sha256").update(text).digest();

/** Rows that one seal takes, photographs among them: of a large database the rest waits for the next, at once. */
const mostRows = 1000;

/**
 * Seals what stands now: the heads of all machines and the rows that came since the last seal, a thousand at a time. Nothing new makes no seal. One process
 * seals at a time, without holding up anybody who saves: it reads one snapshot, and what is written meanwhile waits for the next seal.
 *
 * @returns the seal, and whether more waits; null where there was nothing to seal, or another process is at it
 */
export async function sealNow(pool: Pool, key: SealKey, now: Date): Promise<(StoredSeal & { more: boolean }) | null> {
  try {
    return await transaction(pool, async (db) => {
      await db.query("set transaction isolation level repeatable read");
      if (!(await lockSealing(db))) return null;
      const [before, waiting, moved] = [await lastSeal(db), await takeToSeal(db, mostRows), await takeMovedHeads(db)];
      if (waiting.length === 0 && moved.length === 0) return null;
      const rows: SealBody["rows"] = {};
      for (const kind of new Set(waiting.map((item) => item.kind))) {
        const ids = waiting.flatMap((item) => (item.kind === kind ? [item.id] : []));
        const found = new Map((await rowDigests(db, kind, ids)).map(({ id, digest }) => [id, digest]));
        rows[kind] = Object.fromEntries(ids.map((id) => [id, found.get(id) ?? null]));
      }
      const body = canonicalize({
        number: (before?.number ?? 0) + 1,
        at: now.toISOString(),
        previous: before?.hash.toString("hex") ?? null,
        moved: Object.fromEntries(moved.map(({ machineId, seq, hash }) => [machineId, [seq, hash]])),
        heads: headsDigest(await allHeads(db)),
        rows,
      } satisfies SealBody);
      if (body === undefined) throw new Error("a seal that is no JSON");
      const seal: StoredSeal = {
        number: (before?.number ?? 0) + 1,
        at: now.toISOString(),
        body,
        hash: sha256(body),
        signature: sign(null, Buffer.from(body), key.privateKey),
        keyId: key.id,
      };
      await insertSeal(db, seal);
      return { ...seal, more: waiting.length === mostRows };
    });
  } catch (error) {
    if (isRace(error)) return null;
    throw error;
  }
}

/** Another process sealed while this one looked: its seal stands, and what came meanwhile waits for the next. */
const isRace = (error: unknown): boolean => ["40001", "23505"].includes(String((error as { code?: unknown }).code));
