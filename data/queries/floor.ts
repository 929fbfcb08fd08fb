import type { Machine } from "../../core/records";
import { containing, type Database, many, type Row, type Statement, sql } from "../postgres";
import { toMachine } from "./machines";

/** What machines are looked for: words in name, tag, site, hall or place; one site or hall. */
export type FloorFilter = { words: string; site: string | null; hall: string | null };
export type FloorPlace = { rank: number; name: string; id: string };
export type FloorMachine = Machine & FloorPlace;

/**
 * How much a machine asks for somebody: 0 outside, 1 near the edge, 2 drifts out before `soon`, 3 not known or without a stage,
 * 4 open points, 5 nothing.
 */
const ranked = (workshopId: string, soon: Date, { words, site, hall }: FloorFilter): Statement => {
  const like = containing(words);
  return sql`
    select m.*, case
        when t.severity = 0 then 0 when t.severity = 1 then 1 when t.drifts_out_at < ${soon} then 2
        when coalesce(t.severity, 2) = 2 then 3 when o.points > 0 then 4 else 5 end as rank
    from machine m
    left join (select machine_id, min(severity) as severity, min(drifts_out_at) as drifts_out_at
               from stage_standing group by machine_id) t on t.machine_id = m.id
    left join (select machine_id, count(*) as points from open_point where closed_entry is null group by machine_id) o
      on o.machine_id = m.id
    where m.workshop_id = ${workshopId} and m.retired_at is null
      and (${site}::text is null or m.site = ${site}) and (${hall}::text is null or m.hall = ${hall})
      and (${words} = '' or m.name ilike ${like} or m.tag ilike ${like} or m.site ilike ${like} or m.hall ilike ${like}
        or m.place ilike ${like})`;
};

/** A page of the floor, worst first and then by name, after the place given. */
export const floorPage = (
  db: Database,
  workshopId: string,
  soon: Date,
  filter: FloorFilter,
  after: FloorPlace | null,
  size: number,
) =>
  many(
    db,
    sql`select * from (${ranked(workshopId, soon, filter)}) r
        where ${after?.rank ?? null}::int is null
          or (rank, name, id) > (${after?.rank ?? null}::int, ${after?.name ?? null}::text, ${after?.id ?? null}::uuid)
        order by rank, name, id limit ${size}`,
    (row): FloorMachine => ({ ...toMachine(row), rank: row.rank }),
  );

export type FloorGroup = {
  site: string;
  hall: string;
  machines: number;
  outside: number;
  near: number;
  drifting: number;
  unknown: number;
  points: number;
};

const toGroup = (row: Row): FloorGroup => ({
  site: row.site,
  hall: row.hall,
  machines: row.machines,
  outside: row.outside,
  near: row.near,
  drifting: row.drifting,
  unknown: row.unknown,
  points: row.points,
});

/** How the machines stand, by site and hall. */
export const floorGroups = (db: Database, workshopId: string, soon: Date) =>
  many(
    db,
    sql`select site, hall, count(*) as machines, count(*) filter (where rank = 0) as outside,
          count(*) filter (where rank = 1) as near, count(*) filter (where rank = 2) as drifting,
          count(*) filter (where rank = 3) as unknown, count(*) filter (where rank = 4) as points
        from (${ranked(workshopId, soon, { words: "", site: null, hall: null })}) r
        group by site, hall order by site, hall`,
    toGroup,
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
