import { spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import { expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { transaction } from "~/data/postgres";
import { freshWorks } from "./fixture";

const works = freshWorks();
const root = resolve(import.meta.dirname, "../..");

test("npm run verify: whole, then naming the entry whose content is not what was written", async () => {
  const verify = () =>
    spawnSync(process.execPath, ["--import", "tsx", "scripts/verify.ts"], {
      cwd: root,
      encoding: "utf8",
      env: { ...process.env, DATABASE_URL: works.url },
    });
  const job = await works.openJob();
  const note = mustHold(await works.entry(job, { kind: "note", text: "Shim 0.05 taken out" }));
  const whole = verify();
  expect(whole.status).toBe(0);
  expect(whole.stdout).toContain("Test machine: 4 entries, whole");
  await transaction(works.pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    await db.query(`update entry set body = '{"text": "Shim 0.10 taken out"}' where id = '${note.id}'`);
  });
  const broken = verify();
  expect(broken.status).toBe(1);
  expect(broken.stdout).toContain(`entry 4 (${note.id}) does not fit: its content is not what was written`);
});

test("heads kept elsewhere: the end cut with the head set back, before anything was sealed, is found by them", async () => {
  const folder = mkdtempSync(join(tmpdir(), "harmostat-heads-"));
  const heads = join(folder, "heads.txt");
  const run = (script: string, ...args: string[]) =>
    spawnSync(process.execPath, ["--import", "tsx", `scripts/${script}.ts`, ...args], {
      cwd: root,
      encoding: "utf8",
      env: { ...process.env, DATABASE_URL: works.url, HARMOSTAT_HOME: folder },
    });
  await transaction(works.pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    await db.query(`update entry set body = '{"text": "Shim 0.05 taken out"}' where kind = 'note'`);
  });
  expect(run("heads", heads).status).toBe(0);
  const against = () => run("verify", "--against", heads);
  expect(against().stdout).toContain(`${heads}: 1 heads, all as noted`);
  await transaction(works.pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    await db.query("delete from entry where seq = (select max(seq) from entry)");
    await db.query(
      "update machine set entry_count = entry_count - 1, head_hash = (select hash from entry order by seq desc limit 1)",
    );
  });
  const cut = against();
  expect(cut.status).toBe(1);
  expect(cut.stdout).toContain("Test machine: 3 entries, whole");
  expect(cut.stdout).toContain(`${heads}: Test machine: entry 4 is not there as it was noted`);
  rmSync(folder, { recursive: true, force: true });
});
