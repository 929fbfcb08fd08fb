import sharp from "sharp";
import { v7 } from "uuid";
import { expect, test } from "vitest";
import { apartOf } from "~/core/logbook";
import { mustHold, type Result } from "~/core/quantity";
import { entriesOfJob, partsLeftOff, photographsNaming } from "~/data/queries/entries";
import { guideById, guidesOfMachine } from "~/data/queries/guides";
import { openPointsOf } from "~/data/queries/open-points";
import { addMachine } from "~/operations/add-machine";
import { addStage } from "~/operations/add-stage";
import { attachFile } from "~/operations/attach-file";
import { copyGuide } from "~/operations/copy-guide";
import { copyMachine } from "~/operations/copy-machine";
import { correctEntry } from "~/operations/correct-entry";
import { keepGuide } from "~/operations/keep-guide";
import { recordEntry } from "~/operations/record-entry";
import { signJob } from "~/operations/sign-job";
import { freshWorks, machine, stageInput } from "./fixture";

const works = freshWorks();
const at = () => new Date().toISOString();
const refusalOf = (result: Result<unknown>) =>
  result.ok ? "accepted" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const off = (key: string, more: object = {}) => ({ kind: "part-off", key, name: key, screws: null, ...more });
const on = (key: string, more: object = {}) => ({ kind: "part-on", key, name: key, screws: [], state: null, ...more });
const sign = async (jobId: string, provisional: readonly string[]) =>
  signJob(works.as(), {
    kind: "signature",
    id: v7(),
    jobId,
    madeAt: at(),
    saw: (await entriesOfJob(works.pool, jobId)).map(({ id }) => id),
    stages: [{ stageId: works.stageId, provisional, nextDate: null }],
    comment: "",
  });
const points = async () =>
  (await openPointsOf(works.pool, [works.machineId])).map(({ code, text }) => `${code}: ${text}`);

test("two people on one strip-down: the second hears who took it off, and a second one of the kind needs a name", async () => {
  const jobId = await works.openJob();
  const other = await works.addPerson("technician");
  const take = (person: typeof other, key: string, name: string) =>
    recordEntry(works.as(person), { id: v7(), jobId, stageId: works.stageId, madeAt: at(), ...off(key), name });
  expect(refusalOf(await take(works.lead, "a", "Bearing"))).toBe("accepted");
  const second = await take(other, "b", " bearing ");
  expect(!second.ok && second.refusal.facts).toEqual({ name: "Bearing", by: "Lead" });
  expect(refusalOf(await take(other, "b", "Bearing, far end"))).toBe("accepted");
  expect(refusalOf(await works.entry(jobId, on("b")))).toBe("accepted");
  expect(refusalOf(await works.entry(jobId, on("b")))).toBe("part-already-on name");
  // What came out is what was counted then, whatever is said later.
  const screws = [{ size: "M4", count: 3 }];
  expect(refusalOf(await works.entry(jobId, off("c", { name: "Cover", screws })))).toBe("accepted");
  const claimed = [{ size: "M5", count: 9, in: 3 }];
  expect(refusalOf(await works.entry(jobId, on("c", { screws: claimed })))).toBe("missing state");
  expect(refusalOf(await works.entry(jobId, on("c", { screws: claimed, state: "snug" })))).toBe("accepted");
  const { account } = apartOf(await entriesOfJob(works.pool, jobId));
  expect(account.screws).toEqual({ out: 3, back: 3 });
  expect(refusalOf(await works.entry(jobId, { kind: "part-screws", key: "a", screws: [], state: "firm" }))).toBe(
    "no-such-part key",
  );
  for (const work of [
    on("a"),
    { kind: "part-screws", key: "c", screws: [{ size: "M4", count: 3, in: 3 }], state: "firm" },
  ])
    mustHold(await works.entry(jobId, work));
  expect(refusalOf(await sign(jobId, ["no-as-found"]))).toBe("accepted");
});

test("left off for months: the next job finds it, puts it on, and closes the point; one to order stays open until it is fitted", async () => {
  const first = await works.openJob();
  mustHold(await works.entry(first, off("m", { name: "Motor", fate: "order one", conditions: ["cracked"] })));
  mustHold(await works.entry(first, off("p", { name: "Plate" })));
  expect(await points()).toEqual(["order: Motor: cracked"]);
  expect(refusalOf(await sign(first, ["no-as-found"]))).toBe("not-acknowledged provisional.parts-off");
  expect(refusalOf(await sign(first, ["no-as-found", "parts-off"]))).toBe("accepted");
  expect(await points()).toEqual(["order: Motor: cracked", "parts-off: Plate, Motor"]);

  const next = await works.openJob();
  const left = await partsLeftOff(works.pool, works.machineId, next);
  expect(apartOf(left).off.map(({ name }) => name)).toEqual(["Plate", "Motor"]);
  expect(refusalOf(await works.entry(next, off("m2", { name: "motor" })))).toBe("part-already-off name");
  mustHold(await works.entry(next, on("p")));
  const fitted = mustHold(await works.entry(next, on("m", { fresh: true })));
  expect(fitted.namesEntry).toBe(left.find((entry) => entry.kind === "part-off" && entry.body.part.key === "m")?.id);
  expect(await points()).toEqual(["parts-off: Plate, Motor"]);
  // Still counted in this job after it is on: three months do not lose its screws.
  expect((await partsLeftOff(works.pool, works.machineId, next)).length).toBe(2);
  expect(refusalOf(await sign(next, ["no-as-found"]))).toBe("accepted");
  expect(await points()).toEqual([]);
  expect(await partsLeftOff(works.pool, works.machineId, null)).toEqual([]);
});

test("two jobs on one machine: the other one says that the part is off, and no point of it stays once it is on", async () => {
  const stage = { ...stageInput(v7(), "Second"), machineId: works.machineId };
  mustHold(await addStage(works.as(), stage));
  const first = await works.openJob();
  mustHold(await works.entry(first, off("lid", { name: "Lid" })));
  const other = await works.openJob([stage.id]);
  const seen = await entriesOfJob(works.pool, other);
  const signOther = (jobId: string, saw: typeof seen, provisional: string[]) =>
    signJob(works.as(), {
      kind: "signature",
      id: v7(),
      jobId,
      madeAt: at(),
      saw: saw.map(({ id }) => id),
      stages: [{ stageId: stage.id, provisional, nextDate: null }],
      comment: "",
    });
  const turned = { kind: "turned", way: "as built", feel: "free" };
  mustHold(await recordEntry(works.as(), { id: v7(), jobId: other, stageId: stage.id, madeAt: at(), ...turned }));
  const now = await entriesOfJob(works.pool, other);
  expect(refusalOf(await signOther(other, now, ["no-as-found"]))).toBe("not-acknowledged provisional.parts-off");
  mustHold(await signOther(other, now, ["no-as-found", "parts-off"]));
  expect(await points()).toEqual(["parts-off: Lid"]);
  mustHold(await works.entry(first, on("lid")));
  mustHold(await sign(first, ["no-as-found"]));
  expect(await points()).toEqual([]);
});

test("a slip is corrected: what did not count is not off", async () => {
  const jobId = await works.openJob();
  const slip = mustHold(await works.entry(jobId, off("x", { name: "Wrong cover" })));
  const voids = { kind: "correction", id: v7(), namesEntry: slip.id, madeAt: at(), text: "Other machine", voids: true };
  mustHold(await correctEntry(works.as(), voids));
  expect(await partsLeftOff(works.pool, works.machineId, null)).toEqual([]);
  mustHold(await works.entry(jobId, off("x", { name: "Wrong cover" })));
  mustHold(await works.entry(jobId, on("x")));
  mustHold(await sign(jobId, ["no-as-found"]));
});

const part = (id: string, name: string, more: object = {}) => ({ id, name, ...more });
const guide = (more: object = {}) => ({
  entryId: v7(),
  revisionId: v7(),
  guideId: v7(),
  machineId: works.machineId,
  name: "Gearbox",
  seenRevision: 0,
  parts: [part("shaft", "Shaft", { side: "left" }), part("cover", "Cover", { after: ["shaft"] })],
  ...more,
});

test("a guide is kept in revisions; a ring of ties, a part that is not there, a second name and an older sight are refused", async () => {
  const keep = async (more: object) => refusalOf(await keepGuide(works.as(), guide(more)));
  const guideId = v7();
  const sent = guide({ guideId });
  expect(refusalOf(await keepGuide(works.as(), sent))).toBe("accepted");
  expect(refusalOf(await keepGuide(works.as(), sent))).toBe("accepted");
  expect(await keep({ name: "gearbox " })).toBe("guide-name-taken name");
  expect(await keep({ guideId, seenRevision: 0 })).toBe("revised-meanwhile parts");
  expect(await keep({ name: "b", parts: [part("a", "A", { after: ["b"] })] })).toBe("not-listed parts.0.after.0");
  const ring = [part("a", "Motor", { after: ["b"] }), part("b", "Plate", { hides: ["a"] })];
  const refused = await keepGuide(works.as(), guide({ name: "c", parts: ring }));
  expect(!refused.ok && refused.refusal).toMatchObject({ code: "ties-in-ring", facts: { names: "Motor → Plate" } });
  expect(await keep({ guideId, seenRevision: 1, parts: [part("shaft", "Shaft")] })).toBe("accepted");
  expect(await guideById(works.pool, works.lead.workshopId, guideId)).toMatchObject({
    revision: 2,
    parts: [{ id: "shaft" }],
  });
  // A revision is written once, whoever asks, and the next seal covers it.
  await expect(works.pool.query("update guide_revision set name = 'x'")).rejects.toMatchObject({ code: "HA001" });
  const { rows } = await works.pool.query("select count(*)::int as count from to_seal where kind = 'guide'");
  expect(rows[0].count).toBe(2);
  const looker = await works.addPerson("reader");
  expect(refusalOf(await keepGuide(works.as(looker), guide({ name: "d" })))).toBe("role");
});

test("an entry names the revision of its guide; one of another machine is refused", async () => {
  const [own] = await guidesOfMachine(works.pool, works.machineId);
  const jobId = await works.openJob();
  const follow = (revisionId: string) => ({ revisionId, name: own?.name, revision: own?.revision });
  expect(refusalOf(await works.entry(jobId, off("shaft", { guide: follow(v7()) })))).toBe("no-such-guide guide");
  const entry = mustHold(await works.entry(jobId, off("shaft", { guide: follow(own?.id ?? "") })));
  const png = await sharp({ create: { width: 8, height: 8, channels: 3, background: "red" } })
    .png()
    .toBuffer();
  const photograph = {
    id: v7(),
    machineId: works.machineId,
    stageId: null,
    name: "a.png",
    caption: "Shaft",
    madeAt: at(),
  };
  mustHold(await attachFile(works.as(), { ...photograph, names: entry.id }, png));
  // Of what was refused meanwhile the photograph is kept all the same.
  mustHold(await attachFile(works.as(), { ...photograph, id: v7(), names: v7() }, png));
  expect(await photographsNaming(works.pool, [entry.id])).toEqual([
    { id: photograph.id, of: entry.id, caption: "Shaft" },
  ]);
});

test("the guide goes to a twin for the other hand, alone or with the whole machine", async () => {
  const [own] = await guidesOfMachine(works.pool, works.machineId);
  const revised = guide({
    guideId: own?.guideId,
    seenRevision: own?.revision,
    parts: [part("shaft", "Shaft", { side: "left" }), part("cover", "Cover", { after: ["shaft"] })],
  });
  mustHold(await keepGuide(works.as(), revised));
  const other = { ...machine(works), id: v7(), entryId: v7(), name: "Other hand", tag: "T-2", stages: [] };
  mustHold(await addMachine(works.as(), other));
  const copy = {
    entryId: v7(),
    revisionId: v7(),
    guideId: v7(),
    sourceId: own?.guideId,
    machineId: other.id,
    mirrored: true,
  };
  expect(refusalOf(await copyGuide(works.as(), copy))).toBe("accepted");
  const twin = {
    id: v7(),
    entryId: v7(),
    sourceId: works.machineId,
    name: "Twin",
    tag: "T-3",
    mirrored: true,
    place: "",
  };
  mustHold(await copyMachine(works.as(), twin));
  for (const machineId of [other.id, twin.id])
    expect((await guidesOfMachine(works.pool, machineId))[0]?.parts).toMatchObject([
      { id: "shaft", side: "right" },
      { id: "cover", after: ["shaft"] },
    ]);
});
