import { createHash } from "node:crypto";
import { readdir, readFile } from "node:fs/promises";
import { join } from "node:path";
import { many, none, type Pool, sql, transaction } from "./postgres";

export type MigrationReport = { applied: string[]; drifted: string[]; unknown: string[] };

const lockKey = 4_807_761;

/**
 * Applies what is missing, in order of the folders' names, each in the one transaction that also notes its checksum. An
 * advisory lock lets only one process in. A step whose file changed after it was run (drift) or that this release does not
 * know stops everything before anything is applied: the caller sees which.
 */
export async function migrate(pool: Pool, folder: string, now: Date): Promise<MigrationReport> {
  const names = (await readdir(folder, { withFileTypes: true })).filter((f) => f.isDirectory()).map((f) => f.name);
  const steps = await Promise.all(
    names.sort().map(async (name) => {
      const text = await readFile(join(folder, name, "up.sql"), "utf8");
      return { name, text, checksum: createHash("sha256").update(text).digest("hex") };
    }),
  );
  return transaction(pool, async (db) => {
    await none(db, sql`select pg_advisory_xact_lock(${lockKey})`);
    await none(
      db,
      sql`create table if not exists migration (name text primary key, checksum text not null, applied_at timestamptz(3) not null)`,
    );
    const done = await many(db, sql`select name, checksum from migration`, (row) => ({
      name: row.name as string,
      checksum: row.checksum as string,
    }));
    const report: MigrationReport = {
      applied: [],
      drifted: done.filter((d) => steps.some((s) => s.name === d.name && s.checksum !== d.checksum)).map((d) => d.name),
      unknown: done.filter((d) => !steps.some((s) => s.name === d.name)).map((d) => d.name),
    };
    if (report.drifted.length + report.unknown.length > 0) return report;
    for (const step of steps.filter((s) => !done.some((d) => d.name === s.name))) {
      await db.query(step.text);
      await none(
        db,
        sql`insert into migration (name, checksum, applied_at) values (${step.name}, ${step.checksum}, ${now})`,
      );
      report.applied.push(step.name);
    }
    return report;
  });
}
