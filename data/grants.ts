import { many, maybeOne, type Pool, sql, transaction } from "./postgres";

/** What the app may do with each table: nothing that is not listed. Tables it only adds to are never changed by it. */
const rights = {
  adds: [
    "entry",
    "reading",
    "stage_geometry",
    "stage_adjuster",
    "stage_limits",
    "side_limits",
    "drive_line",
    "guide_revision",
    "upkeep_revision",
    "shaft_revision",
    "proof_plan_revision",
    "attachment",
    "certificate",
    "store_movement",
    "job_stage",
    "practice_act",
    "seal",
    "account_event",
  ],
  changes: [
    "workshop",
    "person",
    "machine",
    "stage",
    "instrument",
    "job",
    "open_point",
    "store_item",
    "sealed_head",
    "cause_rule",
    "practice_lesson",
  ],
  clears: [
    "session",
    "draft",
    "stage_standing",
    "adjuster_position",
    "swap_option",
    "upkeep_due",
    "to_seal",
    "device",
    "device_person",
    "attempt",
    "assignment",
    "calendar_key",
  ],
  reads: ["migration"],
} as const;

const verbs: Record<keyof typeof rights, string> = {
  reads: "select",
  adds: "select, insert",
  changes: "select, insert, update",
  clears: "select, insert, update, delete",
};

/**
 * Lets the app's role do what the app needs, and takes everything else from it: no ownership, no TRUNCATE, no switching off of triggers. The
 * role is made where it is missing and a password is given. Asked by the owner after the migrations.
 *
 * @throws where a table stands in no list, so that a new one is decided on
 */
export async function grantApp(owner: Pool, role: string, password: string | null): Promise<void> {
  await transaction(owner, async (db) => {
    await db.query("select pg_advisory_xact_lock(4807763)");
    const name = quoted(role);
    const there = await maybeOne(db, sql`select 1 from pg_roles where rolname = ${role}`, () => true);
    if (password !== null) {
      const { rows } = await db.query("select quote_literal($1) as text", [password]);
      await db.query(
        `${there ? "alter" : "create"} role ${name} login nosuperuser nocreatedb nocreaterole password ${rows[0].text}`,
      );
    }
    const tables = await many(
      db,
      sql`select tablename from pg_tables where schemaname = current_schema()`,
      (row) => row.tablename as string,
    );
    const listed: readonly string[] = Object.values(rights).flat();
    const undecided = tables.filter((table) => !listed.includes(table));
    if (undecided.length > 0) throw new Error(`nobody has said what the app may do with ${undecided.join(", ")}`);
    await db.query(`revoke all on all tables in schema public from ${name}`);
    await db.query("revoke create on schema public from public");
    await db.query(`grant usage on schema public to ${name}`);
    for (const [kind, list] of Object.entries(rights))
      await db.query(`grant ${verbs[kind as keyof typeof rights]} on ${list.map(quoted).join(", ")} to ${name}`);
  });
}

const quoted = (name: string): string => `"${name.replaceAll('"', '""')}"`;
