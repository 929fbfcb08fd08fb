import { v7 } from "uuid";
import { beforeAll, expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import type { Person } from "~/core/records";
import { assignmentsOfJob } from "~/data/queries/assignments";
import { entriesOfJob } from "~/data/queries/entries";
import { floorPage, wholeFloor } from "~/data/queries/floor";
import { planPage } from "~/data/queries/plan";
import { standingsOfStages } from "~/data/queries/standings";
import { assign } from "~/operations/assign";
import { dropKey, makeCalendarKey, whoAsksBy } from "~/operations/calendar-key";
import { logUsage } from "~/operations/log-usage";
import { openPoint } from "~/operations/open-point";
import { letLeave } from "~/operations/people";
import { planVisit } from "~/operations/plan-visit";
import { signJob } from "~/operations/sign-job";
import { freshWorks } from "./fixture";

const works = freshWorks();
const every = { site: null, hall: null, personId: null, until: null };
const plan = (filter: Partial<typeof every> | { personId: string } = {}) =>
  planPage(works.pool, works.lead.workshopId, { ...every, ...filter }, null, 100);
const at = (daysAgo = 0) => new Date(Date.now() - daysAgo * 86_400_000).toISOString();
const visit = (more: object) =>
  planVisit(works.as(), { id: v7(), stageId: works.stageId, date: null, text: "", madeAt: at(), ...more });
const give = (of: object, personId: string | null, note = "") =>
  assign(works.as(), { id: v7(), personId, note, ...of });
let other: Person;

beforeAll(async () => {
  other = await works.addPerson("technician");
});

test("planned by the meter: refused while it was never read, expected by its rate, and anew with each reading", async () => {
  expect(await visit({ afterUsage: 100 })).toMatchObject({
    refusal: { code: "meter-never-read", path: ["afterUsage"] },
  });
  const read = (reading: number, daysAgo: number) =>
    logUsage(works.as(), { id: v7(), machineId: works.machineId, reading, madeAt: at(daysAgo) });
  mustHold(await read(1000, 20));
  const entry = mustHold(await visit({ afterUsage: 100, text: "Re-tension" }));
  expect(entry.body).toMatchObject({ date: null, atUsage: 1100 });
  const next = async () => (await standingsOfStages(works.pool, [works.stageId]))[0];
  expect(await next()).toMatchObject({ nextUsage: 1100, nextUsageOn: null });
  // 100 in ten days: there ten days ago.
  mustHold(await read(1100, 10));
  expect((await next())?.nextUsageOn).toBe(at(10).slice(0, 10));
  mustHold(await visit({ afterUsage: 50 }));
  expect((await next())?.nextUsageOn).toBe(at(5).slice(0, 10));
  expect(await plan()).toMatchObject([
    { kind: "usage", on: at(5).slice(0, 10), atUsage: { total: 1150, unit: "hours" } },
  ]);
});

test("visits, points and whose they are stand in one plan, by day; what is mine is found on the floor too", async () => {
  mustHold(await visit({ date: "2031-05-06", text: "Look at the belt" }));
  const point = { id: v7(), machineId: works.machineId, stageId: null, text: "Guard rattles", madeAt: at() };
  mustHold(await openPoint(works.as(), { ...point, by: "2031-05-05" }));
  mustHold(await openPoint(works.as(), { ...point, id: v7(), text: "No day" }));
  mustHold(await give({ stageId: works.stageId }, other.id, "Short wrench"));
  expect(await plan()).toMatchObject([
    { kind: "point", on: "2031-05-05", what: "Guard rattles", to: null },
    { kind: "visit", on: "2031-05-06", what: "Look at the belt", to: { id: other.id }, note: "Short wrench" },
  ]);
  expect(await plan({ personId: other.id })).toHaveLength(1);
  expect(await plan({ personId: works.lead.id })).toEqual([]);
  const days = { today: "2026-01-01", dueUntil: "2026-01-08", soon: new Date(), now: new Date() };
  const mine = (personId: string) =>
    floorPage(works.pool, works.lead.workshopId, days, { ...wholeFloor, mine: personId }, null, null, 10);
  expect(await mine(other.id)).toHaveLength(1);
});

test("a job is given on with a note, and nobody's once it is signed; who only looks or has left gets none", async () => {
  const job = await works.openJob();
  mustHold(await give({ jobId: job }, works.lead.id, "first"));
  mustHold(await give({ jobId: job }, other.id, "Lock 14 is on"));
  const given = () => assignmentsOfJob(works.pool, job, [works.stageId]);
  expect((await given())[0]).toMatchObject({ to: { id: other.id }, note: "Lock 14 is on", givenByName: "Lead" });
  const reader = await works.addPerson("reader");
  expect(await give({ jobId: job }, reader.id)).toMatchObject({
    refusal: { code: "does-no-jobs", facts: { name: "reader" } },
  });
  expect(await give({ jobId: v7() }, other.id)).toMatchObject({ refusal: { code: "no-such-job" } });
  expect(await give({}, other.id)).toMatchObject({ refusal: { code: "missing" } });
  expect(await give({ jobId: job, stageId: works.stageId }, other.id)).toMatchObject({ refusal: { code: "missing" } });
  expect(await assign(works.as(reader), { id: v7(), jobId: job, personId: other.id, note: "" })).toMatchObject({
    refusal: { code: "role" },
  });
  mustHold(await works.entry(job, works.round()));
  const entries = await entriesOfJob(works.pool, job);
  expect(entries.filter(({ kind }) => kind === "assigned").map(({ body }) => body)).toMatchObject([
    { note: "first" },
    { to: { name: "technician" }, note: "Lock 14 is on" },
  ]);
  const stages = [{ stageId: works.stageId, provisional: [], nextDate: null }];
  const signature = { kind: "signature", id: v7(), jobId: job, madeAt: at(), comment: "", stages };
  mustHold(await signJob(works.as(), { ...signature, saw: entries.map(({ id }) => id) }));
  // The visit that it was is done as well.
  expect(await given()).toEqual([]);
  expect(await give({ jobId: job }, other.id)).toMatchObject({ refusal: { code: "job-signed" } });
});

test("a calendar key opens the plan for its person alone, until another is made, it is taken back, or they leave", async () => {
  const as = works.as(other);
  const now = new Date();
  const first = mustHold(await makeCalendarKey(as, { mine: "yes" }));
  expect(await whoAsksBy(works.pool, first.key, now)).toMatchObject({ person: { id: other.id }, mine: true });
  const second = mustHold(await makeCalendarKey(as, { mine: "no" }));
  expect(await whoAsksBy(works.pool, first.key, now)).toBeNull();
  expect(await makeCalendarKey({ ...as, how: "pin" }, { mine: "no" })).toMatchObject({
    refusal: { code: "needs-password" },
  });
  mustHold(await dropKey(as));
  expect(await whoAsksBy(works.pool, second.key, now)).toBeNull();
  const third = mustHold(await makeCalendarKey(as, { mine: "no" }));
  mustHold(await give({ stageId: works.stageId }, other.id));
  mustHold(await letLeave(works.as(), { id: other.id, left: true }));
  expect(await whoAsksBy(works.pool, third.key, now)).toBeNull();
  expect(await give({ stageId: works.stageId }, other.id)).toMatchObject({ refusal: { code: "no-such-person" } });
  expect((await plan()).filter(({ to }) => to !== null)).toEqual([]);
});
