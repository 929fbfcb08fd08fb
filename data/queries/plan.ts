import type { DueItem } from "../../core/plan";
import { type Database, many, type Row, type Statement, sql } from "../postgres";

/** What of the plan is asked for; null: any. */
export type PlanFilter = {
  site: string | null;
  hall: string | null;
  /** Whose it is. */
  personId: string | null;
  /** Up to this day, "2026-11-30"; null: every day. */
  until: string | null;
  /** Of one machine. */
  machineId?: string | null;
};
export type PlanPlace = { on: string; kind: string; key: string };

const place = sql`m.id as machine_id, m.name as machine_name, m.tag, m.site, m.hall, m.place`;
const none = sql`null::jsonb as between_days, null::double precision as total, null as unit`;

/**
 * Everything of a workshop that has a day. What is planned of a stage belongs to whoever was given its next visit, and so does what its trend
 * says.
 */
const dated = (workshopId: string): Statement => sql`
  select 'visit' as kind, t.stage_id::text as key, t.next_date as day, ${place}, s.id as stage_id, s.name as stage_name, t.plan as what, ${none}
    from stage_standing t join stage s on s.id = t.stage_id join machine m on m.id = t.machine_id
    where m.workshop_id = ${workshopId} and m.retired_at is null and t.next_date is not null
  union all
  select 'usage', t.stage_id::text, t.next_usage_on, ${place}, s.id, s.name, t.plan, null, t.next_usage, m.usage_unit
    from stage_standing t join stage s on s.id = t.stage_id join machine m on m.id = t.machine_id
    where m.workshop_id = ${workshopId} and m.retired_at is null and t.next_usage_on is not null
  union all
  select 'drift', t.stage_id::text, (t.drifts_out_at at time zone w.time_zone)::date, ${place}, s.id, s.name, '', t.standing->'drift', null, null
    from stage_standing t join stage s on s.id = t.stage_id join machine m on m.id = t.machine_id join workshop w on w.id = m.workshop_id
    where m.workshop_id = ${workshopId} and m.retired_at is null and t.drifts_out_at is not null
  union all
  select 'wear', t.stage_id::text, (t.wears_out_at at time zone w.time_zone)::date, ${place}, s.id, s.name, '', t.wear, null, null
    from stage_standing t join stage s on s.id = t.stage_id join machine m on m.id = t.machine_id join workshop w on w.id = m.workshop_id
    where m.workshop_id = ${workshopId} and m.retired_at is null and t.wears_out_at is not null
  union all
  select u.kind, u.machine_id::text, u.due_on, ${place}, null, null, u.what, null, null, null
    from upkeep_due u join machine m on m.id = u.machine_id
    where m.workshop_id = ${workshopId} and m.retired_at is null and u.due_on is not null
  union all
  select 'point', o.id::text, o.due_on, ${place}, s.id, s.name, coalesce(nullif(o.text, ''), o.code), null, null, null
    from open_point o join machine m on m.id = o.machine_id left join stage s on s.id = o.stage_id
    where m.workshop_id = ${workshopId} and m.retired_at is null and o.closed_entry is null and o.due_on is not null
  union all
  select 'calibration', i.id::text, i.due_on, null, null, null, null, null, null, null, null, i.name, null, null, null
    from instrument i where i.workshop_id = ${workshopId} and i.retired_at is null and i.due_on is not null`;

const toItem = (row: Row): DueItem => ({
  kind: row.kind,
  key: row.key,
  on: row.day,
  machine: row.machine_id && {
    ...{ id: row.machine_id, name: row.machine_name, tag: row.tag },
    ...{ site: row.site, hall: row.hall, place: row.place },
  },
  stage: row.stage_id && { id: row.stage_id, name: row.stage_name },
  what: row.what,
  between: row.between_days && {
    earliest: row.between_days.earliest,
    latest: row.between_days.latest,
    limit: row.between_days.limit ?? "hi",
  },
  atUsage: row.total === null ? null : { total: row.total, unit: row.unit },
  to: row.person_id && { id: row.person_id, name: row.person_name },
  note: row.note ?? "",
});

const asked = (workshopId: string, { site, hall, personId, until, machineId = null }: PlanFilter): Statement => sql`
  select d.*, a.person_id, p.name as person_name, a.note
  from (${dated(workshopId)}) d left join assignment a on a.stage_id = d.stage_id left join person p on p.id = a.person_id
  where (${site}::text is null or d.site = ${site}) and (${hall}::text is null or d.hall = ${hall})
    and (${machineId}::uuid is null or d.machine_id = ${machineId})
    and (${personId}::uuid is null or a.person_id = ${personId}) and (${until}::date is null or d.day <= ${until}::date)`;

/** A page of the plan, the first due first, after the place given. */
export const planPage = (db: Database, workshopId: string, filter: PlanFilter, after: PlanPlace | null, size: number) =>
  many(
    db,
    sql`select q.*, q.day::text as day from (${asked(workshopId, filter)}) q
        where (${after?.on ?? null}::date is null or (q.day, q.kind, q.key) > (${after?.on ?? null}::date, ${after?.kind ?? null}::text, ${after?.key ?? null}::text))
        order by q.day, q.kind, q.key limit ${size}`,
    toItem,
  );

/** How many are due before a day, on it, and after it. */
export const planCounts = (db: Database, workshopId: string, filter: PlanFilter, today: string) =>
  many(
    db,
    sql`select count(*) filter (where q.day < ${today}::date) as passed, count(*) filter (where q.day = ${today}::date) as today,
          count(*) filter (where q.day > ${today}::date) as ahead from (${asked(workshopId, filter)}) q`,
    (row) => ({ passed: row.passed as number, today: row.today as number, ahead: row.ahead as number }),
  );

/** Where machines stand, by site and hall. */
export const hallsOfWorkshop = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select distinct site, hall from machine where workshop_id = ${workshopId} and retired_at is null order by site, hall`,
    (row) => ({ site: row.site as string, hall: row.hall as string }),
  );

/** With what each of these stages was last read, where it was. */
export const lastInstruments = (db: Database, stageIds: readonly string[]) =>
  many(
    db,
    sql`select s.id, i.name from unnest(${stageIds as string[]}::uuid[]) as s(id)
        cross join lateral (select e.id from entry e where e.stage_id = s.id and e.kind = 'round' order by e.seq desc limit 1) e
        cross join lateral (select r.instrument_id from reading r where r.entry_id = e.id order by r.ordinal limit 1) r
        join instrument i on i.id = r.instrument_id`,
    (row) => ({ stageId: row.id as string, name: row.name as string }),
  );
