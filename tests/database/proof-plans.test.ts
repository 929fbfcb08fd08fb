import { v7 } from "uuid";
import { expect, test } from "vitest";
import type { EntryOf } from "~/core/logbook";
import { mustHold } from "~/core/quantity";
import { transaction } from "~/data/postgres";
import { proofPlans } from "~/data/queries/proof-plans";
import { stageById } from "~/data/queries/stages";
import { copyMachine } from "~/operations/copy-machine";
import { keepProofPlan } from "~/operations/keep-proof-plan";
import { saveDriveLine } from "~/operations/save-drive-line";
import { freshWorks } from "./fixture";

const works = freshWorks();
const runId = v7();

const plan = (more: object = {}) => ({
  runs: [{ id: runId, move: "run", direction: "forwards", speed: "working" }],
  limits: [
    { of: "current", hi: 2 },
    { of: "current", aroundLast: { by: 10, unit: "percent" } },
  ],
  meters: [{ of: "current", expandedUncertainty: 0.01 }],
  ...more,
});
const keep = (seenRevision: number, more: object = {}) =>
  keepProofPlan(works.as(), {
    entryId: v7(),
    revisionId: v7(),
    machineId: works.machineId,
    stageId: works.stageId,
    seenRevision,
    plan: plan(),
    ...more,
  });
const proof = {
  kind: "proof",
  way: "powered",
  outcome: "ran",
  direction: null,
  speed: null,
  temperature: "",
  noise: "",
};

/** A job that is live; what is run in it. */
async function live() {
  const job = await works.openJob();
  mustHold(
    await works.entry(job, { kind: "isolated", lock: "1", noLock: null, acknowledged: [], notAcknowledged: [] }),
  );
  mustHold(await works.entry(job, works.round()));
  mustHold(
    await works.entry(job, {
      kind: "live",
      acknowledged: ["guards-on", "nothing-left-in", "screws-firm", "people-clear", "locks-off"].map((key) => ({
        key,
        text: key,
      })),
    }),
  );
  const run = async (current: string, more: object = {}) =>
    mustHold(await works.entry(job, { ...proof, planned: runId, current, ...more })) as EntryOf<"proof">;
  return { job, run };
}

test("kept once, revised by who saw the last revision, refused where it does not hold together; nobody changes what was kept", async () => {
  expect(mustHold(await keep(0))).toMatchObject({
    kind: "change",
    body: { what: "proof-plan", text: "1 run, revision 1" },
  });
  expect(await keep(0)).toMatchObject({ ok: false, refusal: { code: "revised-meanwhile" } });
  expect(await keep(1, { plan: plan({ limits: [{ run: v7(), of: "current", hi: 2 }] }) })).toMatchObject({
    refusal: { code: "no-such-run", path: ["plan", "limits", 0, "run"] },
  });
  const twice = ["a", "b"].map(() => ({ id: v7(), move: "hand-turn" }));
  expect(await keep(1, { plan: plan({ runs: twice, limits: [] }) })).toMatchObject({
    refusal: { code: "run-twice", path: ["plan", "runs", 1, "name"] },
  });
  expect(await keep(1, { plan: plan({ runs: [{ id: v7(), move: "run", gear: "low" }], limits: [] }) })).toMatchObject({
    refusal: { code: "no-such-gear" },
  });
  expect(await keepProofPlan(works.as(await works.addPerson("reader")), {})).toMatchObject({ ok: false });
  expect(await proofPlans(works.pool, works.machineId, works.stageId)).toHaveLength(1);
  await expect(works.pool.query("update proof_plan_revision set plan = '{}'")).rejects.toThrow();
  await expect(works.pool.query("truncate proof_plan_revision")).rejects.toThrow();
});

test("a run is judged at the server, by its plan and by the last good run of an earlier job", async () => {
  const first = await live();
  expect((await first.run("2.4")).body.judged).toMatchObject({ verdict: "does-not-conform" });
  expect((await first.run("1.5")).body).toMatchObject({
    planned: { runId },
    direction: "forwards",
    speed: "working",
    judged: { verdict: "conforms", each: [{ hi: 2, verdict: "conforms" }, { why: "no-last-time" }] },
  });
  expect(await works.entry(first.job, { ...proof, planned: v7(), current: "1" })).toMatchObject({
    ok: false,
    refusal: { code: "no-such-run" },
  });
  const second = await live();
  // 1.5 A last time, ± 10 %: 1.9 is inside the limit, and not as last time.
  expect((await second.run("1.9")).body.judged).toMatchObject({
    verdict: "does-not-conform",
    each: [{ verdict: "conforms" }, { last: 1.5, verdict: "does-not-conform" }],
  });
});

test("the speed is held against what the drive line gives this stage; what drives nothing known is not guessed", async () => {
  const unknown = await live();
  const speedRead = { how: "turns", turns: "20", seconds: "4" };
  expect((await unknown.run("1.5", { speedRead })).body.speedRead).toMatchObject({
    rpm: 300,
    find: "not-known",
    predictedRpm: null,
  });
  mustHold(
    await saveDriveLine(works.as(), {
      entryId: v7(),
      revisionId: v7(),
      machineId: works.machineId,
      seenRevision: 0,
      graph: {
        sources: [{ id: "source-1", name: "Motor", rpm: 1000, torqueNm: null }],
        links: [{ stageId: works.stageId, from: "source-1", onto: null, gear: 0, angleDeg: 0 }],
        outputs: [],
      },
    }),
  );
  const known = await live();
  const stage = await stageById(works.pool, works.stageId);
  const element = stage?.geometry.element;
  if (element?.kind !== "gear-pair") throw new Error("a gear pair");
  const [z1, z2] = element.pair.teeth;
  const { speedRead: read } = (await known.run("1.5", { speedRead })).body;
  expect(read?.predictedRpm).toBeCloseTo((1000 * z1) / z2, 9);
});

test("slowed down towards a stall: the slowest at which it still ran is held against its limit, and a limit that was not read leaves it open", async () => {
  const slow = { runs: [{ id: runId, move: "slowed-down", direction: "forwards" }], meters: [] };
  const limits = [{ of: "slowest-speed", hi: 12 }];
  const before = (await proofPlans(works.pool, works.machineId, works.stageId))[0]?.revision ?? 0;
  mustHold(await keep(before, { plan: plan({ ...slow, limits }) }));
  const { job, run } = await live();
  expect((await run("1", { slowest: "10.5" })).body).toMatchObject({
    move: "slowed-down",
    slowestRpm: 10.5,
    judged: { verdict: "conforms" },
  });
  expect((await run("1", { slowest: "14" })).body.judged?.verdict).toBe("does-not-conform");
  expect((await run("1")).body.judged?.verdict).toBe("undecided");
  expect(await works.entry(job, { ...proof, planned: runId, current: "1", slowest: "0" })).toMatchObject({
    refusal: { code: "too-small", path: ["slowest"] },
  });
  mustHold(await keep(before + 1));
});

test("a twin gets the plan, with its runs by the same ids", async () => {
  const id = v7();
  mustHold(
    await copyMachine(works.as(), {
      id,
      entryId: v7(),
      sourceId: works.machineId,
      mirrored: true,
      name: "Twin",
      tag: "T-2",
      place: "",
    }),
  );
  const { rows } = await transaction(works.pool, (db) =>
    db.query("select stage_id, plan from proof_plan_revision where machine_id = $1", [id]),
  );
  expect(rows).toMatchObject([{ plan: { runs: [{ id: runId }] } }]);
  expect(rows[0].stage_id).not.toBe(works.stageId);
});
