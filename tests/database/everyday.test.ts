import { generateKeyPairSync } from "node:crypto";
import sharp from "sharp";
import { v7 } from "uuid";
import { describe, expect, test } from "vitest";
import type { EntryOf } from "~/core/logbook";
import { seededRandom } from "~/core/practice";
import { mustHold, type Result } from "~/core/quantity";
import { floorStates } from "~/core/records/floor-state";
import { transaction } from "~/data/postgres";
import { driveLineOf } from "~/data/queries/drive-lines";
import { entriesOfJob } from "~/data/queries/entries";
import { floorGroups, floorPage, wholeFloor } from "~/data/queries/floor";
import { machineById } from "~/data/queries/machines";
import { openPointsOf } from "~/data/queries/open-points";
import { stageById, stagesOfMachines } from "~/data/queries/stages";
import { standingsOfStages } from "~/data/queries/standings";
import { addMachine } from "~/operations/add-machine";
import { addStage } from "~/operations/add-stage";
import { attachFile } from "~/operations/attach-file";
import { copyMachine } from "~/operations/copy-machine";
import { correctEntry } from "~/operations/correct-entry";
import { editMachine, retireMachine } from "~/operations/edit-machine";
import { exportLogbook } from "~/operations/export-logbook";
import { keepComputation } from "~/operations/keep-computation";
import { keepOption } from "~/operations/keep-option";
import { logTrial } from "~/operations/log-trial";
import { logUsage } from "~/operations/log-usage";
import { openJob } from "~/operations/open-job";
import { closePoint, openPoint } from "~/operations/open-point";
import { planVisit } from "~/operations/plan-visit";
import { reviseStage } from "~/operations/revise-stage";
import { saveDriveLine } from "~/operations/save-drive-line";
import { sealKeyOf } from "~/operations/seal";
import { signJob } from "~/operations/sign-job";
import { verifyChain } from "~/operations/verify-chain";
import { verifyExport } from "~/operations/verify-export";
import { freshWorks, machine, stageInput, testKey } from "./fixture";

const works = freshWorks();
const at = () => new Date().toISOString();
const refusalOf = (result: Result<unknown>) =>
  result.ok ? "accepted" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const newMachine = (name: string, tag: string, more: object = {}) => ({
  id: v7(),
  entryId: v7(),
  name,
  tag,
  usageUnit: "hours",
  ...more,
});
const lastOf = async <T>(jobId: string) => (await entriesOfJob(works.pool, jobId)).at(-1) as T;
const sign = async (jobId: string, provisional: readonly string[], more: object = {}) => {
  const saw = (await entriesOfJob(works.pool, jobId)).map((entry) => entry.id);
  const stages = [{ stageId: works.stageId, provisional, nextDate: null }];
  return signJob(works.as(), {
    kind: "signature",
    id: v7(),
    jobId,
    madeAt: at(),
    saw,
    stages,
    comment: "",
    ...more,
  });
};

describe("machines", () => {
  test("a name belongs to one machine in service, a tag to one for ever; sent twice it is one", async () => {
    const press = newMachine("Press", "P-1");
    mustHold(await addMachine(works.as(), press));
    mustHold(await addMachine(works.as(), press));
    expect(refusalOf(await addMachine(works.as(), newMachine("press", "P-2")))).toBe("name-taken name");
    expect(refusalOf(await addMachine(works.as(), newMachine("Other", "P-1")))).toBe("tag-taken tag");
    mustHold(await retireMachine(works.as(), { machineId: press.id, entryId: v7(), retired: true, text: "Sold" }));
    expect(refusalOf(await addMachine(works.as(), newMachine("Press", "P-1")))).toBe("tag-taken tag");
    mustHold(await addMachine(works.as(), newMachine("Press", "P-3")));
    const back = { machineId: press.id, entryId: v7(), retired: false, text: "" };
    expect(refusalOf(await retireMachine(works.as(), back))).toBe("name-taken name");
  });

  test("what an edit changed stands in the logbook; with a job open it is not retired, retired it takes no job", async () => {
    const lift = newMachine("Lift", "L-1");
    mustHold(await addMachine(works.as(), { ...lift, stages: [stageInput(v7())] }));
    const edit = { ...lift, machineId: lift.id, entryId: v7(), name: "Pallet lift", hall: "B", units: "inch" };
    const entry = mustHold(await editMachine(works.as(), edit)) as EntryOf<"change">;
    expect(entry.body.text).toBe("Name: Lift → Pallet lift; Hall: – → B; Units: metric → inch");
    expect(refusalOf(await editMachine(works.as(), { ...edit, entryId: v7() }))).toBe("nothing-changed");
    const [stage] = await stagesOfMachines(works.pool, [lift.id]);
    const opening = { id: v7(), entryId: v7(), machineId: lift.id, stageIds: [stage?.id], reason: "x", madeAt: at() };
    mustHold(await openJob(works.as(), opening));
    const retire = { machineId: lift.id, entryId: v7(), retired: true, text: "" };
    expect(refusalOf(await retireMachine(works.as(), retire))).toBe("job-open");
  });

  test("a mirror image has the other hands and the other words; what opens the centres still does", async () => {
    const source = newMachine("Left folder", "F-1");
    const stage = stageInput(v7());
    mustHold(
      await addMachine(works.as(), {
        ...source,
        stages: [
          {
            ...stage,
            geometry: { ...stage.geometry, arcDeg: [10, 90] },
            adjuster: {
              name: "Screw",
              adjuster: { type: "screw", leadMm: 1.25 },
              step: 0.125,
              positiveWord: "clockwise",
              negativeWord: "counter-clockwise",
              hand: "right",
              seenFrom: "the left side",
            },
          },
        ],
      }),
    );
    const line = {
      sources: [{ id: "source-0", name: "Motor", rpm: 1440, torqueNm: null }],
      links: [{ stageId: stage.id, from: "source-0", onto: null, gear: 0, angleDeg: 30 }],
      outputs: [{ at: stage.id, name: "Rolls", wheelDiameterMm: 80, scale: null }],
    };
    const saved = { entryId: v7(), revisionId: v7(), machineId: source.id, seenRevision: 0, graph: line };
    mustHold(await saveDriveLine(works.as(), saved));
    const twin = { ...newMachine("Right folder", "F-2"), sourceId: source.id, mirrored: true };
    mustHold(await copyMachine(works.as(), twin));
    mustHold(await copyMachine(works.as(), twin));
    const [copied, more] = await stagesOfMachines(works.pool, [twin.id]);
    expect(more).toBeUndefined();
    expect(copied?.adjuster).toMatchObject({
      hand: "left",
      positiveWord: "counter-clockwise",
      negativeWord: "clockwise",
      seenFrom: "the right side",
      adjuster: { type: "screw", leadMm: 1.25 },
    });
    expect(copied?.geometry.arcDeg).toEqual([-90, -10]);
    // What was laid to the right and down is laid to the left and down.
    expect((await driveLineOf(works.pool, twin.id))?.graph).toEqual({
      ...line,
      links: [{ ...line.links[0], stageId: copied?.id, angleDeg: 150 }],
      outputs: [{ ...line.outputs[0], at: copied?.id }],
    });
    expect(copied?.geometry.clamps.points[1]).toEqual({ x: -9, y: 0 });
  });

  test("a meter that runs backwards is asked about: a new one goes on with the total, a slip is corrected", async () => {
    const reading = (value: number, newMeterFrom: number | null = null) =>
      logUsage(works.as(), { id: v7(), machineId: works.machineId, madeAt: at(), reading: value, newMeterFrom });
    mustHold(await reading(1000));
    const slip = mustHold(await reading(12_000));
    expect(await reading(1200)).toMatchObject({ refusal: { code: "meter-backwards", facts: { last: 12_000 } } });
    const correction = { kind: "correction", id: v7(), namesEntry: slip.id, madeAt: at(), text: "1 200", voids: true };
    mustHold(await correctEntry(works.as(), correction));
    mustHold(await reading(1200));
    expect(refusalOf(await reading(30, 50))).toBe("below-new-meter newMeterFrom");
    mustHold(await reading(30, 10));
    const machine = await machineById(works.pool, works.lead.workshopId, works.machineId);
    expect(machine).toMatchObject({ meterReading: 30, usageTotal: 1220 });
    const job = await works.openJob();
    expect((await lastOf<EntryOf<"job-opened">>(job)).usage).toBe(1220);
  });
});

describe("stages", () => {
  test("limits with the lower above the upper, an aim outside, a name twice are refused at their fields", async () => {
    const bad = { ...stageInput(v7(), "Second"), machineId: works.machineId };
    const limits = (lo: number, hi: number, aim: number | null = null) => ({ ...bad.limits, lo, hi, aim });
    expect(refusalOf(await addStage(works.as(), { ...bad, limits: limits(0.3, 0.2) }))).toBe(
      "window-upside-down limits.lo",
    );
    expect(refusalOf(await addStage(works.as(), { ...bad, limits: limits(0.1, 0.2, 0.5) }))).toBe(
      "aim-outside limits.aim",
    );
    expect(refusalOf(await addStage(works.as(), { ...bad, name: "drive" }))).toBe("stage-name-taken name");
    const element = { ...bad.geometry.element, pair: { ...bad.geometry.element.pair, centreDistanceMm: 20 } };
    expect(refusalOf(await addStage(works.as(), { ...bad, geometry: { ...bad.geometry, element } }))).toBe(
      "centre-distance-too-small geometry.element.centreDistanceMm",
    );
  });

  test("what is unwise is saved and recorded; a revision that somebody else made meanwhile is not written over", async () => {
    const stage = stageInput(v7(), "Small");
    const element = { kind: "gear-pair", pair: { teeth: [9, 40], moduleMm: 2, centreDistanceMm: 49.2 } };
    mustHold(
      await addStage(works.as(), { ...stage, machineId: works.machineId, geometry: { ...stage.geometry, element } }),
    );
    const { rows } = await works.pool.query("select body from entry where stage_id = $1", [stage.id]);
    expect(JSON.stringify(rows[0].body.warnings)).toContain("undercut");
    const revise = (lo: number) =>
      reviseStage(works.as(), {
        what: "limits",
        stageId: stage.id,
        entryId: v7(),
        revisionId: v7(),
        seenRevision: 1,
        limits: { ...stage.limits, lo },
      });
    mustHold(await revise(0.05));
    expect(refusalOf(await revise(0.06))).toBe("revised-meanwhile limits");
    expect((await stageById(works.pool, stage.id))?.limits).toMatchObject({ revision: 2, lo: 0.05 });
  });

  test("limits changed today judge the stage anew; what an entry said stays", async () => {
    const job = await works.openJob();
    mustHold(await works.entry(job, works.round()));
    const stage = await stageById(works.pool, works.stageId);
    const revise = (lo: number, hi: number, seenRevision: number) =>
      reviseStage(works.as(), {
        what: "limits",
        stageId: works.stageId,
        entryId: v7(),
        revisionId: v7(),
        seenRevision,
        limits: { quantity: "circumferential-backlash", lo, hi, aim: null, sourceKind: "house rule", source: "R" },
      });
    const seen = stage?.limits?.revision ?? 0;
    mustHold(await revise(0.3, 0.4, seen));
    expect((await standingsOfStages(works.pool, [works.stageId]))[0]?.state).toBe("outside");
    expect((await lastOf<EntryOf<"round">>(job)).body.result.verdict).toBe("conforms");
    mustHold(await revise(0.1, 0.24, seen + 1));
    mustHold(await sign(job, []));
  });
});

describe("jobs", () => {
  test("what stays provisional becomes an open point, and the job that mends it closes it", async () => {
    const first = await works.openJob();
    mustHold(await works.entry(first, works.round(["0.35", "0.36", "0.35"])));
    mustHold(await sign(first, ["not-inside"]));
    const codes = async () => (await openPointsOf(works.pool, [works.machineId])).map((point) => point.code);
    expect(await codes()).toEqual(["not-inside"]);
    // With what it left, as the signature has it.
    const [left] = await openPointsOf(works.pool, [works.machineId]);
    expect(left?.left?.asLeft).toMatchObject({ min: 0.35, max: 0.36, verdict: "does-not-conform" });
    const second = await works.openJob();
    mustHold(await works.entry(second, works.round()));
    mustHold(await sign(second, []));
    expect(await codes()).toEqual([]);
  });

  test("a point said in words stays until somebody says how it was done, once", async () => {
    const point = mustHold(
      await openPoint(works.as(), {
        id: v7(),
        machineId: works.machineId,
        stageId: null,
        text: "Gear on order",
        madeAt: at(),
      }),
    );
    const close = () => closePoint(works.as(), { id: v7(), pointId: point.id, text: "Fitted", madeAt: at() });
    expect(mustHold(await close()).namesEntry).toBe(point.id);
    expect(refusalOf(await close())).toBe("point-closed pointId");
  });

  test("two stages in one job are signed together, each with its own record and next date", async () => {
    const other = stageInput(v7(), "Other");
    mustHold(await addStage(works.as(), { ...other, machineId: works.machineId }));
    const job = v7();
    const stageIds = [works.stageId, other.id];
    const opening = { id: job, entryId: v7(), machineId: works.machineId, stageIds, reason: "Both", madeAt: at() };
    mustHold(await openJob(works.as(), opening));
    mustHold(await works.entry(job, works.round()));
    const stages = [
      { stageId: works.stageId, provisional: [], nextDate: "2031-01-02" },
      { stageId: other.id, provisional: ["no-as-found"], nextDate: null },
    ];
    expect(refusalOf(await sign(job, [], { stages: [stages[0]] }))).toBe("no-such-stage stages");
    mustHold(await sign(job, [], { stages }));
    const signatures = (await entriesOfJob(works.pool, job)).filter((entry) => entry.kind === "signature");
    expect(signatures.map((entry) => entry.stageId)).toEqual(stageIds);
    expect((await standingsOfStages(works.pool, [works.stageId]))[0]?.nextDate).toBe("2031-01-02");
    mustHold(
      await planVisit(works.as(), { id: v7(), stageId: other.id, date: "2031-05-06", text: "Grease", madeAt: at() }),
    );
    expect((await standingsOfStages(works.pool, [other.id]))[0]).toMatchObject({
      nextDate: "2031-05-06",
      plan: "Grease",
    });
  });

  test("a round gone on with is judged whole; one read at the tight spot alone is carried over from the last job", async () => {
    const job = await works.openJob();
    const first = mustHold(await works.entry(job, works.round(["0.15", "0.16", "0.17"])));
    const more = works.round(["0.30"]);
    const readings = (more.readings as object[]).map((reading) => ({ ...reading, tooth: 30 }));
    const on = { ...more, readings, continues: first.id };
    const whole = mustHold(await works.entry(job, on)) as EntryOf<"round">;
    expect(whole.body.result).toMatchObject({ count: 4, max: 0.3 });
    mustHold(await sign(job, ["not-inside"]));
    const quick = await works.openJob();
    const carried = mustHold(await works.entry(quick, { ...works.round(["0.14"]), carries: true })) as EntryOf<"round">;
    expect(carried.body.result.carriedFrom).toBe(whole.id);
    expect(carried.body.result.max).toBeCloseTo(0.29, 9);
    mustHold(await sign(quick, ["not-inside"]));
  });

  test("a move meant for an adjuster that was changed meanwhile is not taken", async () => {
    const job = await works.openJob();
    const move = { kind: "move", amount: 0.1, did: "so", advised: null, reasons: [], note: "", adjusterId: v7() };
    expect(refusalOf(await works.entry(job, move))).toBe("adjuster-revised amount");
  });

  test("a tablet's clock that runs an hour ahead is set right by what it shows as it sends", async () => {
    const job = await works.openJob();
    const hour = 3_600_000;
    const ahead = (ms: number) => new Date(Date.now() + hour + ms).toISOString();
    const made = { madeAt: ahead(-600_000), sentAt: ahead(0) };
    const entry = mustHold(await works.entry(job, { kind: "note", text: "x", ...made }));
    expect(Math.abs(Date.parse(entry.madeAt) - (Date.now() - 600_000))).toBeLessThan(5000);
  });
});

describe("files", () => {
  const attach = (name: string, content: Uint8Array) =>
    attachFile(
      works.as(),
      { id: v7(), machineId: works.machineId, stageId: null, name, caption: "", madeAt: at() },
      content,
    );
  const text = (value: string) => new TextEncoder().encode(value);
  const png = Buffer.from(
    "iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==",
    "base64",
  );
  test.each([
    ["a script called a picture", "photo.jpg", text("#!/bin/sh"), "not-what-it-says file"],
    ["a page called a text", "notes.txt", Buffer.from([0, 1, 2, 255]), "not-what-it-says file"],
    ["a kind that is not kept", "macro.docm", text("x"), "kind-not-kept file"],
    ["nothing", "empty.txt", text(""), "empty-file file"],
    ["too much", "big.pdf", new Uint8Array(12_000_001), "file-too-large file"],
    ["half a picture", "half.png", png.subarray(0, 45), "picture-damaged file"],
  ])("%s is refused, and nothing is kept", async (_, name, content, refusal) => {
    expect(refusalOf(await attach(name, content))).toBe(refusal);
  });

  test("what is kept is in the chain: content changed behind its back is found", async () => {
    const entry = mustHold(await attach("plate.png", png)) as EntryOf<"attachment">;
    expect(entry.body.mediaType).toBe("image/jpeg");
    await expect(works.pool.query("update attachment set content = 'x'")).rejects.toMatchObject({ code: "HA001" });
    const machine = await machineById(works.pool, works.lead.workshopId, works.machineId);
    const verify = () => transaction(works.pool, (db) => verifyChain(db, machine as NonNullable<typeof machine>));
    expect((await verify()).breaks).toBeNull();
    const behindTheTriggers = (content: Buffer) =>
      transaction(works.pool, async (db) => {
        await db.query("set local session_replication_role = replica");
        await db.query("update attachment set content = $1 where entry_id = $2", [content, entry.id]);
      });
    const { rows } = await works.pool.query("select content from attachment where entry_id = $1", [entry.id]);
    await behindTheTriggers(Buffer.from("x"));
    expect((await verify()).breaks).toMatchObject({ seq: entry.seq, why: "attachment-differs" });
    await behindTheTriggers(rows[0].content);
    expect((await verify()).breaks).toBeNull();
  });
});

test("a picture that claims more than it should, or a stage of another machine, is refused", async () => {
  const huge = await sharp({ create: { width: 8000, height: 5200, channels: 3, background: "#808080" } })
    .png()
    .toBuffer();
  expect(huge.length).toBeLessThan(2_000_000);
  const input = { id: v7(), machineId: works.machineId, stageId: null, name: "a.png", caption: "", madeAt: at() };
  expect(refusalOf(await attachFile(works.as(), input, huge))).toBe("too-many-pixels file");
  const other = { machineId: v7(), stageId: v7() };
  mustHold(await addMachine(works.as(), { ...machine({ ...works, ...other }), name: "Elsewhere", tag: "E-1" }));
  const text = { ...input, name: "a.txt", stageId: other.stageId };
  expect(refusalOf(await attachFile(works.as(), text, Buffer.from("x")))).toBe("no-such-stage stageId");
});

test("a computation kept on a stage is computed here, so that it is what it says", async () => {
  const keep = (input: unknown) =>
    keepComputation(works.as(), {
      id: v7(),
      stageId: works.stageId,
      tool: "gear-pair",
      input,
      text: "",
      madeAt: at(),
      output: { ratio: 99 },
    });
  const entry = mustHold(await keep({ teeth: [20, 40], moduleMm: 1 })) as EntryOf<"computation">;
  expect(entry.body.output).toMatchObject({ ratio: 2 });
  expect(refusalOf(await keep({ teeth: [2, 40], moduleMm: 1 }))).toBe("too-small input.teeth.0");
});

describe("an exported logbook", () => {
  const exported = async (jobId: string | null = null) => {
    const machine = await machineById(works.pool, works.lead.workshopId, works.machineId);
    let text = "";
    for await (const piece of exportLogbook(
      works.pool,
      machine as NonNullable<typeof machine>,
      new Date(),
      testKey,
      jobId,
    ))
      text += piece;
    return text;
  };
  const check = (text: string) => verifyExport(text, testKey.publicKey);
  test("is whole by itself, of a machine and of a job", async () => {
    const whole = await exported();
    expect(check(whole)).toMatchObject({ breaks: null, entries: JSON.parse(whole).head.seq });
    const job = await works.openJob();
    mustHold(await works.entry(job, works.round()));
    expect(check(await exported(job))).toMatchObject({ breaks: null, entries: 2 });
    // Without the workshop's key it is checked against the one it names itself.
    expect(verifyExport(whole, null)).toMatchObject({ breaks: null, signedWith: testKey.id.toString("hex") });
  });
  test("any byte flipped, cut, added or doubled is found, of a machine and of a job", async () => {
    const job = await works.openJob();
    mustHold(await works.entry(job, works.round()));
    const random = seededRandom(11);
    for (const text of [await exported(), await exported(job)]) {
      const unseen = Array.from({ length: 250 }, () => {
        const at = Math.floor(random() * text.length);
        const other = String.fromCharCode(((text.charCodeAt(at) + 1 + Math.floor(random() * 90)) % 94) + 32);
        const changed = [
          text.slice(0, at) + (other === text[at] ? "~" : other) + text.slice(at + 1),
          text.slice(0, at) + text.slice(at + 1 + Math.floor(random() * 40)),
          text.slice(0, at) + other + text.slice(at),
          text.slice(0, at) + text.slice(at, at + 300) + text.slice(at),
        ][Math.floor(random() * 4)] as string;
        return changed !== text && check(changed).breaks === null ? `${at}: ${changed.slice(at, at + 9)}` : null;
      }).filter(Boolean);
      expect(unseen).toEqual([]);
    }
  });
  test("signed with another key, or not at all, it says so", async () => {
    const text = await exported();
    const pem = generateKeyPairSync("ed25519").privateKey.export({ type: "pkcs8", format: "pem" }).toString();
    expect(verifyExport(text, sealKeyOf(pem).publicKey).breaks?.why).toBe("other-key");
    const earlier = text.replace("harmostat-logbook-2", "harmostat-logbook-1");
    expect(check(earlier).breaks?.why).toBe("not-readable");
    const cut = `${earlier.slice(0, earlier.indexOf('\n],"signature"'))}]}`;
    expect(check(cut)).toMatchObject({ signedWith: null });
  });
  test("anything else is no export, and says so", () => {
    for (const text of [
      "",
      "{",
      "null",
      "[]",
      '{"entries":[]}',
      '{"format":"harmostat-logbook-2","machine":{"id":"x"},"entries":[null]}',
    ])
      expect(check(text).breaks?.why).toBe("not-readable");
  });
});

test("the floor lists the worst first, page by page without a gap, and finds by words, whatever is in them", async () => {
  const { workshopId } = works.lead;
  for (let i = 0; i < 7; i++)
    mustHold(await addMachine(works.as(), newMachine(`Line ${i}`, `X-${i}`, { hall: "North %_" })));
  const now = new Date();
  const today = now.toISOString().slice(0, 10);
  const days = { today, dueUntil: today, soon: now, now };
  const whole = await floorPage(works.pool, workshopId, days, wholeFloor, null, null, 100);
  const paged: string[] = [];
  for (let after: (typeof whole)[number] | null = null; ; ) {
    const page: typeof whole = await floorPage(works.pool, workshopId, days, wholeFloor, null, after, 3);
    if (page.length === 0) break;
    paged.push(...page.map((machine) => machine.id));
    after = page[page.length - 1] ?? null;
  }
  expect(paged).toEqual(whole.map((machine) => machine.id));
  expect(whole.map((machine) => machine.rank)).toEqual([...whole.map((machine) => machine.rank)].sort());
  const found = await floorPage(works.pool, workshopId, days, { ...wholeFloor, words: "%_" }, null, null, 100);
  expect(found.map((machine) => machine.name)).toEqual(Array.from({ length: 7 }, (_, i) => `Line ${i}`));
  const groups = await floorGroups(works.pool, workshopId, days, wholeFloor);
  expect(groups.reduce((sum, group) => sum + group.machines, 0)).toBe(whole.length);
  for (const state of floorStates) {
    const inIt = await floorPage(works.pool, workshopId, days, wholeFloor, state, null, 100);
    expect(inIt.map(({ id }) => id)).toEqual(whole.filter(({ states }) => states.includes(state)).map(({ id }) => id));
    expect(groups.reduce((sum, group) => sum + group[state], 0)).toBe(inIt.length);
  }
});

test("somebody who may only look changes nothing of any of it", async () => {
  const reader = works.as(await works.addPerson("reader"));
  const technician = works.as(await works.addPerson("technician"));
  for (const operation of [addMachine, editMachine, retireMachine, copyMachine, addStage, reviseStage])
    expect(refusalOf(await operation(technician, {}))).toBe("role");
  for (const operation of [logUsage, openPoint, closePoint, planVisit, keepComputation, keepOption, logTrial])
    expect(refusalOf(await operation(reader, {}))).toBe("role");
  expect(refusalOf(await attachFile(reader, {}, new Uint8Array()))).toBe("role");
});
