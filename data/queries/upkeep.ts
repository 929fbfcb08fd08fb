import type { UpkeepList } from "../../core/greasing";
import { upkeepList } from "../../core/greasing/schema";
import { type Database, many, maybeOne, none, sql, stored } from "../postgres";

export type KeptUpkeep = { id: string; revision: number; list: UpkeepList };

/** The list of a machine as it is now; null where nobody wrote one. */
export const upkeepOf = (db: Database, machineId: string) =>
  maybeOne(
    db,
    sql`select id, revision, list from upkeep_revision where machine_id = ${machineId} order by revision desc limit 1`,
    (row): KeptUpkeep => ({
      id: row.id,
      revision: row.revision,
      list: stored(upkeepList, row.list, `upkeep ${row.id}`),
    }),
  );

export const insertUpkeep = (db: Database, u: KeptUpkeep & { machineId: string; madeBy: string; at: Date }) =>
  none(
    db,
    sql`insert into upkeep_revision (id, machine_id, revision, list, made_by, made_at)
        values (${u.id}, ${u.machineId}, ${u.revision}, ${JSON.stringify(u.list)}, ${u.madeBy}, ${u.at})`,
  );

/** When the first of a machine's list is due; null takes it off the plan. */
export const keepUpkeepDue = (
  db: Database,
  machineId: string,
  due: { on: string | null; what: string; kind: "grease" | "look" } | null,
) =>
  due === null
    ? none(db, sql`delete from upkeep_due where machine_id = ${machineId}`)
    : none(
        db,
        sql`insert into upkeep_due (machine_id, due_on, what, kind) values (${machineId}, ${due.on}, ${due.what}, ${due.kind})
            on conflict (machine_id) do update set due_on = excluded.due_on, what = excluded.what, kind = excluded.kind`,
      );

/** What is due first of each of these machines. */
export const upkeepDueOf = (db: Database, machineIds: readonly string[]) =>
  many(
    db,
    sql`select machine_id, to_char(due_on, 'YYYY-MM-DD') as due_on, what, kind from upkeep_due where machine_id = any(${machineIds})`,
    (row) => ({
      machineId: row.machine_id as string,
      on: row.due_on as string | null,
      what: row.what as string,
      kind: row.kind as "grease" | "look",
    }),
  );
