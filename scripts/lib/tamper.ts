import type { KeyObject } from "node:crypto";
import { type Pool, transaction } from "../../data/postgres";
import { type KnownSeal, type SealProblem, verifySeals } from "../../operations/verify-seals";

type Case = { what: string; why: SealProblem["why"]; change: readonly string[]; tables: readonly string[] };

/**
 * What somebody with the rights of the tables' owner can do to what was sealed. Two seals have to be there, and each table something in it.
 *
 * @param machineId one with entries sealed by the second seal
 * @param other another machine
 */
export function tamperCases(machineId: string, other: string): Case[] {
  const head = "(select hash from entry e where e.machine_id = m.id order by seq desc limit 1)";
  const cases: [string, SealProblem["why"], string[], string[]][] = [
    [
      "the end cut, with the head set back",
      "head-not-sealed-one",
      [
        `delete from entry where machine_id = '${machineId}' and seq = (select max(seq) from entry where machine_id = '${machineId}')`,
        `update machine m set entry_count = entry_count - 1, head_hash = ${head} where id = '${machineId}'`,
      ],
      ["entry", "machine"],
    ],
    [
      "a machine emptied",
      "head-not-sealed-one",
      [
        `delete from entry where machine_id = '${other}'`,
        `update machine set entry_count = 0, head_hash = sha256(convert_to('{"machine":"${other}"}', 'UTF8')) where id = '${other}'`,
      ],
      ["entry", "machine"],
    ],
    [
      "a machine gone",
      "machine-missing",
      [`delete from entry where machine_id = '${other}'`, `delete from machine where id = '${other}'`],
      ["entry", "machine"],
    ],
    ["limits", "row-differs", ["update stage_limits set hi = hi + 1"], ["stage_limits"]],
    ["a geometry", "row-differs", [`update stage_geometry set element = element || '{"x": 1}'`], ["stage_geometry"]],
    ["an adjuster", "row-differs", ["update stage_adjuster set step = step * 2"], ["stage_adjuster"]],
    ["a media type", "row-differs", ["update attachment set media_type = 'text/html'"], ["attachment"]],
    ["a preview", "row-differs", ["update attachment set preview = 'x'"], ["attachment"]],
    ["a certificate", "row-differs", ["update certificate set content = 'x'"], ["certificate"]],
    ["stock", "row-differs", ["update store_movement set change = change * 2"], ["store_movement"]],
    ["a count", "count-differs", ["update store_item set count = count + 1"], ["store_item"]],
    ["an open point", "row-differs", ["update open_point set text = 'Nothing'"], ["open_point"]],
    ["an open point gone", "row-missing", ["delete from open_point"], ["open_point"]],
    ["a job's reason", "row-differs", ["update job set reason = 'x'"], ["job"]],
    [
      "a job's signature",
      "row-missing",
      ["update job set signed_entry = null where signed_entry is not null"],
      ["job"],
    ],
    ["a job's stages", "row-differs", ["update job_stage set position = 7"], ["job_stage"]],
    [
      "limits put in beside the seals",
      "row-never-sealed",
      [
        `insert into stage_limits select gen_random_uuid(), stage_id, 9, quantity, lo, aim, hi, source_kind, source, made_by, effective_from, held from stage_limits limit 1`,
      ],
      ["stage_limits"],
    ],
    [
      "the last seal cut off",
      "seals-cut",
      ["delete from seal where number = (select max(number) from seal)"],
      ["seal"],
    ],
    ["a seal in between gone", "seal-missing", ["delete from seal where number = 1"], ["seal"]],
    [
      "a seal's text",
      "seal-differs",
      ["update seal set body = replace(body, 'a', 'b') where number = (select max(number) from seal)"],
      ["seal"],
    ],
    [
      "a seal signed by somebody else",
      "seal-not-signed",
      ["update seal set signature = decode(repeat('00', 64), 'hex') where number = (select max(number) from seal)"],
      ["seal"],
    ],
  ];
  return cases.map(([what, why, change, tables]) => ({ what, why, change, tables }));
}

/** What seals say now, read in one snapshot. */
export async function sealProblems(pool: Pool, key: KeyObject, known: KnownSeal | null): Promise<SealProblem["why"][]> {
  const report = await transaction(pool, async (db) => {
    await db.query("set transaction isolation level repeatable read");
    return verifySeals(db, key, known);
  });
  return report.problems.map(({ why }) => why);
}

/** Does each, looks whether it is found, and puts everything back; the cases that were not found, or touched nothing. */
export async function unseenTampering(
  pool: Pool,
  key: KeyObject,
  known: KnownSeal,
  cases: readonly Case[],
): Promise<string[]> {
  const unseen: string[] = [];
  for (const { what, why, change, tables } of cases) {
    await keepTables(pool, tables);
    const touched = await behindTheTriggers(pool, change);
    const found = await sealProblems(pool, key, known);
    if (!found.includes(why)) unseen.push(`${what}: ${touched ? found.join(", ") || "nothing" : "touched nothing"}`);
    await putBack(pool, tables);
    if ((await sealProblems(pool, key, known)).length > 0) unseen.push(`${what}: not put back`);
  }
  return unseen;
}

/** As an owner who switches the triggers off. */
async function behindTheTriggers(pool: Pool, statements: readonly string[]): Promise<boolean> {
  return transaction(pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    let touched = true;
    for (const statement of statements) touched = ((await db.query(statement)).rowCount ?? 0) > 0 && touched;
    return touched;
  });
}

/** A copy of whole tables, and back from it. */
async function keepTables(pool: Pool, tables: readonly string[]): Promise<void> {
  for (const table of tables) {
    await pool.query(`drop table if exists kept_${table}`);
    await pool.query(`create table kept_${table} as table ${table}`);
  }
}

async function putBack(pool: Pool, tables: readonly string[]): Promise<void> {
  await transaction(pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    for (const table of tables) {
      await db.query(`delete from ${table}`);
      await db.query(`insert into ${table} select * from kept_${table}`);
      await db.query(`drop table kept_${table}`);
    }
  });
}
