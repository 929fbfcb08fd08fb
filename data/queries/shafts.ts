import type { MachineShaft } from "../../core/logbook";
import type { Shaft } from "../../core/shafts";
import { shaftRevision } from "../../core/shafts/schema";
import { type Database, many, none, type Row, type Statement, sql, stored } from "../postgres";
import { lastShaftEntries } from "./entries";

export type KeptShaft = Shaft & { madeBy: string; madeByName: string; madeAt: string };

const toShaft = (row: Row): KeptShaft => ({
  ...stored(
    shaftRevision,
    { ...row.shaft, id: row.id, shaftId: row.shaft_id, machineId: row.machine_id, revision: row.revision },
    `shaft ${row.id}`,
  ),
  madeBy: row.made_by,
  madeByName: row.made_by_name,
  madeAt: row.made_at.toISOString(),
});

const shafts = (db: Database, which: Statement) =>
  many(
    db,
    sql`select s.*, p.name as made_by_name from shaft_revision s join person p on p.id = s.made_by ${which}`,
    toShaft,
  );

/** The newest revision of each shaft of a machine, by name. */
export const shaftsOfMachine = (db: Database, machineId: string) =>
  shafts(
    db,
    sql`where s.machine_id = ${machineId}
          and s.revision = (select max(n.revision) from shaft_revision n where n.shaft_id = s.shaft_id)
        order by lower(s.shaft->>'name'), s.shaft_id limit 60`,
  );

/** The newest revision of a shaft, if it is of this workshop. */
export const shaftById = async (db: Database, workshopId: string, shaftId: string): Promise<KeptShaft | null> =>
  (
    await shafts(
      db,
      sql`join machine m on m.id = s.machine_id where s.shaft_id = ${shaftId} and m.workshop_id = ${workshopId}
          order by s.revision desc limit 1`,
    )
  )[0] ?? null;

/** Its revisions, newest first. */
export const revisionsOfShaft = (db: Database, shaftId: string) =>
  shafts(db, sql`where s.shaft_id = ${shaftId} order by s.revision desc limit 60`);

/** The shafts of a machine as they stand; what a job still open says of them is that job's own. */
export async function machineShafts(
  db: Database,
  machineId: string,
  exceptJob: string | null,
): Promise<MachineShaft[]> {
  const [found, fitted] = await Promise.all([
    shaftsOfMachine(db, machineId),
    lastShaftEntries(db, machineId, exceptJob),
  ]);
  return found.map((shaft) => ({
    shaft,
    fitted: fitted.find(({ body }) => body.shaft.shaftId === shaft.shaftId) ?? null,
  }));
}

export const insertShaft = (
  db: Database,
  { id, shaftId, machineId, revision, madeBy, at, ...shaft }: Shaft & { madeBy: string; at: Date },
) =>
  none(
    db,
    sql`insert into shaft_revision (id, shaft_id, machine_id, revision, shaft, made_by, made_at)
        values (${id}, ${shaftId}, ${machineId}, ${revision}, ${JSON.stringify(shaft)}, ${madeBy}, ${at})`,
  );
