import { v7 } from "uuid";
import { beforeAll, expect, test } from "vitest";
import { jobRecord } from "~/core/logbook";
import type { Result } from "~/core/quantity";
import { entriesOfJob } from "~/data/queries/entries";
import { stageById } from "~/data/queries/stages";
import { itemById } from "~/data/queries/store";
import { exchangeGear } from "~/operations/exchange-gear";
import { keepItem } from "~/operations/stores";
import { freshWorks } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>): string =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`;

let teeth: readonly [number, number];
let moduleMm: number;
const gears: Record<string, string> = {};

async function gear(name: string, count: number, figures: Record<string, number>): Promise<void> {
  const id = v7();
  const item = { kind: "gear", name, figures: { moduleMm, ...figures } };
  const kept = await keepItem(works.as(), { id, movementId: v7(), ...item, count });
  if (!kept.ok) throw new Error(refusal(kept));
  gears[name] = id;
}

beforeAll(async () => {
  const stage = await stageById(works.pool, works.stageId);
  if (stage?.geometry.element.kind !== "gear-pair") throw new Error("no gear pair");
  ({ teeth, moduleMm } = stage.geometry.element.pair);
  await gear("one more", 1, { teeth: teeth[0] + 1 });
  await gear("as before", 0, { teeth: teeth[0] });
  await gear("other system", 3, { teeth: teeth[0] + 1, moduleMm: moduleMm + 0.05 });
});

const exchange = (jobId: string, more: object = {}) => ({
  entryId: v7(),
  revisionId: v7(),
  jobId,
  stageId: works.stageId,
  seenRevision: 1,
  items: [gears["one more"], null],
  drawers: [gears["as before"], null],
  centreDistanceMm: (moduleMm * (teeth[0] + 1 + teeth[1])) / 2 + 0.15,
  acknowledged: [{ key: "faces", text: "Faces of the two gears in line" }],
  notAcknowledged: [{ key: "compound", text: "Locking compound on the set screw" }],
  text: "worn",
  ...more,
});
const count = async (name: string) => (await itemById(works.pool, works.lead.workshopId, gears[name] ?? ""))?.count;

test("what speaks against it leaves stage and stores as they were", async () => {
  const job = await works.openJob();
  const technician = await works.addPerson("technician");
  const reader = await works.addPerson("reader");
  const asked = async (more: object, person = technician) =>
    refusal(await exchangeGear(works.as(person), exchange(job, more)));
  expect(await asked({}, reader)).toMatch(/^role/);
  expect(await asked({ items: [gears["other system"], null] })).toBe("another-system items.0");
  expect(await asked({ items: [gears["as before"], null] })).toBe("none-left stock");
  expect(await asked({ items: [v7(), null] })).toBe("no-such-item stock");
  expect(await asked({ items: [null, null] })).toBe("nothing-changed items");
  expect(await asked({ seenRevision: 2 })).toBe("revised-meanwhile geometry");
  expect(await asked({ centreDistanceMm: 1 })).toBe("centre-distance-too-small centreDistanceMm");
  expect(await asked({ jobId: v7() })).toBe("no-such-job jobId");
  expect((await stageById(works.pool, works.stageId))?.geometry.revision).toBe(1);
  expect([await count("one more"), await count("as before")]).toEqual([1, 0]);
  expect(await entriesOfJob(works.pool, job)).toHaveLength(1);
});

test("a pinion exchanged by a technician: stores, geometry and logbook in one; as found stays with the old gear, and it is to be read again", async () => {
  const job = (await works.pool.query("select id from job where signed_entry is null limit 1")).rows[0].id;
  const technician = await works.addPerson("technician");
  expect((await works.entry(job, works.round())).ok).toBe(true);
  const put = exchange(job);
  const done = await exchangeGear(works.as(technician), put);
  expect(done.ok && done.value.body).toMatchObject({
    what: "geometry",
    exchange: {
      was: teeth,
      now: [teeth[0] + 1, teeth[1]],
      names: ["one more", null],
      speedPercent: expect.closeTo(100 / teeth[0], 9),
      acknowledged: [{ key: "faces" }],
      notAcknowledged: [{ key: "compound" }],
    },
  });
  // Sent twice it is done once.
  expect(refusal(await exchangeGear(works.as(technician), put))).toBe("taken");
  expect([await count("one more"), await count("as before")]).toEqual([0, 1]);
  const stage = await stageById(works.pool, works.stageId);
  expect(stage?.geometry).toMatchObject({ revision: 2, element: { pair: { teeth: [teeth[0] + 1, teeth[1]] } } });
  if (!stage) throw new Error("no stage");
  const record = jobRecord(await entriesOfJob(works.pool, job), stage);
  expect(record.asFound?.body.result.teeth).toEqual(teeth);
  expect(record.changedSinceRound).toBe(true);
  // What the old gear would read now is no reading of the new one.
  expect(refusal(await works.entry(job, { ...works.round(), teeth }))).toBe("gear-exchanged readings");
});
