import { type Database, many, none, type Row, sql } from "../postgres";

/** Work that is somebody's: an open job, or the next visit to a stage. */
export type Assignment = {
  machineId: string;
  stageId: string | null;
  jobId: string | null;
  to: { id: string; name: string };
  note: string;
  givenByName: string;
  givenAt: string;
};

const toAssignment = (row: Row): Assignment => ({
  machineId: row.machine_id,
  stageId: row.stage_id,
  jobId: row.job_id,
  to: { id: row.person_id, name: row.name },
  note: row.note,
  givenByName: row.given_by_name,
  givenAt: row.given_at.toISOString(),
});

/** Of an open job and of the visits to its stages that it came of, the last given first. */
export const assignmentsOfJob = (db: Database, jobId: string, stageIds: readonly string[]) =>
  many(
    db,
    sql`select a.*, p.name from assignment a join person p on p.id = a.person_id
        where a.job_id = ${jobId} or a.stage_id = any(${stageIds}) order by a.given_at desc`,
    toAssignment,
  );

/** Of the next visits to a machine's stages. */
export const assignmentsOfStages = (db: Database, stageIds: readonly string[]) =>
  many(
    db,
    sql`select a.*, p.name from assignment a join person p on p.id = a.person_id where a.stage_id = any(${stageIds})`,
    toAssignment,
  );

export const assignmentsOfJobs = (db: Database, jobIds: readonly string[]) =>
  many(
    db,
    sql`select a.*, p.name from assignment a join person p on p.id = a.person_id where a.job_id = any(${jobIds})`,
    toAssignment,
  );

type Given = Omit<Assignment, "to" | "givenAt"> & { entryId: string; personId: string; at: Date };

/** Whoever it was given to before has it no more. */
export async function giveTo(db: Database, a: Given): Promise<void> {
  await takeBack(db, { jobId: a.jobId, stageIds: a.stageId ? [a.stageId] : [] });
  await none(
    db,
    sql`insert into assignment (entry_id, machine_id, stage_id, job_id, person_id, note, given_by_name, given_at)
        values (${a.entryId}, ${a.machineId}, ${a.stageId}, ${a.jobId}, ${a.personId}, ${a.note}, ${a.givenByName}, ${a.at})`,
  );
}

export const takeBack = (db: Database, of: { jobId: string | null; stageIds: readonly string[] }) =>
  none(db, sql`delete from assignment where job_id = ${of.jobId} or stage_id = any(${of.stageIds})`);

/** Nobody has what was given to somebody who is gone. */
export const takeBackFrom = (db: Database, personId: string) =>
  none(db, sql`delete from assignment where person_id = ${personId}`);
