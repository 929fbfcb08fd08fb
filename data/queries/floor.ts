import type { Machine } from "../../core/records";
import { type FloorState, floorStates } from "../../core/records/floor-state";
import type { StageKind } from "../../core/stages";
import { containing, type Database, many, type Row, type Statement, sql } from "../postgres";
import { toMachine } from "./machines";

/** What machines are looked for: words in name, tag, site, hall or place; one site or hall, one kind of stage, those of one's open jobs. */
export type FloorFilter = {
  words: string;
  site: string | null;
  hall: string | null;
  kind: StageKind | null;
  /** The person whose they are: who has a job open there, or was given work. */
  mine: string | null;
};
/** Everything there is. */
export const wholeFloor: FloorFilter = { words: "", site: null, hall: null, kind: null, mine: null };

/** The day it is where one reads, until when a date counts as due, and until when a trend that leads out is told. */
export type FloorDays = { today: string; dueUntil: string; soon: Date; now: Date };
export type FloorPlace = { rank: number; name: string; id: string };
export type FloorMachine = Machine & FloorPlace & { states: FloorState[] };

/**
 * How much a machine asks for somebody: 0 outside, 1 overdue, or out already by its trend, 2 near the edge, 3 drifts out before `soon`,
 * 4 not read or without a stage, 5 open points or jobs, 6 nothing. Beside it every state that it is in.
 */
/** Not known, but for what was measured and only has no limits to be judged by: that was read. */
const notRead = sql`case when severity = 2 then not coalesce(standing->>'readAt' is not null and standing->>'felt' is null
  and not (standing->>'changedSince')::boolean, false) else false end`;

const ranked = (
  workshopId: string,
  { today, dueUntil, soon, now }: FloorDays,
  { words, site, hall, kind, mine }: FloorFilter,
): Statement => {
  const like = containing(words);
  return sql`
    select m.*, coalesce(t.outside, false) as outside, coalesce(t.near, false) as near,
        coalesce(t.next_date <= ${dueUntil}::date, false) or coalesce(t.drifts_out_at <= ${now}, false)
          or coalesce(u.due_on <= ${dueUntil}::date, false) as due,
        coalesce(t.unread, true) as unread, o.points is not null or j.jobs is not null as open,
        case
          when t.outside then 0
          when t.next_date < ${today}::date or t.drifts_out_at <= ${now} or u.due_on < ${today}::date then 1
          when t.near then 2 when t.drifts_out_at < ${soon} then 3
          when coalesce(t.unread, true) then 4 when o.points is not null or j.jobs is not null then 5 else 6 end as rank,
        coalesce(t.next_date < ${today}::date or u.due_on < ${today}::date, false) as overdue, coalesce(t.drifts_out_at < ${soon}, false) as drifting
    from machine m
    left join (select machine_id, bool_or(severity = 0) as outside, bool_or(severity = 1) as near, bool_or(${notRead}) as unread,
                 min(drifts_out_at) as drifts_out_at, min(next_date) as next_date
               from stage_standing group by machine_id) t on t.machine_id = m.id
    left join upkeep_due u on u.machine_id = m.id
    left join (select machine_id, count(*) as points from open_point where closed_entry is null group by machine_id) o
      on o.machine_id = m.id
    left join (select machine_id, count(*) as jobs from job where signed_entry is null group by machine_id) j
      on j.machine_id = m.id
    where m.workshop_id = ${workshopId} and m.retired_at is null
      and (${site}::text is null or m.site = ${site}) and (${hall}::text is null or m.hall = ${hall})
      and (${kind}::text is null
        or exists (select 1 from stage s where s.machine_id = m.id and s.kind = ${kind} and s.retired_at is null))
      and (${mine}::uuid is null or exists (
        select 1 from assignment a where a.machine_id = m.id and a.person_id = ${mine}) or exists (
        select 1 from job w where w.machine_id = m.id and w.signed_entry is null and (w.opened_by = ${mine}
          or exists (select 1 from entry e where e.job_id = w.id and e.made_by = ${mine}))))
      and (${words} = '' or m.name ilike ${like} or m.tag ilike ${like} or m.site ilike ${like} or m.hall ilike ${like}
        or m.place ilike ${like})`;
};

/** A page of the floor in one state or in any, worst first and then by name, after the place given. */
export const floorPage = (
  db: Database,
  workshopId: string,
  days: FloorDays,
  filter: FloorFilter,
  state: FloorState | null,
  after: FloorPlace | null,
  size: number,
) =>
  many(
    db,
    sql`select * from (${ranked(workshopId, days, filter)}) r
        where (${after?.rank ?? null}::int is null
          or (rank, name, id) > (${after?.rank ?? null}::int, ${after?.name ?? null}::text, ${after?.id ?? null}::uuid))
          and case ${state}::text when 'outside' then outside when 'near' then near when 'due' then due
            when 'unread' then unread when 'open' then open else true end
        order by rank, name, id limit ${size}`,
    (row): FloorMachine => ({
      ...toMachine(row),
      rank: row.rank,
      states: floorStates.filter((one) => row[one] === true),
    }),
  );

export type FloorCounts = Record<FloorState, number> & { machines: number; overdue: number; drifting: number };
export type FloorGroup = FloorCounts & { site: string; hall: string };

const toCounts = (row: Row): FloorCounts => ({
  machines: row.machines,
  outside: row.outside,
  near: row.near,
  due: row.due,
  unread: row.unread,
  open: row.open,
  overdue: row.overdue,
  drifting: row.drifting,
});

/** How the machines that fit stand, by site and hall. */
export const floorGroups = (db: Database, workshopId: string, days: FloorDays, filter: FloorFilter) =>
  many(
    db,
    sql`select site, hall, count(*) as machines, count(*) filter (where outside) as outside,
          count(*) filter (where near) as near, count(*) filter (where due) as due, count(*) filter (where unread) as unread,
          count(*) filter (where open) as open, count(*) filter (where overdue) as overdue,
          count(*) filter (where drifting and not outside) as drifting
        from (${ranked(workshopId, days, filter)}) r
        group by site, hall order by site, hall`,
    (row): FloorGroup => ({ site: row.site, hall: row.hall, ...toCounts(row) }),
  );

/** Kinds of stage that stand on the floor. */
export const kindsOnFloor = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select distinct s.kind from stage s join machine m on m.id = s.machine_id
        where m.workshop_id = ${workshopId} and m.retired_at is null and s.retired_at is null order by s.kind`,
    (row) => row.kind as StageKind,
  );

/** Retired machines, the last retired first. */
export const retiredMachines = (db: Database, workshopId: string, size: number) =>
  many(
    db,
    sql`select * from machine where workshop_id = ${workshopId} and retired_at is not null order by retired_at desc limit ${size}`,
    toMachine,
  );

export type StageChoice = { id: string; name: string; machineId: string; machineName: string; tag: string };

/** Stages by words of their own or their machine's name, for choosing one. */
export const findStages = (db: Database, workshopId: string, words: string, size: number) =>
  many(
    db,
    sql`select s.id, s.name, m.id as machine_id, m.name as machine_name, m.tag
        from stage s join machine m on m.id = s.machine_id
        where m.workshop_id = ${workshopId} and m.retired_at is null and s.retired_at is null
          and (m.name || ' ' || s.name || ' ' || m.tag) ilike ${containing(words)}
        order by m.name, s.position limit ${size}`,
    (row): StageChoice => ({
      id: row.id,
      name: row.name,
      machineId: row.machine_id,
      machineName: row.machine_name,
      tag: row.tag,
    }),
  );
