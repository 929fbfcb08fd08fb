import type { KeptDriveLine } from "../../core/stages";
import { type Database, maybeOne, none, type Row, sql } from "../postgres";

export type DriveLineRevision = { id: string; revision: number; graph: KeptDriveLine };

const toDriveLine = (row: Row): DriveLineRevision => ({ id: row.id, revision: row.revision, graph: row.graph });

/** The present drive line of a machine, or null where nobody has said what drives what. */
export const driveLineOf = (db: Database, machineId: string) =>
  maybeOne(
    db,
    sql`select * from drive_line where machine_id = ${machineId} order by revision desc limit 1`,
    toDriveLine,
  );

export const insertDriveLine = (
  db: Database,
  d: DriveLineRevision & { machineId: string; madeBy: string; from: Date },
) =>
  none(
    db,
    sql`insert into drive_line (id, machine_id, revision, graph, made_by, effective_from)
        values (${d.id}, ${d.machineId}, ${d.revision}, ${JSON.stringify(d.graph)}, ${d.madeBy}, ${d.from})`,
  );
