import { createHash } from "node:crypto";
import canonicalize from "canonicalize";
import { v7 } from "uuid";
import { describe, expect, test } from "vitest";
import type { Bodies } from "~/core/logbook";
import { mustHold } from "~/core/quantity";
import type { Machine } from "~/core/records";
import { none, one, Statement, sql, transaction } from "~/data/postgres";
import { entriesOfJob, type StoredEntry, storedOfJob } from "~/data/queries/entries";
import { allMachines } from "~/data/queries/machines";
import { standingsOfStages } from "~/data/queries/standings";
import { correctEntry } from "~/operations/correct-entry";
import { openJob } from "~/operations/open-job";
import { recordEntry } from "~/operations/record-entry";
import { verifyChain } from "~/operations/verify-chain";
import { freshWorks } from "./fixture";

const works = freshWorks();
const verify = async () => {
  const [machine] = (await allMachines(works.pool)) as [Machine];
  return transaction(works.pool, (db) => verifyChain(db, machine));
};
const behindTheTriggers = (...statements: string[]) =>
  transaction(works.pool, async (db) => {
    await db.query("set local session_replication_role = replica");
    for (const statement of statements) await db.query(statement);
  });

describe("entries are append-only, whoever asks", () => {
  test.each([
    "update entry set body = '{}'",
    "delete from entry",
    "truncate entry cascade",
    "update reading set value = 0",
    "delete from reading",
    "truncate reading",
    "update stage_limits set hi = 9",
    "delete from stage_geometry",
    "update machine set entry_count = 0",
  ])("%s", async (text) => {
    const job = await works.openJob();
    mustHold(await works.entry(job, works.round()));
    await expect(works.pool.query(text)).rejects.toMatchObject({ code: "HA001" });
  });

  test("a reading cannot join an entry later", async () => {
    const job = await works.openJob();
    const entry = mustHold(await works.entry(job, works.round()));
    const copy = `insert into reading select entry_id, 99, tooth, turn, angle_deg, sense, quantity, typed, unit, value, struck,
      repeats, indicator_radius_mm, indicator_angle_deg, instrument_id, resolution, expanded_uncertainty, temperature_c, live
      from reading where entry_id = '${entry.id}' and ordinal = 0`;
    await expect(works.pool.query(copy)).rejects.toMatchObject({ code: "HA002" });
  });
});

describe("a reading says what was measured", () => {
  test("typed text, unit, canonical value, instrument of that day, live or isolated", async () => {
    const job = await works.openJob();
    mustHold(
      await works.entry(job, { kind: "isolated", lock: "7", noLock: null, acknowledged: [], notAcknowledged: [] }),
    );
    const round = works.round();
    const method = { ...(round.method as object), indicatorRadiusMm: 80, indicatorAngleDeg: 60 - 1e-9 };
    mustHold(await works.entry(job, { ...round, method }));
    const stored = (await entriesOfJob(works.pool, job)).at(-1);
    const thou = stored?.readings[3];
    expect(thou).toMatchObject({
      typed: "7 thou",
      unit: "thou",
      live: false,
      resolution: 0.01,
      temperatureC: 21,
      turn: 1,
      tooth: 25,
    });
    // The lever stands at twice the working radius (60.2·40/60 = 40.1333) and 60° off: a quarter of 0.1778 arrives.
    expect(thou?.value).toBeCloseTo((0.1778 * 40.13333333 * 0.5) / 80, 8);
  });
});

describe("sent twice stays one", () => {
  test("the same id again gives the same entry; under another job it is refused", async () => {
    const [job, other] = [await works.openJob(), await works.openJob()];
    const id = v7();
    const answers = await Promise.all(Array.from({ length: 5 }, () => works.entry(job, works.round(), id)));
    expect(new Set(answers.map((answer) => mustHold(answer).seq)).size).toBe(1);
    const again = await works.entry(other, { kind: "note", text: "x" }, id);
    expect(again).toMatchObject({ ok: false, refusal: { code: "id-taken" } });
  });

  test("the same id with other content, or from somebody else, is refused and changes nothing", async () => {
    const job = await works.openJob();
    const id = v7();
    const note = {
      id,
      jobId: job,
      stageId: works.stageId,
      madeAt: new Date().toISOString(),
      kind: "note",
      text: "one",
    };
    mustHold(await recordEntry(works.as(), note));
    const other = await works.addPerson("technician");
    const later = new Date(Date.now() + 1000).toISOString();
    expect((await recordEntry(works.as(), { ...note, madeAt: later, sentAt: later })).ok).toBe(true);
    for (const [by, sent] of [
      [works.as(), { ...note, text: "two" }],
      [works.as(other), note],
    ] as const)
      expect(await recordEntry(by, sent)).toMatchObject({ ok: false, refusal: { code: "id-taken" } });
    const opening = {
      id: job,
      entryId: v7(),
      machineId: works.machineId,
      stageIds: [works.stageId],
      reason: "Another",
    };
    expect(await openJob(works.as(), { ...opening, madeAt: later })).toMatchObject({ refusal: { code: "id-taken" } });
    expect((await entriesOfJob(works.pool, job)).map(({ kind }) => kind)).toEqual(["job-opened", "note"]);
  });

  test.each(["0001-01-01T00:00:00.000Z", "1969-12-31T23:59:59.000Z", "9999-01-01T00:00:00.000Z"])(
    "made at %s is a slip of a clock",
    async (madeAt) => {
      const job = await works.openJob();
      const refused = await works.entry(job, { kind: "note", text: "x", madeAt });
      expect(refused).toMatchObject({ ok: false, refusal: { code: "no-such-time", path: ["madeAt"] } });
    },
  );

  test("two people at once: all entries stand, numbered without a gap, and the chain is whole", async () => {
    const job = await works.openJob();
    await Promise.all(Array.from({ length: 24 }, (_, i) => works.entry(job, { kind: "note", text: `note ${i}` })));
    expect((await entriesOfJob(works.pool, job)).filter((entry) => entry.kind === "note")).toHaveLength(24);
    expect((await verify()).breaks).toBeNull();
  });
});

test("the chain names the first entry that was tampered with, and entries missing at the end", async () => {
  const job = await works.openJob();
  const entry = mustHold(await works.entry(job, works.round(["0.15", "0.16", "0.17"])));
  const last = mustHold(await works.entry(job, { kind: "note", text: "after" }));
  await behindTheTriggers(`update reading set value = value + 0.01 where entry_id = '${entry.id}' and ordinal = 2`);
  expect((await verify()).breaks).toMatchObject({ seq: entry.seq, why: "content-differs" });
  await behindTheTriggers(`update reading set value = 0.17 where entry_id = '${entry.id}' and ordinal = 2`);
  await behindTheTriggers(`delete from entry where id = '${last.id}'`);
  expect((await verify()).breaks).toMatchObject({ seq: last.seq, id: null, why: "head-differs" });
  await behindTheTriggers(
    `update machine set entry_count = ${entry.seq}, head_hash = (select hash from entry where id = '${entry.id}')`,
  );
  expect((await verify()).breaks).toBeNull();
});

test("an entry that is not as its kind's are is named, with where it differs, and not shown as if it were", async () => {
  const job = await works.openJob();
  const { id } = mustHold(await works.entry(job, { kind: "note", text: "grease seen" }));
  await behindTheTriggers(`update entry set body = '{"txt": "grease seen"}' where id = '${id}'`);
  await expect(entriesOfJob(works.pool, job)).rejects.toThrow(`entry ${id} cannot be read: text`);
  await behindTheTriggers(`update entry set body = '{"text": "grease seen"}' where id = '${id}'`);
  expect((await entriesOfJob(works.pool, job)).at(-1)).toMatchObject({ body: { text: "grease seen" } });
});

test("an entry of the first format is read as today's, and stays whole as it was written", async () => {
  const job = await works.openJob();
  const entry = mustHold(await works.entry(job, works.round(["0.15", "0.16", "0.17"])));
  const [{ previousHash }] = (await storedOfJob(works.pool, job)).slice(-1) as [StoredEntry];
  const { result, ...body } = entry.body as Bodies["round"];
  // Neither of the earlier formats held its author's name.
  const { madeByName: _name, ...envelope } = entry;
  const written = {
    ...envelope,
    body: {
      ...body,
      result: {
        count: result.count,
        minMm: result.min,
        maxMm: result.max,
        meanMm: result.mean,
        worstMinMm: result.worstMin,
        worstMaxMm: result.worstMax,
        tightTooth: result.tightTooth,
        expandedUncertaintyMm: result.expandedUncertainty,
        verdict: "conforms",
        fits: true,
        carriedFrom: null,
      },
    },
    readings: entry.readings.map(({ value, resolution, expandedUncertainty, held: _, ...rest }) => ({
      ...rest,
      valueMm: value,
      resolutionMm: resolution,
      expandedUncertaintyMm: expandedUncertainty,
    })),
  };
  const text = canonicalize({ ...written, attachments: [], previousHash: previousHash.toString("hex") }) ?? "";
  const hash = createHash("sha256").update(text).digest("hex");
  await behindTheTriggers(
    `update entry set format = 1, made_by_name = null, hash = '\\x${hash}', body = '${JSON.stringify(written.body)}' where id = '${entry.id}'`,
    `update machine set head_hash = '\\x${hash}' where id = '${works.machineId}'`,
  );
  expect((await verify()).breaks).toBeNull();
  const read = (await entriesOfJob(works.pool, job)).at(-1);
  expect(read?.body).toMatchObject({
    result: { quantity: "backlash", min: 0.15, max: 0.17, worstMax: result?.worstMax },
  });
  expect((await storedOfJob(works.pool, job)).at(-1)?.entry).toMatchObject({ body: { result: { minMm: 0.15 } } });
  await behindTheTriggers(`update reading set value = 0.18 where entry_id = '${entry.id}' and ordinal = 2`);
  expect((await verify()).breaks).toMatchObject({ seq: entry.seq, why: "content-differs" });
  await behindTheTriggers(`update reading set value = 0.17 where entry_id = '${entry.id}' and ordinal = 2`);
});

test("a stage is as its last counting round says; a move or a correction changes that", async () => {
  const standing = async () => (await standingsOfStages(works.pool, [works.stageId]))[0];
  const job = await works.openJob();
  const before = mustHold(await works.entry(job, works.round(["0.15", "0.16", "0.17"])));
  const after = mustHold(await works.entry(job, works.round(["0.35", "0.36", "0.37"])));
  expect((await standing())?.result?.verdict).toBe("does-not-conform");
  const correction = {
    kind: "correction",
    id: v7(),
    namesEntry: after.id,
    madeAt: new Date().toISOString(),
    text: "Wrong gear",
    voids: true,
  };
  mustHold(await correctEntry(works.as(), correction));
  expect(await standing()).toMatchObject({
    result: { verdict: "conforms" },
    readAt: before.madeAt,
    changedSince: false,
  });
  const move = mustHold(
    await works.entry(job, { kind: "move", amount: 0.02, did: "so", advised: null, reasons: [], note: "" }),
  );
  expect((await standing())?.changedSince).toBe(true);
  mustHold(await correctEntry(works.as(), { ...correction, id: v7(), namesEntry: move.id, text: "Not on this stage" }));
  expect((await standing())?.changedSince).toBe(false);
});

test("the queries behind the pages find their rows by index", async () => {
  await none(works.pool, sql`analyze entry`);
  const plans = await transaction(works.pool, async (db) => {
    await db.query("set local enable_seqscan = off; set local enable_bitmapscan = off; set local enable_sort = off");
    const explain = (text: string) =>
      one(db, new Statement([`explain (format json) ${text}`], []), (row) => JSON.stringify(row));
    return [
      await explain(
        `select * from entry where machine_id = '${works.machineId}' and seq < 900 order by seq desc limit 40`,
      ),
      await explain(
        `select * from entry where stage_id = '${works.stageId}' and kind = 'round' order by seq desc limit 1`,
      ),
      await explain(`select * from entry where job_id = '${v7()}' order by seq`),
    ];
  });
  for (const plan of plans) {
    expect(plan).not.toContain("Seq Scan");
    expect(plan).not.toContain('"Sort"');
  }
});
