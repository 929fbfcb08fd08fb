import { type Database, many, maybeOne, none, one, type Row, Statement, sql } from "../postgres";

/** What a seal covers beside the machines' logbooks, each row by its own digest. */
export const sealedKinds = [
  "geometry",
  "adjuster",
  "limits",
  "side-limits",
  "drive-line",
  "guide",
  "upkeep",
  "shaft",
  "proof-plan",
  "attachment",
  "certificate",
  "movement",
  "job",
  "job-stage",
  "job-signed",
  "point",
  "point-closed",
] as const;
export type SealedKind = (typeof sealedKinds)[number];

const plain = (text: string) => new Statement([text], []);
const ms = (column: string) => `(extract(epoch from ${column}) * 1000)::bigint`;

/**
 * Of each kind where its rows stand, by what they are named, and which columns are covered. The columns are listed, so that one that a later
 * release adds does not change what was sealed before.
 */
const covered: Record<SealedKind, { from: string; id: string; columns: string }> = {
  geometry: {
    from: "stage_geometry t",
    id: "t.id::text",
    columns: `stage_id, revision, element, clamps, made_by, ${ms("effective_from")}, arc_from_deg, arc_to_deg, turned_by, parts`,
  },
  adjuster: {
    from: "stage_adjuster t",
    id: "t.id::text",
    columns: `stage_id, revision, name, adjuster, step, positive_word, negative_word, made_by, ${ms("effective_from")}, hand, has_scale, seen_from, means, also_moves`,
  },
  limits: {
    from: "stage_limits t",
    id: "t.id::text",
    columns: `stage_id, revision, quantity, lo, aim, hi, source_kind, source, made_by, ${ms("effective_from")}, held`,
  },
  "side-limits": {
    from: "side_limits t",
    id: "t.id::text",
    columns: `stage_id, quantity, revision, lo, hi, source_kind, source, made_by, ${ms("effective_from")}`,
  },
  "drive-line": {
    from: "drive_line t",
    id: "t.id::text",
    columns: `machine_id, revision, graph, made_by, ${ms("effective_from")}`,
  },
  guide: {
    from: "guide_revision t",
    id: "t.id::text",
    columns: `guide_id, machine_id, stage_id, name, revision, parts, made_by, ${ms("made_at")}`,
  },
  upkeep: {
    from: "upkeep_revision t",
    id: "t.id::text",
    columns: `machine_id, revision, list, made_by, ${ms("made_at")}`,
  },
  shaft: {
    from: "shaft_revision t",
    id: "t.id::text",
    columns: `shaft_id, machine_id, revision, shaft, made_by, ${ms("made_at")}`,
  },
  "proof-plan": {
    from: "proof_plan_revision t",
    id: "t.id::text",
    columns: `machine_id, stage_id, revision, plan, made_by, ${ms("made_at")}`,
  },
  attachment: {
    from: "attachment t",
    id: "t.entry_id::text",
    columns: "encode(sha256, 'hex'), media_type, encode(sha256(content), 'hex'), encode(sha256(preview), 'hex')",
  },
  certificate: {
    from: "certificate t",
    id: "t.id::text",
    columns: `instrument_id, name, encode(sha256(content), 'hex'), made_by, ${ms("made_at")}`,
  },
  movement: {
    from: "store_movement t",
    id: "t.id::text",
    columns: `item_id, change, count_after, why, entry_id, made_by, ${ms("made_at")}`,
  },
  job: {
    from: "job t",
    id: "t.id::text",
    columns: `machine_id, reason, opened_by, ${ms("opened_at")}`,
  },
  "job-stage": { from: "job_stage t", id: "t.job_id || ' ' || t.stage_id", columns: "position" },
  "job-signed": { from: "job t", id: "t.id::text", columns: "signed_entry" },
  point: {
    from: "open_point t",
    id: "t.id::text",
    columns: `machine_id, stage_id, code, text, opened_entry, opened_by, ${ms("opened_at")}`,
  },
  "point-closed": { from: "open_point t", id: "t.id::text", columns: "closed_entry" },
};
const there: Partial<Record<SealedKind, string>> = {
  "job-signed": "t.signed_entry is not null",
  "point-closed": "t.closed_entry is not null",
};

const digestOf = ({ columns }: { columns: string }) =>
  `encode(sha256(convert_to(jsonb_build_array(${columns})::text, 'UTF8')), 'hex')`;

export type RowDigest = { id: string; digest: string };

/** Digests of rows of a kind as they stand; only those with these ids, where given. */
export function rowDigests(db: Database, kind: SealedKind, ids: readonly string[] | null): Promise<RowDigest[]> {
  const { from, id } = covered[kind];
  const select = plain(
    `select ${id} as id, ${digestOf(covered[kind])} as digest from ${from} where ${there[kind] ?? "true"}`,
  );
  const among = ids === null ? plain("") : sql`and ${plain(id)} = any(${ids})`;
  return many(db, sql`${select} ${among} order by 1`, (row): RowDigest => ({ id: row.id, digest: row.digest }));
}

export type Head = { machineId: string; seq: number; hash: string };

/** Where every machine's logbook ends now. */
export const allHeads = (db: Database) =>
  many(
    db,
    sql`select id, entry_count, encode(head_hash, 'hex') as hash from machine order by id`,
    (row): Head => ({ machineId: row.id, seq: row.entry_count, hash: row.hash }),
  );

/** Heads that have moved since the last seal, noted as sealed with it. */
export const takeMovedHeads = (db: Database) =>
  many(
    db,
    sql`insert into sealed_head (machine_id, seq, hash) select m.id, m.entry_count, m.head_hash from machine m
          left join sealed_head s on s.machine_id = m.id where s.hash is distinct from m.head_hash
        on conflict (machine_id) do update set seq = excluded.seq, hash = excluded.hash
        returning machine_id, seq, encode(hash, 'hex') as hash`,
    (row): Head => ({ machineId: row.machine_id, seq: row.seq, hash: row.hash }),
  );

/** Takes some of what waits for a seal out of its list; the caller seals it in the same transaction. */
export const takeToSeal = (db: Database, most: number) =>
  many(
    db,
    sql`delete from to_seal where (kind, id) in (select kind, id from to_seal order by kind, id limit ${most})
        returning kind, id`,
    (row) => ({
      kind: row.kind as SealedKind,
      id: row.id as string,
    }),
  );

/** One process seals at a time; the lock ends with the transaction. */
export const lockSealing = (db: Database) =>
  one(db, sql`select pg_try_advisory_xact_lock(4807762) as got`, (row) => row.got as boolean);

export type StoredSeal = { number: number; at: string; body: string; hash: Buffer; signature: Buffer; keyId: Buffer };

const toSeal = (row: Row): StoredSeal => ({
  number: row.number,
  at: row.at.toISOString(),
  body: row.body,
  hash: row.hash,
  signature: row.signature,
  keyId: row.key_id,
});

export const lastSeal = (db: Database) => maybeOne(db, sql`select * from seal order by number desc limit 1`, toSeal);

export const sealsAfter = (db: Database, number: number, size: number) =>
  many(db, sql`select * from seal where number > ${number} order by number limit ${size}`, toSeal);

export const insertSeal = (db: Database, s: StoredSeal) =>
  none(
    db,
    sql`insert into seal (number, at, body, hash, signature, key_id) values (${s.number}, ${s.at}, ${s.body}, ${s.hash}, ${s.signature}, ${s.keyId})`,
  );

/** Of these heads, those whose entry is not there or has another hash. */
export const headsThatDiffer = (db: Database, heads: readonly Head[]) =>
  many(
    db,
    sql`select h.machine_id, h.seq, h.hash from unnest(${heads.map((h) => h.machineId)}::uuid[],
          ${heads.map((h) => h.seq)}::bigint[], ${heads.map((h) => h.hash)}::text[]) as h (machine_id, seq, hash)
        left join entry e on e.machine_id = h.machine_id and e.seq = h.seq
        where h.seq > 0 and encode(e.hash, 'hex') is distinct from h.hash`,
    (row): Head => ({ machineId: row.machine_id, seq: row.seq, hash: row.hash }),
  );

/** What still waits for its seal. */
export const waitingForSeal = (db: Database) =>
  many(db, sql`select kind, id from to_seal`, (row) => ({ kind: row.kind as SealedKind, id: row.id as string }));

/** Items of the stores whose count is not what their movements add up to. */
export const countsThatDiffer = (db: Database) =>
  many(
    db,
    sql`select i.id from store_item i left join store_movement m on m.item_id = i.id
        group by i.id having i.count <> coalesce(sum(m.change), 0)`,
    (row) => row.id as string,
  );
