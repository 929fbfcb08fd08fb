import { v7 } from "uuid";
import { expect, test } from "vitest";
import { isKind, optionsOf } from "~/core/logbook";
import { mustHold, type Result } from "~/core/quantity";
import { entriesOfJob, optionsOfMachine, optionsOfStage } from "~/data/queries/entries";
import { openPointsOf } from "~/data/queries/open-points";
import { machineShafts, shaftsOfMachine } from "~/data/queries/shafts";
import { copyMachine } from "~/operations/copy-machine";
import { copyShaft } from "~/operations/copy-shaft";
import { correctEntry } from "~/operations/correct-entry";
import { keepOption } from "~/operations/keep-option";
import { keepShaft } from "~/operations/keep-shaft";
import { signJob } from "~/operations/sign-job";
import { keepItem } from "~/operations/stores";
import { freshWorks } from "./fixture";

const works = freshWorks();
const refusalOf = (result: Result<unknown>) =>
  result.ok ? "accepted" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const base = { leftFace: "wall", rightFace: "cover", endFloat: { loMm: 0.1, hiMm: 0.2 } };
const motor = {
  ...base,
  name: "Motor shaft, left",
  lengthMm: 60,
  leftFaceAtMm: -10,
  parts: [{ id: "p", name: "Pulley", widthMm: 20, plane: { at: { fromFaceMm: 31 }, toleranceMm: 0.2 } }],
};
const feed = (motorId: string) => ({
  ...base,
  name: "Feed shaft",
  lengthMm: 50,
  leftFaceAtMm: 0,
  parts: [
    { id: "b", name: "Bearing", kind: "bearing", widthMm: 10 },
    { id: "p", name: "Pulley", widthMm: 20, plane: { at: { shaftId: motorId, partId: "p" }, toleranceMm: 0.2 } },
  ],
});
const keep = (shaftId: string, shaft: object, more: object = {}) =>
  keepShaft(works.as(), {
    entryId: v7(),
    revisionId: v7(),
    shaftId,
    machineId: works.machineId,
    seenRevision: 0,
    shaft,
    ...more,
  });
const [motorId, feedId, item] = [v7(), v7(), v7()];
const shaftOf = async (id: string) =>
  (await shaftsOfMachine(works.pool, works.machineId)).find(({ shaftId }) => shaftId === id);
const fitted = async (more: object = {}) => ({
  kind: "shaft",
  shaftId: feedId,
  revisionId: (await shaftOf(feedId))?.id,
  phase: "as fitted",
  instrumentId: works.instrumentId,
  length: ["50.00"],
  widths: [
    { key: "b", typed: ["10.00", "10.01"] },
    { key: "p", typed: ["20.00"] },
  ],
  laid: [
    { after: "b", spacers: [{ widthMm: 1, count: 1 }] },
    { after: "p", spacers: [{ widthMm: 18.85, count: 1, made: true }] },
  ],
  float: { typed: "0.15", instrumentId: works.instrumentId },
  seenTo: [{ key: "b", rule: "inner-race-only", done: true }],
  ...more,
});

test("a shaft is kept in revisions; what cannot be true of it is refused at its place", async () => {
  expect(refusalOf(await keep(motorId, motor))).toBe("accepted");
  expect(refusalOf(await keep(feedId, { ...feed(motorId), lengthMm: 29 }))).toBe("shaft-overlaps-faces shaft.lengthMm");
  expect(refusalOf(await keep(feedId, feed(v7())))).toBe("no-such-part shaft.parts.1.plane");
  const twice = { ...motor, name: "Other", parts: [motor.parts[0], { id: "q", name: "pulley" }] };
  expect(refusalOf(await keep(v7(), twice))).toBe("id-twice shaft.parts.1.name");
  expect(refusalOf(await keep(v7(), { ...motor, endFloat: { loMm: 1, hiMm: 0 }, name: "Other" }))).toBe(
    "window-upside-down shaft.endFloat.loMm",
  );
  expect(refusalOf(await keep(feedId, feed(motorId)))).toBe("accepted");
  expect(refusalOf(await keep(v7(), { ...motor, name: "feed SHAFT" }))).toBe("shaft-name-taken shaft.name");
  // Two people at one shaft: the second is told.
  expect(refusalOf(await keep(feedId, feed(motorId)))).toBe("revised-meanwhile shaft.parts");
});

test("as it was fitted it is judged against the other shaft, taken from the drawer, and known to the next job", async () => {
  const stock = { id: item, movementId: v7(), kind: "spacer", name: "Spacer 1", nominalMm: 1, count: 1 };
  mustHold(await keepItem(works.as(), stock));
  const job = await works.openJob();
  const work = await fitted({ stock: [{ itemId: item, change: -1 }] });
  expect(refusalOf(await works.entry(job, { ...work, revisionId: v7() }))).toBe("revised-meanwhile revisionId");
  expect(refusalOf(await works.entry(job, { ...work, length: ["5x"] }))).toBe("unknown-unit length");
  const made = mustHold(await works.entry(job, work));
  if (!isKind("shaft")(made)) throw new Error("no shaft");
  // Motor's plane stands at −10 + 31 = 21 on the machine; 10.005 + 1 + 10 is where it stands.
  expect(made.body.planes[0]).toMatchObject({ wantedMm: 21, meets: { known: "as drawn" }, verdict: "conforms" });
  expect(made.body.planes[0]?.errorMm).toBeCloseTo(0.005, 6);
  expect(made.body.endFloat).toMatchObject({ readMm: 0.15, verdict: "conforms", closes: true });
  expect(refusalOf(await works.entry(job, work))).toBe("none-left stock");
  // The job that is open does not see its own as an earlier one's; another does, until it is voided.
  const seen = async (except: string | null) =>
    (await machineShafts(works.pool, works.machineId, except)).find(({ shaft }) => shaft.shaftId === feedId)?.fitted
      ?.id;
  expect(await seen(job)).toBeUndefined();
  expect(await seen(null)).toBe(made.id);
  mustHold(
    await correctEntry(works.as(), {
      kind: "correction",
      id: v7(),
      namesEntry: made.id,
      text: "Another shaft",
      voids: true,
      madeAt: new Date().toISOString(),
    }),
  );
  expect(await seen(null)).toBeUndefined();
  // Nothing counts in it any more: it is put together again, and signed.
  mustHold(await works.entry(job, await fitted()));
  mustHold(await sign(job, ["no-as-found"]));
});

const sign = async (jobId: string, provisional: readonly string[]) =>
  signJob(works.as(), {
    kind: "signature",
    id: v7(),
    jobId,
    madeAt: new Date().toISOString(),
    saw: (await entriesOfJob(works.pool, jobId)).map(({ id }) => id),
    stages: [{ stageId: works.stageId, provisional, nextDate: null }],
    comment: "",
  });

test("what does not stand right, or was shimmed and not read again, is on the page that is signed and stays open", async () => {
  const job = await works.openJob();
  mustHold(await works.entry(job, await fitted({ float: { typed: "0.6", instrumentId: works.instrumentId } })));
  const flat = {
    kind: "measured",
    tool: "flatness",
    of: "Frame",
    said: "as it stood",
    input: {
      points: [0, 0.3, 0.1, 0.2].map((zMm, i) => ({ xMm: i % 2 ? 600 : 0, yMm: i > 1 ? 400 : 0, zMm })),
      limitMm: 2,
      expandedUncertaintyMm: 0,
    },
  };
  const measured = mustHold(await works.entry(job, { ...flat, output: { flatnessMm: 0 } }));
  if (!isKind("measured")(measured)) throw new Error("not measured");
  // Reckoned here, whatever is sent; and with nobody knows what, nothing is proven.
  expect((measured.body.output as { flatnessMm: number }).flatnessMm).toBeGreaterThan(0.05);
  expect(measured.body.verdict).toBe("undecided");
  mustHold(
    await works.entry(job, {
      ...flat,
      instrumentId: works.instrumentId,
      laid: [{ at: "Point 1", shims: [{ thicknessMm: 0.2, count: 1 }] }],
    }),
  );
  expect(refusalOf(await works.entry(job, { ...flat, input: { points: [] } }))).toBe("too-few input.points");
  expect(refusalOf(await sign(job, ["no-as-found"]))).toBe("not-acknowledged provisional.shaft-not-right");
  mustHold(await sign(job, ["no-as-found", "shaft-not-right", "measured-not-inside"]));
  const open = await openPointsOf(works.pool, [works.machineId]);
  expect(open.map(({ code, text }) => `${code}: ${text}`)).toEqual(
    expect.arrayContaining(["shaft-not-right: Feed shaft", "measured-not-inside: Frame"]),
  );
  const known = { ...flat, instrumentId: works.instrumentId, input: { ...flat.input, expandedUncertaintyMm: 0.01 } };
  // Work on something else puts neither right.
  const other = await works.openJob();
  mustHold(await works.entry(other, { kind: "turned", way: "as built", feel: "free" }));
  mustHold(await works.entry(other, { ...known, of: "Other frame" }));
  mustHold(await sign(other, ["no-as-found"]));
  expect(await openPointsOf(works.pool, [works.machineId])).toHaveLength(open.length);
  const again = await works.openJob();
  mustHold(await works.entry(again, await fitted()));
  mustHold(await works.entry(again, known));
  mustHold(await sign(again, ["no-as-found"]));
  const codes = (await openPointsOf(works.pool, [works.machineId])).map(({ code }) => code);
  expect(codes).not.toContain("shaft-not-right");
  expect(codes).not.toContain("measured-not-inside");
});

test("a mirrored copy of the machine has its shafts turned round and tied to its own", async () => {
  const twin = v7();
  mustHold(
    await copyMachine(works.as(), {
      id: twin,
      entryId: v7(),
      sourceId: works.machineId,
      mirrored: true,
      name: "Twin",
      tag: "TW-1",
      site: "",
      hall: "",
      place: "",
      serial: "",
    }),
  );
  const shafts = await shaftsOfMachine(works.pool, twin);
  const there = shafts.find(({ name }) => name === "Feed shaft");
  expect(shafts.map(({ name }) => name)).toEqual(["Feed shaft", "Motor shaft, right"]);
  expect(there?.parts.map(({ id }) => id)).toEqual(["p", "b"]);
  expect(there?.parts[0]?.plane?.at).toEqual({ shaftId: shafts[1]?.shaftId, partId: "p" });
  // One by one: without a shaft to meet, that plane is left out.
  const copied = { entryId: v7(), revisionId: v7(), shaftId: v7(), sourceId: feedId, machineId: twin, mirrored: false };
  expect(refusalOf(await copyShaft(works.as(), copied))).toBe("shaft-name-taken shaft.name");
  const reader = await works.addPerson("reader");
  expect(refusalOf(await copyShaft(works.as(reader), copied))).toBe("role");
});

test("ways to build an assembly stand on the machine, each as it was last said; a stage's own stay with the stage", async () => {
  const keepWay = (said: object) =>
    keepOption(works.as(), {
      id: v7(),
      machineId: works.machineId,
      assembly: "Feed shaft",
      name: "Sleeve",
      outcome: "open",
      madeAt: new Date().toISOString(),
      ...said,
    });
  expect(refusalOf(await keepWay({ assembly: undefined }))).toBe("missing assembly");
  expect(refusalOf(await keepWay({ stageId: works.stageId }))).toBe("one-of-two assembly");
  expect(refusalOf(await keepWay({ machineId: v7() }))).toBe("no-such-machine machineId");
  expect(refusalOf(await keepWay({ outcome: "lost" }))).toBe("missing why");
  mustHold(await keepWay({}));
  mustHold(await keepWay({ name: "Shims", outcome: "lost", why: "they walk out" }));
  mustHold(await keepWay({ outcome: "chosen", why: "one piece" }));
  mustHold(await keepWay({ assembly: "Gearbox" }));
  const ways = optionsOf(await optionsOfMachine(works.pool, works.machineId, 50));
  expect(ways.map(({ body }) => `${body.assembly}: ${body.name}, ${body.outcome}`)).toEqual([
    "Feed shaft: Sleeve, chosen",
    "Gearbox: Sleeve, open",
    "Feed shaft: Shims, lost",
  ]);
  expect(await optionsOfStage(works.pool, works.stageId, 50)).toEqual([]);
});
