import { v7 } from "uuid";
import { afterAll, beforeAll, expect, inject, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { type OpenPool, openPool } from "~/data/postgres";
import { entriesOfJob } from "~/data/queries/entries";
import { openJob } from "~/operations/open-job";
import { recordEntry } from "~/operations/record-entry";
import { sealNow } from "~/operations/seal";
import { signIn } from "~/operations/sign-in";
import { openCluster } from "~/scripts/lib/cluster";
import { applyMigrations } from "~/scripts/lib/database";
import { freshWorks, testKey } from "./fixture";

const works = freshWorks();
let app: OpenPool;
beforeAll(async () => {
  const cluster = await openCluster(inject("clusterFolder"), { throwaway: true });
  const appUrl = cluster.appUrl(new URL(works.url).pathname.slice(1));
  await applyMigrations(works.url, appUrl);
  app = openPool(appUrl);
});
afterAll(() => app.end());

test("the role that the app works as does a job, seals and signs in", async () => {
  const asApp = { ...works.as(), pool: app };
  const now = () => new Date().toISOString();
  const opening = {
    id: v7(),
    entryId: v7(),
    machineId: works.machineId,
    stageIds: [works.stageId],
    reason: "R",
    madeAt: now(),
  };
  const { jobId } = mustHold(await openJob(asApp, opening));
  mustHold(await recordEntry(asApp, { id: v7(), jobId, stageId: works.stageId, madeAt: now(), ...works.round() }));
  expect(await entriesOfJob(app, jobId)).toHaveLength(2);
  expect((await sealNow(app, testKey, new Date()))?.number).toBe(1);
  expect((await signIn(app, { address: "x", deviceId: null }, { signIn: "lead", password: "test" })).ok).toBe(true);
});

test.each([
  "update entry set body = '{}'",
  "delete from entry",
  "truncate entry cascade",
  "update reading set value = 1",
  "alter table entry disable trigger all",
  "set session_replication_role = replica",
  "drop trigger entry_append_only on entry",
  "create or replace function refuse_change() returns trigger language plpgsql as 'begin return new; end'",
  "update stage_limits set hi = 9",
  "delete from seal",
  "update store_movement set change = 1",
  "update attachment set media_type = 'x'",
  "delete from machine",
  "delete from job",
  "create table mine (id int)",
  "update migration set checksum = 'x'",
  "alter table entry owner to current_user",
  "drop table session",
])("it may not: %s", async (statement) => {
  await expect(app.query(statement)).rejects.toMatchObject({ code: "42501" });
});
