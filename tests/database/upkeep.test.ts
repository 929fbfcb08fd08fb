import { v7 } from "uuid";
import { expect, test } from "vitest";
import { mustHold, type Result } from "~/core/quantity";
import { floorPage, wholeFloor } from "~/data/queries/floor";
import { openPointsOf } from "~/data/queries/open-points";
import { upkeepDueOf } from "~/data/queries/upkeep";
import { correctEntry } from "~/operations/correct-entry";
import { keepUpkeep } from "~/operations/keep-upkeep";
import { logUpkeep } from "~/operations/log-upkeep";
import { logUsage } from "~/operations/log-usage";
import { freshWorks } from "./fixture";

const works = freshWorks();
const dayMs = 86_400_000;
const daysAgo = (days: number) => new Date(Date.now() - days * dayMs).toISOString();
const refusalOf = (result: Result<unknown>) =>
  result.ok ? "accepted" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const list = {
  grease: [
    { id: "main", name: "Main bearing", intervalUsage: 1000 },
    { id: "belt", name: "Belt", mark: "keep-dry" },
  ],
  looks: [{ id: "cord", name: "Cord", everyDays: 30 }],
};
const keep = (more: object = {}) =>
  keepUpkeep(works.as(), {
    entryId: v7(),
    revisionId: v7(),
    machineId: works.machineId,
    seenRevision: 0,
    list,
    ...more,
  });
const log = (said: object, when = 0) =>
  logUpkeep(works.as(), { id: v7(), machineId: works.machineId, madeAt: daysAgo(when), ...said });
const meter = (days: number, reading: number) =>
  logUsage(
    { ...works.as(), now: new Date(daysAgo(days)) },
    { id: v7(), machineId: works.machineId, madeAt: daysAgo(days), reading },
  );
const due = async () => (await upkeepDueOf(works.pool, [works.machineId]))[0] ?? null;
const onFloor = async () => {
  const days = {
    today: daysAgo(0).slice(0, 10),
    dueUntil: daysAgo(-7).slice(0, 10),
    soon: new Date(),
    now: new Date(),
  };
  const [machine] = await floorPage(works.pool, works.lead.workshopId, days, wholeFloor, null, null, 5);
  return machine;
};

test("a list is kept in revisions, and what is greased has to be on it and not to be kept dry", async () => {
  expect(refusalOf(await keep())).toBe("accepted");
  expect(refusalOf(await keep())).toBe("revised-meanwhile list");
  const twice = { ...list, looks: [...list.looks, { id: "cord", name: "Again" }] };
  expect(refusalOf(await keep({ seenRevision: 1, list: twice }))).toBe("id-twice list.looks.1.id");
  expect(refusalOf(await log({ kind: "greased", points: [{ id: "nowhere" }], spread: true }))).toBe(
    "not-listed points.0",
  );
  expect(refusalOf(await log({ kind: "greased", points: [{ id: "belt" }], spread: true }))).toBe(
    "to-be-kept-dry points.0",
  );
  expect(refusalOf(await log({ kind: "greased", points: [], spread: true }))).toBe("too-few points");
  const reader = await works.addPerson("reader");
  const by = await logUpkeep(works.as(reader), {
    id: v7(),
    machineId: works.machineId,
    madeAt: daysAgo(0),
    kind: "looked",
    items: [{ id: "cord", found: "fine" }],
  });
  expect(refusalOf(by)).toBe("role");
  // Nothing was ever done: nothing is known to be due.
  expect(await due()).toBeNull();
});

test("due by the meter on the Floor, and no more once it is done; a slip that is voided brings it back", async () => {
  mustHold(await meter(100, 0));
  mustHold(await log({ kind: "greased", points: [{ id: "main", grams: 4 }], spread: true }, 100));
  mustHold(await meter(0, 1100));
  const overdue = await due();
  expect(overdue).toMatchObject({ what: "Main bearing", kind: "grease" });
  expect((overdue?.on ?? "") < daysAgo(0).slice(0, 10)).toBe(true);
  expect((await onFloor())?.states).toContain("due");
  const done = mustHold(await log({ kind: "greased", points: [{ id: "main" }], spread: false }));
  expect((await due())?.on).toBe(new Date(Date.now() + 90 * dayMs).toISOString().slice(0, 10));
  expect((await onFloor())?.states).not.toContain("due");
  const voids = {
    kind: "correction",
    id: v7(),
    namesEntry: done.id,
    madeAt: daysAgo(0),
    text: "The other machine",
    voids: true,
  };
  mustHold(await correctEntry(works.as(), voids));
  expect(await due()).toEqual(overdue);
});

test("damage found by eye is an open point, once, and the look is done all the same", async () => {
  const id = v7();
  const seen = { id, kind: "looked", items: [{ id: "cord", found: "damage", note: "three strands" }] };
  mustHold(await log(seen));
  expect(refusalOf(await log({ ...seen, items: [{ id: "cord", found: "fine" }] }))).toBe("id-taken id");
  const points = await openPointsOf(works.pool, [works.machineId]);
  expect(points.map(({ code, text }) => `${code}: ${text}`)).toEqual(["damage: Cord: three strands"]);
});
