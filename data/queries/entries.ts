import type { Entry, EntryKind, ReadingRecord, WrittenEntry } from "../../core/logbook";
import { isKind } from "../../core/logbook";
import { entryBodies } from "../../core/logbook/schema";
import {
  containing,
  type Database,
  many,
  maybeOne,
  none,
  one,
  type Row,
  type Statement,
  sql,
  stored,
} from "../postgres";
import { bodyAsToday, readingAsWritten } from "./earlier-formats";

export type StoredEntry = { entry: WrittenEntry; previousHash: Buffer; hash: Buffer };
/** The format in which entries are written now. */
const thisFormat = 3;

/** What is shown and judged of an entry: not its hashes, which only the chain needs. */
export const shown = sql`e.id, e.machine_id, e.seq, e.job_id, e.stage_id, e.kind, e.body, e.names_entry, e.made_by, e.made_at, e.recorded_at,
  e.usage, e.geometry_id, e.adjuster_id, e.limits_id, e.made_by_name, e.format`;

/** The readings of a round, in one value: a page of rounds costs one question and little to take in. */
const readingsInOne = sql`case when e.kind in ('round', 'side', 'paper-round') then
    (select json_agg(r order by r.ordinal) from reading r where r.entry_id = e.id) end`;
const readings = sql`${readingsInOne} as readings`;

const toEntry = (row: Row): Entry =>
  ({
    ...asWritten(row),
    body: bodyOf(row.kind, row.format < thisFormat ? bodyAsToday(row.format, row.kind, row.body) : row.body, row.id),
    // Entries of earlier formats do not hold the name: theirs is that of the account.
    madeByName: row.made_by_name ?? row.account_name ?? "",
  }) as Entry;

const bodyOf = (kind: EntryKind, body: unknown, id: string) => stored(entryBodies[kind], body, `entry ${id}`);

/** An entry as its hash covers it, whatever its format. */
const asWritten = (row: Row) => ({
  id: row.id,
  machineId: row.machine_id,
  seq: row.seq,
  jobId: row.job_id,
  stageId: row.stage_id,
  kind: row.kind,
  body: row.body,
  namesEntry: row.names_entry,
  madeBy: row.made_by,
  ...(row.format < thisFormat ? {} : { madeByName: row.made_by_name }),
  madeAt: row.made_at.toISOString(),
  recordedAt: row.recorded_at.toISOString(),
  usage: row.usage,
  geometryId: row.geometry_id,
  adjusterId: row.adjuster_id,
  limitsId: row.limits_id,
  readings: (row.readings ?? []).map(toReading),
});

const toReading = (row: Row): ReadingRecord => ({
  ordinal: row.ordinal,
  tooth: row.tooth,
  turn: row.turn,
  angleDeg: row.angle_deg,
  sense: row.sense,
  quantity: row.quantity,
  typed: row.typed,
  unit: row.unit,
  value: row.value,
  struck: row.struck,
  repeats: row.repeats,
  indicatorRadiusMm: row.indicator_radius_mm,
  indicatorAngleDeg: row.indicator_angle_deg,
  instrumentId: row.instrument_id,
  held: row.held,
  resolution: row.resolution,
  expandedUncertainty: row.expanded_uncertainty,
  temperatureC: row.temperature_c,
  live: row.live,
});

/** The readings of rounds, by entry. */
export const readingsOf = async (
  db: Database,
  entryIds: readonly string[],
): Promise<ReadonlyMap<string, ReadingRecord[]>> =>
  entryIds.length === 0
    ? new Map()
    : new Map(
        await many(
          db,
          sql`select entry_id, json_agg(reading order by ordinal) as readings from reading
              where entry_id = any(${entryIds}) group by entry_id`,
          (row) => [row.entry_id as string, row.readings.map(toReading)],
        ),
      );

/** Whether no correction says that an entry does not count. */
const notVoided = (entryId: Statement): Statement => sql`not exists (
    select 1 from entry v where v.names_entry = ${entryId} and v.kind = 'correction' and (v.body->>'voids')::boolean)`;

export const namedEntries = (db: Database, statement: Statement): Promise<Entry[]> => many(db, statement, toEntry);

export const entriesOfJob = (db: Database, jobId: string) =>
  namedEntries(
    db,
    sql`select ${shown}, ${readings}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by where e.job_id = ${jobId} order by e.seq`,
  );

/** Entries by which jobs other than this one took parts of a machine off that no other job has put on again, oldest first. */
export const partsLeftOff = (db: Database, machineId: string, exceptJob: string | null) =>
  namedEntries(
    db,
    sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.kind = 'part-off' and e.job_id is distinct from ${exceptJob}::uuid and ${notVoided(sql`e.id`)}
          and not exists (
            select 1 from entry k where k.names_entry = e.id and k.kind = 'part-on' and k.job_id is distinct from ${exceptJob}::uuid and ${notVoided(sql`k.id`)})
        order by e.seq limit 400`,
  );

/** How each shaft of a machine was last fitted by a job other than this one. */
export const lastShaftEntries = async (db: Database, machineId: string, exceptJob: string | null) =>
  (
    await namedEntries(
      db,
      sql`select distinct on (e.body -> 'shaft' ->> 'shaftId') ${shown}, coalesce(p.signed_as, p.name) as account_name
          from entry e join person p on p.id = e.made_by
          where e.machine_id = ${machineId} and e.kind = 'shaft' and e.body->>'phase' = 'as fitted'
            and e.job_id is distinct from ${exceptJob}::uuid and ${notVoided(sql`e.id`)}
          order by e.body -> 'shaft' ->> 'shaftId', e.seq desc limit 60`,
    )
  ).filter(isKind("shaft"));

/** A page of a machine's logbook, newest first, below the number given; only entries with these words in them, if any. */
export const logbookPage = (db: Database, machineId: string, beforeSeq: number, words: string, size: number) => {
  const like = containing(words);
  return namedEntries(
    db,
    sql`select ${shown}, ${readings}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.seq < ${beforeSeq}
          and (${words} = '' or e.kind ilike ${like} or e.body::text ilike ${like} or p.name ilike ${like}
            or e.stage_id in (select id from stage where machine_id = ${machineId} and name ilike ${like}))
        order by e.seq desc limit ${size}`,
  );
};

/** A machine's logbook from a number on, oldest first. */
export const logbookFrom = (db: Database, machineId: string, afterSeq: number, size: number) =>
  namedEntries(
    db,
    sql`select ${shown}, ${readings}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.seq > ${afterSeq} order by e.seq limit ${size}`,
  );

/** The number of a machine's newest entry; 0 for an empty logbook. */
export const lastNumber = (db: Database, machineId: string) =>
  one(
    db,
    sql`select coalesce(max(seq), 0) as last from entry where machine_id = ${machineId}`,
    (row) => row.last as number,
  );

/** The corrections of entries, for showing them beside what they correct. */
export const correctionsOf = (db: Database, ids: readonly string[]) =>
  namedEntries(
    db,
    sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.names_entry = any(${ids}) and e.kind = 'correction' order by e.seq`,
  );

/** The newest reading of a machine's meter that no correction voids. */
export const lastUsage = (db: Database, machineId: string) =>
  maybeOne(
    db,
    sql`select e.id, e.body from entry e where e.machine_id = ${machineId} and e.kind = 'usage'
          and not exists (
            select 1 from entry k where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)
        order by e.seq desc limit 1`,
    (row) => stored(entryBodies.usage, row.body, `entry ${row.id}`),
  );

/** Readings of a machine's meter, newest first. */
export const usageReadings = (db: Database, machineId: string, size: number) =>
  namedEntries(
    db,
    sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.kind = 'usage' order by e.seq desc limit ${size}`,
  );

/** What was greased and looked at on a machine and counts, newest first. */
export const upkeepWork = (db: Database, machineId: string, size: number) =>
  namedEntries(
    db,
    sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.kind in ('greased', 'looked') and ${notVoided(sql`e.id`)}
        order by e.seq desc limit ${size}`,
  );

/** What a machine did that it should not, and what came of its suspects, newest first. */
export const symptomWork = (db: Database, machineId: string, size: number) =>
  namedEntries(
    db,
    sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.kind in ('symptom', 'suspect') and ${notVoided(sql`e.id`)}
        order by e.seq desc limit ${size}`,
  );

/** Photographs that name one of these entries, oldest first. */
export const photographsNaming = (db: Database, entryIds: readonly string[]) =>
  entryIds.length === 0
    ? []
    : many(
        db,
        sql`select e.id, e.names_entry, e.body->>'caption' as caption from entry e
            where e.names_entry = any(${entryIds}) and e.kind = 'attachment' and e.body->>'mediaType' like 'image/%'
            order by e.seq limit 800`,
        (row) => ({ id: row.id as string, of: row.names_entry as string, caption: row.caption as string }),
      );

/** Photographs and files of a machine, newest first. */
export const attachmentsOf = (db: Database, machineId: string, size: number) =>
  namedEntries(
    db,
    sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
        where e.machine_id = ${machineId} and e.kind = 'attachment' order by e.seq desc limit ${size}`,
  );

/**
 * What a stage's standing and trend rest on: its newest rounds, moves and changes with the corrections that name them, oldest
 * first, without the single readings.
 */
export const stageHistory = (db: Database, stageId: string, size: number) =>
  many(
    db,
    sql`
      with work as (
        (select ${shown} from entry e where stage_id = ${stageId} and kind = 'round' order by seq desc limit ${size})
        union all
        (select ${shown} from entry e where stage_id = ${stageId} and kind = 'paper-round' order by made_at desc limit ${size})
        union all
        (select ${shown} from entry e where stage_id = ${stageId} and kind in ('feel', 'side') order by seq desc limit 20)
        union all
        (select ${shown} from entry e where stage_id = ${stageId} and kind = 'move' order by seq desc limit ${size})
        union all
        (select ${shown} from entry e where stage_id = ${stageId} and kind = 'clamp' order by seq desc limit 8)
        union all
        (select ${shown} from entry e where stage_id = ${stageId} and kind = 'change' order by seq desc limit 40))
      select * from work
      union all
      select ${shown} from entry e join work w on e.names_entry = w.id where e.kind = 'correction'
      order by seq`,
    toEntry,
  );

/** The newest tries of parts on a stage with the corrections that name them, oldest first. */
export const trialsOf = (db: Database, stageId: string, size: number) => ofKind(db, stageId, "trial", size);

/** The newest runs of a stage, in the same way. */
export const proofsOf = (db: Database, stageId: string, size: number) => ofKind(db, stageId, "proof", size);

/** The same of the mechanisms that stand beside each other for it. */
/** Ways to build assemblies of a machine, each as it was ever said, oldest first. */
export const optionsOfMachine = async (db: Database, machineId: string, size: number) =>
  (
    await namedEntries(
      db,
      sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
          where e.machine_id = ${machineId} and e.kind = 'option' and e.stage_id is null and ${notVoided(sql`e.id`)}
          order by e.seq desc limit ${size}`,
    )
  ).reverse();

export const optionsOfStage = (db: Database, stageId: string, size: number) => ofKind(db, stageId, "option", size);

const ofKind = (db: Database, stageId: string, kind: Entry["kind"], size: number) =>
  many(
    db,
    sql`
      with newest as (
        select ${shown} from entry e where stage_id = ${stageId} and kind = ${kind} order by seq desc limit ${size})
      select * from newest
      union all
      select ${shown} from entry e join newest w on e.names_entry = w.id where e.kind = 'correction'
      order by seq`,
    toEntry,
  );

/**
 * The newest rounds and moves of stages with the corrections that name them, oldest first: what the response is learnt from. One question for all
 * of them; readings come with the newest rounds only, which is as far back as anything is carried over.
 *
 * @param size of rounds and of moves for each stage
 * @param withReadings for so many of the newest rounds of each
 */
export async function recentWorkOf(
  db: Database,
  stageIds: readonly string[],
  size: number,
  withReadings: number,
): Promise<Map<string, Entry[]>> {
  const newest = (kind: "round" | "move") =>
    sql`select ${shown}, row_number() over (order by e.seq desc) as age from entry e
        where e.stage_id = s.id and e.kind = ${kind} order by e.seq desc limit ${size}`;
  const items = await many(
    db,
    sql`
      with work as (
        select w.* from unnest(${stageIds}::uuid[]) as s (id), lateral ((${newest("round")}) union all (${newest("move")})) w)
      select e.*, case when e.age <= ${withReadings} then ${readingsInOne} end as readings from work e
      union all
      select ${shown}, 0, null from entry e join work w on e.names_entry = w.id where e.kind = 'correction'
      order by stage_id, seq`,
    (row) => ({ entry: toEntry(row), stageId: row.stage_id as string }),
  );
  const work = new Map<string, Entry[]>(stageIds.map((id) => [id, []]));
  for (const { entry, stageId } of items) work.get(stageId)?.push(entry);
  return work;
}

/** The last proof runs of stages before a job, newest first. */
export async function earlierProofsOf(
  db: Database,
  stageIds: readonly string[],
  jobId: string | null,
  size: number,
): Promise<Map<string, Entry[]>> {
  const entries = await namedEntries(
    db,
    sql`select e.*, coalesce(p.signed_as, p.name) as account_name from unnest(${stageIds}::uuid[]) as s (id),
          lateral (select ${shown} from entry e where e.stage_id = s.id and e.kind = 'proof' and e.job_id is distinct from ${jobId}
            order by e.seq desc limit ${size}) e join person p on p.id = e.made_by
        order by e.stage_id, e.seq desc`,
  );
  const proofs = new Map<string, Entry[]>(stageIds.map((id) => [id, []]));
  for (const entry of entries) proofs.get(entry.stageId ?? "")?.push(entry);
  return proofs;
}

/** The names that entries of earlier formats, which hold none, were made under: of a machine or one of its jobs, by person. */
export const namesBeside = async (
  db: Database,
  machineId: string,
  jobId: string | null,
): Promise<Record<string, string>> =>
  Object.fromEntries(
    await many(
      db,
      sql`select distinct p.id, coalesce(p.signed_as, p.name) as name from entry e join person p on p.id = e.made_by
          where e.machine_id = ${machineId} and e.format < 3 and (${jobId}::uuid is null or e.job_id = ${jobId})`,
      (row) => [row.id as string, row.name as string],
    ),
  );

const toStored = (row: Row): StoredEntry => ({
  entry: asStored(row),
  previousHash: row.previous_hash,
  hash: row.hash,
});

/** With its readings as they were written. */
function asStored(row: Row): WrittenEntry {
  const entry = asWritten(row);
  return row.format === 1 ? { ...entry, readings: entry.readings.map(readingAsWritten) } : entry;
}

/** An entry with the digest of what it was made from, for telling the same thing sent again; null of earlier releases. */
export const submittedEntry = (db: Database, id: string) =>
  maybeOne(db, sql`select * from entry where id = ${id}`, (row) => ({
    entry: toEntry(row),
    submitted: (row.submitted ?? null) as Buffer | null,
  }));

export const entryById = (db: Database, id: string) => maybeOne(db, sql`select * from entry where id = ${id}`, toEntry);

/** Entries of a machine from a number on, for verifying the chain. */
export const chainPage = (db: Database, machineId: string, afterSeq: number, size: number) =>
  many(
    db,
    sql`select e.*, ${readings} from entry e where machine_id = ${machineId} and seq > ${afterSeq} order by seq limit ${size}`,
    toStored,
  );

/** The entries of a job with their hashes, in order. */
export const storedOfJob = (db: Database, jobId: string) =>
  many(db, sql`select e.*, ${readings} from entry e where job_id = ${jobId} order by seq`, toStored);

/** As an entry is written now. */
type NewEntry = WrittenEntry & { madeByName: string; readings: readonly ReadingRecord[] };

export async function insertEntry(
  db: Database,
  {
    entry,
    previousHash,
    hash,
    submitted,
  }: { entry: NewEntry; previousHash: Buffer; hash: Buffer; submitted: Buffer | null },
): Promise<void> {
  const e = entry;
  await none(
    db,
    sql`insert into entry (id, machine_id, seq, job_id, stage_id, kind, body, names_entry, made_by, made_at, recorded_at,
          usage, geometry_id, adjuster_id, limits_id, previous_hash, hash, made_by_name, format, submitted)
        values (${e.id}, ${e.machineId}, ${e.seq}, ${e.jobId}, ${e.stageId}, ${e.kind}, ${JSON.stringify(e.body)},
          ${e.namesEntry}, ${e.madeBy}, ${e.madeAt}, ${e.recordedAt}, ${e.usage}, ${e.geometryId}, ${e.adjusterId},
          ${e.limitsId}, ${previousHash}, ${hash}, ${e.madeByName}, ${thisFormat}, ${submitted})`,
  );
  if (e.readings.length > 0) await insertReadings(db, e.id, e.readings);
}

const insertReadings = (db: Database, entryId: string, readings: readonly ReadingRecord[]) =>
  none(
    db,
    sql`insert into reading (entry_id, ordinal, tooth, turn, angle_deg, sense, quantity, typed, unit, value, struck, repeats,
          indicator_radius_mm, indicator_angle_deg, instrument_id, resolution, expanded_uncertainty, temperature_c, live, held)
        select ${entryId}::uuid, r.* from jsonb_to_recordset(${JSON.stringify(readings.map(readingColumns))}::jsonb) as r(
          ordinal int, tooth int, turn int, angle_deg float8, sense text, quantity text, typed text, unit text,
          value float8, struck boolean, repeats int, indicator_radius_mm float8, indicator_angle_deg float8,
          instrument_id uuid, resolution float8, expanded_uncertainty float8, temperature_c float8, live boolean, held float8)`,
  );

const readingColumns = (r: ReadingRecord) => ({
  ordinal: r.ordinal,
  tooth: r.tooth,
  turn: r.turn,
  angle_deg: r.angleDeg,
  sense: r.sense,
  quantity: r.quantity,
  typed: r.typed,
  unit: r.unit,
  value: r.value,
  struck: r.struck,
  repeats: r.repeats,
  indicator_radius_mm: r.indicatorRadiusMm,
  indicator_angle_deg: r.indicatorAngleDeg,
  instrument_id: r.instrumentId,
  resolution: r.resolution,
  expanded_uncertainty: r.expandedUncertainty,
  temperature_c: r.temperatureC,
  live: r.live,
  held: r.held,
});

/** The last runs of the like stages of a machine's twins: the same kind under the same name, newest first, with whose they are. */
export const twinRuns = (db: Database, stageIds: readonly string[], size: number) =>
  many(
    db,
    sql`select e.*, s.id as of_stage, t.name as twin, coalesce(p.signed_as, p.name) as account_name
        from stage s join machine m on m.id = s.machine_id
        join machine t on t.workshop_id = m.workshop_id and t.id <> m.id and t.retired_at is null
          and ((t.model <> '' and lower(t.model) = lower(m.model)) or t.twin_of = m.id or t.id = m.twin_of)
        join stage o on o.machine_id = t.id and o.kind = s.kind and lower(o.name) = lower(s.name) and o.retired_at is null
        cross join lateral (select ${shown} from entry e where e.stage_id = o.id and e.kind = 'proof' and ${notVoided(sql`e.id`)}
          order by e.seq desc limit ${size}) e
        join person p on p.id = e.made_by
        where s.id = any(${stageIds}) order by t.name, e.seq desc`,
    (row) => ({ stageId: row.of_stage as string, twin: row.twin as string, entry: toEntry(row) }),
  );

/** When the parts of stages were last revised. */
export const lastRevised = (db: Database, stageIds: readonly string[]) =>
  many(
    db,
    sql`select distinct on (e.stage_id) e.stage_id, e.made_at from entry e
        where e.stage_id = any(${stageIds}) and e.kind = 'change' and e.body->>'what' = 'geometry' order by e.stage_id, e.seq desc`,
    (row) => ({ stageId: row.stage_id as string, at: row.made_at.toISOString() as string }),
  );

/** Closures measured on a stage, and what was computed of its errors, that count; oldest first. */
export const closureWork = async (db: Database, stageId: string, size: number) =>
  (
    await namedEntries(
      db,
      sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
          where e.stage_id = ${stageId} and ((e.kind = 'measured' and e.body->>'tool' = 'closure')
            or (e.kind = 'computation' and e.body->>'tool' = 'index-error')) and ${notVoided(sql`e.id`)}
          order by e.seq desc limit ${size}`,
    )
  ).reverse();

/** The newest powered and other runs of a machine that count, oldest first. */
export const runsOfMachine = async (db: Database, machineId: string, size: number) =>
  (
    await namedEntries(
      db,
      sql`select ${shown}, coalesce(p.signed_as, p.name) as account_name from entry e join person p on p.id = e.made_by
          where e.machine_id = ${machineId} and e.kind = 'proof' and ${notVoided(sql`e.id`)}
          order by e.seq desc limit ${size}`,
    )
  )
    .reverse()
    .filter(isKind("proof"));

/** Days of the rounds of paper that count on a stage. */
export const paperDays = (db: Database, stageId: string) =>
  many(
    db,
    sql`select (e.made_at at time zone 'UTC')::date::text as day from entry e
        where e.stage_id = ${stageId} and e.kind = 'paper-round' and ${notVoided(sql`e.id`)}`,
    (row) => row.day as string,
  );
