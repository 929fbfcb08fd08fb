import type { RoundResult } from "../../core/logbook";
import { type Database, many, maybeOne, none, one, type Row, sql } from "../postgres";

export type Machine = {
  id: string;
  workshopId: string;
  name: string;
  tag: string;
  place: string;
  model: string;
  usageUnit: "hours" | "cycles" | "starts";
};

const toMachine = (row: Row): Machine => ({
  id: row.id,
  workshopId: row.workshop_id,
  name: row.name,
  tag: row.tag,
  place: row.place,
  model: row.model,
  usageUnit: row.usage_unit,
});

export const machinesOfWorkshop = (db: Database, workshopId: string) =>
  many(db, sql`select * from machine where workshop_id = ${workshopId} order by name`, toMachine);

export const machineById = (db: Database, workshopId: string, id: string) =>
  maybeOne(db, sql`select * from machine where id = ${id} and workshop_id = ${workshopId}`, toMachine);

export const insertMachine = (db: Database, m: Machine & { headHash: Buffer; at: Date }) =>
  none(
    db,
    sql`insert into machine (id, workshop_id, name, tag, place, model, usage_unit, created_at, head_hash)
        values (${m.id}, ${m.workshopId}, ${m.name}, ${m.tag}, ${m.place}, ${m.model}, ${m.usageUnit}, ${m.at}, ${m.headHash})`,
  );

export type ChainHead = { count: number; hash: Buffer };

/** The head of a machine's chain, its row locked until the transaction ends. */
export const lockHead = (db: Database, machineId: string) =>
  one(
    db,
    sql`select entry_count, head_hash from machine where id = ${machineId} for update`,
    (row): ChainHead => ({ count: row.entry_count, hash: row.head_hash }),
  );

export const advanceHead = (db: Database, machineId: string, head: ChainHead) =>
  none(db, sql`update machine set entry_count = ${head.count}, head_hash = ${head.hash} where id = ${machineId}`);

export type StageStanding = {
  stageId: string;
  /** The last round that counts; null: never read. */
  result: RoundResult | null;
  readAt: string | null;
  /** Something was moved or clamped after that round. */
  changedSince: boolean;
};

/** How each stage stands: its last round, and whether anything changed after it; what a correction voids does not count. */
export const standings = (db: Database, stageIds: readonly string[]) =>
  many(
    db,
    sql`
      select s.id as stage_id, r.body, r.made_at, coalesce(c.seq > r.seq, false) as changed
      from stage s
      left join lateral (
        select e.seq, e.body, e.made_at from entry e
        where e.stage_id = s.id and e.kind = 'round'
          and not exists (
            select 1 from entry k where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)
        order by e.seq desc limit 1) r on true
      left join lateral (
        select max(seq) as seq from (
          (select e.seq from entry e where e.stage_id = s.id and e.kind = 'move'
            and not exists (
              select 1 from entry k where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)
            order by e.seq desc limit 1)
          union all
          (select e.seq from entry e where e.stage_id = s.id and e.kind = 'clamp'
            and not exists (
              select 1 from entry k where k.names_entry = e.id and k.kind = 'correction' and (k.body->>'voids')::boolean)
            order by e.seq desc limit 1)) x) c on true
      where s.id = any(${stageIds})`,
    (row): StageStanding => ({
      stageId: row.stage_id,
      result: row.body?.result ?? null,
      readAt: row.made_at?.toISOString() ?? null,
      changedSince: row.changed,
    }),
  );

/** Every machine of every workshop, for verifying the logbooks. */
export const allMachines = (db: Database) => many(db, sql`select * from machine order by name`, toMachine);
