import { v7 } from "uuid";
import { describe, expect, test } from "vitest";
import { mustHold, type Result } from "~/core/quantity";
import { entriesOfJob } from "~/data/queries/entries";
import { correctEntry } from "~/operations/correct-entry";
import { liveChecks } from "~/operations/entries/power";
import { openJob } from "~/operations/open-job";
import { saveDraft } from "~/operations/save-draft";
import { signIn } from "~/operations/sign-in";
import { signJob } from "~/operations/sign-job";
import type { WorkshopId } from "../../core/records";
import { freshWorks } from "./fixture";

const works = freshWorks();
const run = {
  kind: "proof",
  way: "powered",
  outcome: "ran",
  direction: "forwards",
  speed: "slow",
  current: "",
  temperature: "",
  noise: "",
};
const refusalOf = (result: Result<unknown>) =>
  result.ok ? "accepted" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();

describe("bad input is named at its place and leaves nothing behind", () => {
  const readings = (count: number) => Array.from({ length: count }, () => "0.15");
  test.each<[string, () => Record<string, unknown>, string]>([
    ["5,000 readings", () => works.round(readings(5000)), "too-many readings"],
    ["no readings", () => works.round([]), "too-few readings"],
    ["a word for a number", () => works.round(["0.1", "a hair", "0.2"]), "not-a-number readings.1.typed"],
    ["newtons for millimetres", () => works.round(["0.1", "5 N"]), "wrong-dimension readings.1.typed"],
    ["a note of 10 kB", () => ({ kind: "note", text: "x".repeat(10_240) }), "text-too-long text"],
    ["a note with a NUL", () => ({ kind: "note", text: "a\u0000b" }), "not-text text"],
    ["half a surrogate pair", () => ({ kind: "note", text: "a\ud800b" }), "not-text text"],
    [
      "a move of nothing",
      () => ({ kind: "move", amount: 0, did: "so", advised: null, reasons: [], note: "" }),
      "no-amount amount",
    ],
    ["a clamp that is not there", () => ({ kind: "clamp", clamp: 3, pass: 1, state: "firm" }), "no-such-clamp clamp"],
    [
      "going live without a word",
      () => ({ kind: "live", acknowledged: [{ key: "guards-on", text: "Guards are on" }] }),
      "not-acknowledged acknowledged.nothing-left-in",
    ],
    ["a turn by hand while nobody said that it is isolated", () => ({ ...run, way: "by-hand" }), "not-isolated way"],
    ["a run under power while it is isolated", () => run, "not-live way"],
    [
      "isolated with neither a lock nor what was done instead",
      () => ({ kind: "isolated", lock: "", noLock: null, acknowledged: [], notAcknowledged: [] }),
      "empty lock",
    ],
    ["an unknown kind", () => ({ kind: "wish" }), "not-understood kind"],
  ])("%s", async (_, work, refusal) => {
    const job = await works.openJob();
    expect(refusalOf(await works.entry(job, work()))).toBe(refusal);
    expect(await entriesOfJob(works.pool, job)).toHaveLength(1);
  });

  test("an instrument of nowhere, a stage of another job, a job of nowhere", async () => {
    const job = await works.openJob();
    const round = works.round();
    const method = { ...(round.method as object), instrumentId: v7() };
    expect(refusalOf(await works.entry(job, { ...round, method }))).toBe("no-such-instrument method.instrumentId");
    expect(refusalOf(await works.entry(job, { ...round, stageId: v7() }))).toBe("no-such-stage stageId");
    expect(refusalOf(await works.entry(v7(), round))).toBe("no-such-job jobId");
  });
});

test("a turn by hand is taken while it is isolated, a powered run while it is live; one that went well says what was noted", async () => {
  const job = await works.openJob();
  const said = (key: string) => ({ key, text: key });
  mustHold(await works.entry(job, { kind: "isolated", lock: "7", acknowledged: [], notAcknowledged: [said("air")] }));
  expect(refusalOf(await works.entry(job, { ...run, way: "by-hand" }))).toBe("nothing-noted noise");
  mustHold(await works.entry(job, { ...run, way: "by-hand", noise: "same drag all round" }));
  expect(refusalOf(await works.entry(job, { ...run, noise: "hum" }))).toBe("not-live way");
  mustHold(await works.entry(job, { kind: "live", acknowledged: liveChecks.map(said) }));
  const live = (await entriesOfJob(works.pool, job)).at(-1);
  expect(live?.body).toMatchObject({
    saw: [],
    notKnown: ["clamp 1 not logged in this job", "clamp 2 not logged in this job"],
  });
  // One that stalled is worth keeping whatever else was noted.
  expect(mustHold(await works.entry(job, { ...run, outcome: "stalled" })).body).toMatchObject({ outcome: "stalled" });
  expect(refusalOf(await works.entry(job, { ...run, way: "by-hand", noise: "x" }))).toBe("not-isolated way");
});

describe("signing", () => {
  const seen = async (jobId: string, upTo: string) => {
    const ids = (await entriesOfJob(works.pool, jobId)).map((entry) => entry.id);
    return ids.slice(0, ids.indexOf(upTo) + 1);
  };
  const signature = async (jobId: string, last: string, provisional: readonly string[]) => ({
    kind: "signature",
    id: v7(),
    jobId,
    madeAt: new Date().toISOString(),
    saw: await seen(jobId, last),
    stages: [{ stageId: works.stageId, provisional, nextDate: null }],
    comment: "",
  });

  test("refused where something came in unseen, or was not acknowledged; then it closes for good", async () => {
    const job = await works.openJob();
    const round = mustHold(await works.entry(job, works.round(["0.35", "0.36", "0.35"])));
    const note = mustHold(await works.entry(job, { kind: "note", text: "from the other tablet" }));
    expect(await signJob(works.as(), await signature(job, round.id, ["not-inside"]))).toMatchObject({
      refusal: { code: "job-changed", facts: { count: 1 } },
    });
    expect(refusalOf(await signJob(works.as(), await signature(job, note.id, [])))).toBe(
      "not-acknowledged provisional.not-inside",
    );
    const unknown = await signature(job, note.id, ["not-inside"]);
    expect(await signJob(works.as(), { ...unknown, saw: [...unknown.saw, v7()] })).toMatchObject({
      refusal: { code: "entries-missing", facts: { count: 1 } },
    });
    const good = await signature(job, note.id, ["not-inside"]);
    const [first, second] = await Promise.all([signJob(works.as(), good), signJob(works.as(), good)]);
    expect(mustHold(first).body).toMatchObject({ saw: good.saw });
    expect(mustHold(first).seq).toBe(mustHold(second).seq);

    expect(refusalOf(await works.entry(job, { kind: "note", text: "too late" }))).toBe("job-signed jobId");
    expect(refusalOf(await signJob(works.as(), await signature(job, note.id, ["not-inside"])))).toBe(
      "job-signed jobId",
    );
    await expect(works.pool.query(`update job set reason = 'x' where id = '${job}'`)).rejects.toMatchObject({
      code: "HA003",
    });
    const copied = `insert into entry (id, machine_id, seq, job_id, stage_id, kind, body, made_by, made_at, recorded_at, previous_hash, hash)
      select gen_random_uuid(), machine_id, seq + 1000, job_id, stage_id, kind, body, made_by, made_at, recorded_at, hash, hash
      from entry where id = '${note.id}'`;
    await expect(works.pool.query(copied)).rejects.toMatchObject({ code: "HA003" });
    const correction = {
      kind: "correction",
      id: v7(),
      namesEntry: note.id,
      madeAt: new Date().toISOString(),
      text: "It was mine",
      voids: false,
    };
    expect(mustHold(await correctEntry(works.as(), correction)).jobId).toBe(job);
  });

  test("a job with nothing read cannot be signed", async () => {
    const job = await works.openJob();
    const opened = (await entriesOfJob(works.pool, job))[0];
    expect(refusalOf(await signJob(works.as(), await signature(job, opened?.id ?? "", [])))).toBe("nothing-read saw");
  });
});

test("a reader may look and nothing else", async () => {
  const reader = works.as(await works.addPerson("reader"));
  const anything = { kind: "note", id: v7(), text: "x" };
  for (const operation of [openJob, signJob, correctEntry, saveDraft]) {
    expect(refusalOf(await operation(reader, anything))).toBe("role");
  }
});

test("somebody of another workshop finds neither job nor machine", async () => {
  const job = await works.openJob();
  const stranger = { ...works.lead, workshopId: v7() as WorkshopId };
  const input = {
    id: v7(),
    jobId: job,
    stageId: works.stageId,
    madeAt: new Date().toISOString(),
    kind: "note",
    text: "x",
  };
  const { recordEntry } = await import("~/operations/record-entry");
  expect(refusalOf(await recordEntry(works.as(stranger), input))).toBe("no-such-job jobId");
});

test("sign-in takes the right password only, and says the same for a wrong name", async () => {
  expect((await signIn(works.pool, { address: "here", deviceId: null }, { signIn: "LEAD", password: "test" })).ok).toBe(
    true,
  );
  expect(
    refusalOf(await signIn(works.pool, { address: "here", deviceId: null }, { signIn: "lead", password: "Test" })),
  ).toBe("wrong-sign-in password");
  expect(
    refusalOf(await signIn(works.pool, { address: "here", deviceId: null }, { signIn: "nobody", password: "test" })),
  ).toBe("wrong-sign-in password");
  expect(
    refusalOf(await signIn(works.pool, { address: "here", deviceId: null }, { signIn: "", password: "test" })),
  ).toBe("empty signIn");
});
