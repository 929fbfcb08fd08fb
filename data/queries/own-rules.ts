import type { OwnRule, OwnRuleFields } from "../../core/symptoms";
import { ownRuleFields } from "../../core/symptoms/schema";
import { type Database, many, maybeOne, none, type Row, sql, stored } from "../postgres";

const toRule = (row: Row): OwnRule => ({
  ...stored(ownRuleFields, row.rule, `rule ${row.id}`),
  id: row.id,
  madeByName: row.name,
  madeAt: row.made_at.toISOString(),
});

/** Rules of the house that stand, the oldest first. */
export const ownRules = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select r.id, r.rule, r.made_at, p.name from cause_rule r join person p on p.id = r.made_by
        where r.workshop_id = ${workshopId} and r.taken_back_at is null order by r.made_at, r.id limit 200`,
    toRule,
  );

export const ownRuleById = (db: Database, workshopId: string, id: string) =>
  maybeOne(
    db,
    sql`select r.id, r.rule, r.made_at, p.name from cause_rule r join person p on p.id = r.made_by
        where r.workshop_id = ${workshopId} and r.id = ${id} and r.taken_back_at is null`,
    toRule,
  );

export const insertOwnRule = (
  db: Database,
  r: { id: string; workshopId: string; rule: OwnRuleFields; madeBy: string; at: Date },
) =>
  none(
    db,
    sql`insert into cause_rule (id, workshop_id, rule, made_by, made_at)
        values (${r.id}, ${r.workshopId}, ${JSON.stringify(r.rule)}, ${r.madeBy}, ${r.at}) on conflict (id) do nothing`,
  );

export const takeBackRule = (db: Database, workshopId: string, id: string, at: Date) =>
  none(
    db,
    sql`update cause_rule set taken_back_at = ${at} where id = ${id} and workshop_id = ${workshopId} and taken_back_at is null`,
  );
