import { v7 } from "uuid";
import { expect, test } from "vitest";
import { isKind, stageTrend } from "~/core/logbook";
import { mustHold } from "~/core/quantity";
import { entriesOfJob, recentWorkOf, stageHistory } from "~/data/queries/entries";
import { standingsOfStages } from "~/data/queries/standings";
import { correctEntry } from "~/operations/correct-entry";
import { importPaperRounds } from "~/operations/import-paper-rounds";
import { freshWorks } from "./fixture";

const works = freshWorks();
const bring = (sheet: string, more: object = {}) =>
  importPaperRounds(works.as(), {
    ...{ id: v7(), stageId: works.stageId, sheet, instrumentId: works.instrumentId },
    ...{ quantity: "circumferential-backlash", keptBy: "Notebook", movedAfter: "no" },
    ...more,
  });
const round = (date: string, ...values: string[]) =>
  values.map((value, i) => `${date},${1 + 8 * i},${value}`).join("\n");
const sheet = (...rounds: string[]) => `date,place,value\n${rounds.join("\n")}\n`;
const history = () => stageHistory(works.pool, works.stageId, 100);
const limits = { lo: 0.1, hi: 0.24 };

test("rounds of paper make the trend with what was read here, and tell nothing else of the stage", async () => {
  const job = await works.openJob();
  mustHold(await works.entry(job, works.round()));
  const before = (await standingsOfStages(works.pool, [works.stageId]))[0];
  const done = await bring(
    sheet(
      round("2023-01-10", "0.12", "0.13", "0.12", "0.13", "0.12"),
      round("2024-01-10", "0.13", "0.14", "0.13", "0.14", "0.13"),
      round("2025-01-10", "0.14", "0.15", "0.14", "0.15", "0.14"),
    ),
  );
  expect(done).toMatchObject({ ok: true, value: { rounds: 3, readings: 15 } });
  const trend = stageTrend(await history(), limits, "time");
  expect(trend?.points.map(({ madeAt }) => madeAt.slice(0, 4)).slice(0, 3)).toEqual(["2023", "2024", "2025"]);
  expect(trend?.points).toHaveLength(4);
  expect((trend?.mean.slope ?? 0) * 365.25).toBeCloseTo(0.01, 2);
  // How it stands is what was read here; nothing of paper teaches the adjuster or is gone on from.
  expect((await standingsOfStages(works.pool, [works.stageId]))[0]).toMatchObject({
    readAt: before?.readAt,
    result: before?.result,
  });
  const work = (await recentWorkOf(works.pool, [works.stageId], 40, 12)).get(works.stageId) ?? [];
  expect(work.every(({ kind }) => kind !== "paper-round")).toBe(true);
  expect((await entriesOfJob(works.pool, job)).some(isKind("paper-round"))).toBe(false);
});

test("what may have been moved between begins anew each time: rounds of which nobody knows make no trend", async () => {
  const points = () => history().then((entries) => stageTrend(entries.filter(isKind("paper-round")), limits, "time"));
  const first = (await history()).filter(isKind("paper-round"));
  for (const { id } of first)
    mustHold(
      await correctEntry(works.as(), {
        ...{ kind: "correction", id: v7(), namesEntry: id, text: "Another machine", voids: true },
        madeAt: new Date().toISOString(),
      }),
    );
  const rounds = ["2020-01-01", "2020-06-01", "2021-01-01"].map((date, i) =>
    round(date, `0.1${i}`, `0.1${i}`, `0.1${i}`),
  );
  mustHold(await bring(sheet(...rounds), { movedAfter: "unknown" }));
  const voided = new Set(first.map(({ id }) => id));
  const counting = (await history()).filter(({ id }) => !voided.has(id));
  expect(stageTrend(counting.filter(isKind("paper-round")), limits, "time")).toBeNull();
  expect(await points()).not.toBeNull();
});

test("all of a sheet or nothing: the line that is wrong is named, a day is taken once, none lies ahead", async () => {
  const count = async () => (await history()).filter(isKind("paper-round")).length;
  const before = await count();
  const good = round("2019-01-01", "0.12", "0.13");
  expect(await bring(sheet(good, "2019-02-01,1,loose"))).toMatchObject({
    refusal: { code: "not-a-number", path: ["lines", 4, "value"] },
  });
  expect(await bring(sheet(good, "2019-02-01,41,0.12"))).toMatchObject({
    refusal: { code: "no-such-tooth", path: ["lines", 4, "place"] },
  });
  expect(await bring(sheet(good, "2099-02-01,1,0.12"))).toMatchObject({
    refusal: { code: "day-ahead", path: ["lines", 4, "date"] },
  });
  expect(await bring(sheet(good), { quantity: "sag" })).toMatchObject({ refusal: { code: "not-of-this-kind" } });
  expect(await bring(sheet(good), { instrumentId: v7() })).toMatchObject({ refusal: { code: "no-such-instrument" } });
  expect(await count()).toBe(before);
  const id = v7();
  mustHold(await bring(sheet(good), { id }));
  mustHold(await bring(sheet(good), { id }));
  expect(await bring(sheet(good))).toMatchObject({ refusal: { code: "paper-there", path: ["lines", 2, "date"] } });
  expect(await count()).toBe(before + 1);
  const reader = await works.addPerson("reader");
  expect(await importPaperRounds(works.as(reader), {})).toMatchObject({ refusal: { code: "role" } });
});
