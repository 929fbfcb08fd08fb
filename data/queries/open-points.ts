import type { SignedRecord } from "../../core/logbook";
import { type Database, many, maybeOne, none, type Row, sql } from "../postgres";

export type OpenPoint = {
  id: string;
  machineId: string;
  stageId: string | null;
  /** A provisional point of a signature, or "said". */
  code: string;
  text: string;
  openedEntry: string;
  openedAt: string;
  /** The day it is to be done, where somebody gave one. */
  dueOn: string | null;
};
/** With who opened it, and what was left where a signature did. */
export type NamedPoint = OpenPoint & {
  openedByName: string;
  left: Pick<SignedRecord, "asLeft" | "asLeftByFeel"> | null;
};

const toPoint = (row: Row): OpenPoint => ({
  id: row.id,
  machineId: row.machine_id,
  stageId: row.stage_id,
  code: row.code,
  text: row.text,
  openedEntry: row.opened_entry,
  openedAt: row.opened_at.toISOString(),
  dueOn: row.due,
});

const toNamed = (row: Row): NamedPoint => ({
  ...toPoint(row),
  openedByName: row.opened_by_name,
  left:
    row.as_left || row.as_left_by_feel ? { asLeft: row.as_left, asLeftByFeel: row.as_left_by_feel ?? undefined } : null,
});

/** Signatures of earlier formats say it otherwise. */
const asLeft = sql`e.body->'record'->'asLeft' as as_left, e.body->'record'->'asLeftByFeel' as as_left_by_feel`;
const signature = sql`left join entry e on e.id = o.opened_entry and e.kind = 'signature' and e.format = 3 and o.code = 'not-inside'`;

/** Open points of machines, longest open first. */
export const openPointsOf = (db: Database, machineIds: readonly string[]) =>
  many(
    db,
    sql`select o.*, o.due_on::text as due, p.name as opened_by_name, ${asLeft} from open_point o join person p on p.id = o.opened_by ${signature}
        where o.machine_id = any(${machineIds}) and o.closed_entry is null order by o.opened_at, o.id limit 2000`,
    toNamed,
  );

export const openPointsOfStage = (db: Database, stageId: string) =>
  many(
    db,
    sql`select *, due_on::text as due from open_point where stage_id = ${stageId} and closed_entry is null order by opened_at`,
    toPoint,
  );

export const openPointById = (db: Database, id: string) =>
  maybeOne(db, sql`select *, due_on::text as due from open_point where id = ${id} and closed_entry is null`, toPoint);

export type WorkshopPoint = NamedPoint & { machineName: string; stageName: string | null };

/** A page of the workshop's open points, longest open first, after the one given. */
export const openPointsOfWorkshop = (
  db: Database,
  workshopId: string,
  after: { at: string; id: string } | null,
  size: number,
) =>
  many(
    db,
    sql`select o.*, o.due_on::text as due, p.name as opened_by_name, m.name as machine_name, s.name as stage_name, ${asLeft}
        from open_point o join machine m on m.id = o.machine_id join person p on p.id = o.opened_by
        left join stage s on s.id = o.stage_id ${signature}
        where m.workshop_id = ${workshopId} and m.retired_at is null and o.closed_entry is null
          and (${after?.at ?? null}::timestamptz is null or (o.opened_at, o.id) > (${after?.at ?? null}::timestamptz, ${after?.id ?? null}::uuid))
        order by o.opened_at, o.id limit ${size}`,
    (row): WorkshopPoint => ({ ...toNamed(row), machineName: row.machine_name, stageName: row.stage_name }),
  );

/** Parts of the workshop's machines that are to be ordered, longest open first. */
export const ordersOfWorkshop = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select o.*, o.due_on::text as due, p.name as opened_by_name, m.name as machine_name, s.name as stage_name, null as as_left, null as as_left_by_feel
        from open_point o join machine m on m.id = o.machine_id join person p on p.id = o.opened_by
        left join stage s on s.id = o.stage_id
        where m.workshop_id = ${workshopId} and m.retired_at is null and o.closed_entry is null and o.code = 'order'
        order by o.opened_at, o.id limit 500`,
    (row): WorkshopPoint => ({ ...toNamed(row), machineName: row.machine_name, stageName: row.stage_name }),
  );

export const insertPoint = (db: Database, p: Omit<OpenPoint, "dueOn"> & { openedBy: string; dueOn?: string | null }) =>
  none(
    db,
    sql`insert into open_point (id, machine_id, stage_id, code, text, opened_entry, opened_by, opened_at, due_on)
        values (${p.id}, ${p.machineId}, ${p.stageId}, ${p.code}, ${p.text}, ${p.openedEntry}, ${p.openedBy}, ${p.openedAt}, ${p.dueOn ?? null})`,
  );

/** Closes what says of a machine that parts of it are off. */
export const closePartsOff = (db: Database, machineId: string, entryId: string) =>
  none(
    db,
    sql`update open_point set closed_entry = ${entryId}
        where machine_id = ${machineId} and code = 'parts-off' and closed_entry is null`,
  );

export const closePoints = (db: Database, ids: readonly string[], entryId: string) =>
  none(db, sql`update open_point set closed_entry = ${entryId} where id = any(${ids}) and closed_entry is null`);
