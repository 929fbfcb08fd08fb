import type { Standing, WornOut } from "../../core/logbook";
import { type Database, many, none, type Row, sql } from "../postgres";

export type StageStanding = Standing & {
  stageId: string;
  machineId: string;
  nextDate: string | null;
  /** Total of the machine's meter at which it is to be looked at, and when that is expected; null: nobody asked, or not known. */
  nextUsage: number | null;
  nextUsageOn: string | null;
  plan: string;
};

const toStanding = (row: Row): StageStanding => ({
  ...row.standing,
  stageId: row.stage_id,
  machineId: row.machine_id,
  nextDate: row.next_date,
  nextUsage: row.next_usage,
  nextUsageOn: row.next_usage_on,
  plan: row.plan,
});

/** Counted on whenever the same logbook is judged otherwise than before. */
const judgement = 4;

const severity = { outside: 0, near: 1, unknown: 2, inside: 3 } as const;

export const standingsOfStages = (db: Database, stageIds: readonly string[]) =>
  many(
    db,
    sql`select stage_id, machine_id, standing, next_date::text, next_usage, next_usage_on::text, plan from stage_standing where stage_id = any(${stageIds})`,
    toStanding,
  );

export const keepStanding = (
  db: Database,
  stageId: string,
  machineId: string,
  standing: Standing,
  wear: WornOut | null,
) =>
  none(
    db,
    sql`insert into stage_standing (stage_id, machine_id, state, severity, standing, drifts_out_at, wears_out_at, wear, judgement)
        values (${stageId}, ${machineId}, ${standing.state}, ${severity[standing.state]}, ${JSON.stringify(standing)}, ${standing.drift?.at ?? null},
          ${wear?.at ?? null}, ${wear && JSON.stringify(wear)}, ${judgement})
        on conflict (stage_id) do update set state = excluded.state, severity = excluded.severity, standing = excluded.standing,
          drifts_out_at = excluded.drifts_out_at, wears_out_at = excluded.wears_out_at, wear = excluded.wear, judgement = excluded.judgement`,
  );

export type NextVisit = { date: string | null; usage: number | null; usageOn: string | null };

/** When the stage is to be looked at next, by day or by the meter, and what for. */
export const keepNextVisit = (db: Database, stageId: string, { date, usage, usageOn }: NextVisit, plan: string) =>
  none(
    db,
    sql`update stage_standing set next_date = ${date}, next_usage = ${usage}, next_usage_on = ${usageOn}, plan = ${plan}
        where stage_id = ${stageId}`,
  );

/** Stages of a machine that are to be looked at when its meter gets to a total. */
export const plannedByUsage = (db: Database, machineId: string) =>
  many(
    db,
    sql`select stage_id, next_usage from stage_standing where machine_id = ${machineId} and next_usage is not null`,
    (row) => ({ stageId: row.stage_id as string, usage: row.next_usage as number }),
  );

export const keepUsageDay = (db: Database, stageId: string, on: string | null) =>
  none(db, sql`update stage_standing set next_usage_on = ${on} where stage_id = ${stageId}`);

export const dropStanding = (db: Database, stageId: string) =>
  none(db, sql`delete from stage_standing where stage_id = ${stageId}`);

/** Stages whose standing was never worked out, or by the judgement of an earlier release. */
export const stagesWithoutStanding = (db: Database) =>
  many(
    db,
    sql`select s.id from stage s where s.retired_at is null and not exists (
          select 1 from stage_standing t where t.stage_id = s.id and t.judgement = ${judgement})`,
    (row) => row.id as string,
  );
