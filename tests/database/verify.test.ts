import { spawnSync } from "node:child_process";
import { resolve } from "node:path";
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
