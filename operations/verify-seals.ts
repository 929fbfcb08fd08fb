import { type KeyObject, verify } from "node:crypto";
import type { Database } from "../data/postgres";
import {
  allHeads,
  countsThatDiffer,
  type Head,
  headsThatDiffer,
  rowDigests,
  type SealedKind,
  type StoredSeal,
  sealedKinds,
  sealsAfter,
  waitingForSeal,
} from "../data/queries/seals";
import { headsDigest, keyId, type SealBody, sha256 } from "./seal";

export type SealProblem =
  | { why: "seal-missing"; number: number }
  | { why: "seal-differs"; number: number }
  | { why: "seal-not-signed"; number: number }
  | { why: "seal-of-another-key"; number: number }
  | { why: "seals-cut"; number: number }
  | { why: "machine-missing"; machineId: string; seq: number }
  | { why: "head-not-sealed-one"; machineId: string; seq: number }
  | { why: "heads-differ"; number: number }
  | { why: "row-missing" | "row-differs" | "row-never-sealed"; kind: SealedKind; id: string }
  | { why: "count-differs"; id: string };

export type SealReport = { seals: number; lastAt: string | null; problems: SealProblem[] };

/** The last seal as it was noted outside the database. */
export type KnownSeal = { number: number; hash: string };

const pageSize = 200;

/**
 * Whether all seals are whole, signed with the known key and in one chain, and whether what they cover is still what they covered. Never
 * throws for what it finds: what is missing or cannot be read is a problem with a name.
 *
 * @param key the public key that the seals should have been signed with; null: whatever key they name is not checked
 * @param known the last seal as noted elsewhere, where somebody did
 */
export async function verifySeals(
  db: Database,
  key: KeyObject | null,
  known: KnownSeal | null = null,
): Promise<SealReport> {
  const problems: SealProblem[] = [];
  const heads = new Map<string, Head>();
  const rows = new Map<SealedKind, Map<string, string | null>>(sealedKinds.map((kind) => [kind, new Map()]));
  let before: StoredSeal | null = null;
  for (;;) {
    const page: StoredSeal[] = await sealsAfter(db, before?.number ?? 0, pageSize);
    for (const seal of page) {
      problems.push(...sealProblems(seal, before, key));
      if (known?.number === seal.number && known.hash !== seal.hash.toString("hex"))
        problems.push({ why: "seal-differs", number: seal.number });
      const body = bodyOf(seal);
      for (const [machineId, [seq, hash]] of Object.entries(body?.moved ?? {}))
        heads.set(machineId, { machineId, seq, hash });
      for (const [kind, digests] of Object.entries(body?.rows ?? {}))
        for (const [id, digest] of Object.entries(digests)) rows.get(kind as SealedKind)?.set(id, digest);
      if (body && headsDigest([...heads.values()]) !== body.heads)
        problems.push({ why: "heads-differ", number: seal.number });
      const moved = Object.entries(body?.moved ?? {}).map(([machineId, [seq, hash]]) => ({ machineId, seq, hash }));
      for (const { machineId, seq } of await headsThatDiffer(db, moved))
        problems.push({ why: "head-not-sealed-one", machineId, seq });
      before = seal;
    }
    if (page.length < pageSize) break;
  }
  if (known && known.number > (before?.number ?? 0)) problems.push({ why: "seals-cut", number: known.number });
  const present = new Map((await allHeads(db)).map((head) => [head.machineId, head]));
  for (const { machineId, seq } of heads.values()) {
    const now = present.get(machineId);
    if (!now) problems.push({ why: "machine-missing", machineId, seq });
    else if (now.seq < seq) problems.push({ why: "head-not-sealed-one", machineId, seq });
  }
  const waiting = new Set((await waitingForSeal(db)).map(({ kind, id }) => `${kind} ${id}`));
  for (const kind of sealedKinds) {
    const sealed = rows.get(kind) ?? new Map<string, string | null>();
    const found = new Map((await rowDigests(db, kind, null)).map(({ id, digest }) => [id, digest]));
    for (const [id, digest] of sealed) {
      const is = found.get(id);
      if (is === undefined || digest === null) problems.push({ why: "row-missing", kind, id });
      else if (is !== digest) problems.push({ why: "row-differs", kind, id });
    }
    for (const id of found.keys())
      if (!sealed.has(id) && !waiting.has(`${kind} ${id}`)) problems.push({ why: "row-never-sealed", kind, id });
  }
  for (const id of await countsThatDiffer(db)) problems.push({ why: "count-differs", id });
  return { seals: before?.number ?? 0, lastAt: before?.at ?? null, problems: once(problems) };
}

function sealProblems(seal: StoredSeal, before: StoredSeal | null, key: KeyObject | null): SealProblem[] {
  const { number } = seal;
  if (number !== (before?.number ?? 0) + 1) return [{ why: "seal-missing", number: (before?.number ?? 0) + 1 }];
  const body = bodyOf(seal);
  const fits =
    body !== null &&
    body.number === number &&
    body.at === seal.at &&
    body.previous === (before?.hash.toString("hex") ?? null) &&
    sha256(seal.body).equals(seal.hash);
  if (!fits) return [{ why: "seal-differs", number }];
  if (!key) return [];
  if (!keyId(key).equals(seal.keyId)) return [{ why: "seal-of-another-key", number }];
  return verify(null, Buffer.from(seal.body), key, seal.signature) ? [] : [{ why: "seal-not-signed", number }];
}

function bodyOf({ body }: StoredSeal): SealBody | null {
  try {
    const read = JSON.parse(body) as SealBody;
    return typeof read.number === "number" && typeof read.heads === "string" && read.moved && read.rows ? read : null;
  } catch {
    return null;
  }
}

const once = (problems: readonly SealProblem[]): SealProblem[] => [
  ...new Map(problems.map((problem) => [JSON.stringify(problem), problem])).values(),
];
