import { v7 } from "uuid";
import { beforeAll, expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import { correctionsOf, entriesOfJob, lastNumber, logbookFrom, logbookPage } from "~/data/queries/entries";
import { dueStages, openJobsOfWorkshop, signedJobs } from "~/data/queries/jobs";
import { openPointsOfWorkshop } from "~/data/queries/open-points";
import { correctEntry } from "~/operations/correct-entry";
import { retireMachine } from "~/operations/edit-machine";
import { openPoint } from "~/operations/open-point";
import { signJob } from "~/operations/sign-job";
import { freshWorks } from "./fixture";

const works = freshWorks();
const at = () => new Date().toISOString();
const signed: string[] = [];
let corrected = "";

beforeAll(async () => {
  for (let i = 0; i < 9; i++) {
    const job = await works.openJob();
    mustHold(await works.entry(job, works.round()));
    const note = mustHold(await works.entry(job, { kind: "note", text: `Visit ${i}, 100 % sure_` }));
    if (i === 2) corrected = note.id;
    const stages = [{ stageId: works.stageId, provisional: [], nextDate: i === 8 ? "2031-02-03" : null }];
    const signature = {
      kind: "signature",
      id: v7(),
      jobId: job,
      madeAt: at(),
      saw: (await entriesOfJob(works.pool, job)).map((entry) => entry.id),
      stages,
      comment: "",
    };
    mustHold(await signJob(works.as(), signature));
    signed.push(job);
    mustHold(
      await openPoint(works.as(), {
        id: v7(),
        machineId: works.machineId,
        stageId: null,
        text: `Point ${i}`,
        madeAt: at(),
      }),
    );
  }
  mustHold(
    await correctEntry(works.as(), {
      kind: "correction",
      id: v7(),
      namesEntry: corrected,
      madeAt: at(),
      text: "Not sure",
      voids: false,
    }),
  );
});

/** Every page of a list, one after the other, by where the last one ended. */
async function paged<T, P>(page: (after: P | null) => Promise<T[]>, place: (item: T) => P): Promise<T[]> {
  const all: T[] = [];
  for (let after: P | null = null; ; ) {
    const items = await page(after);
    if (items.length === 0) return all;
    all.push(...items);
    after = place(items[items.length - 1] as T);
  }
}

test("jobs done, open points and the logbook page on without a gap or a repeat, whatever the size of a page", async () => {
  const { workshopId } = works.lead;
  for (const size of [1, 2, 4, 100]) {
    const jobs = await paged(
      (before: { at: string; id: string } | null) => signedJobs(works.pool, workshopId, before, "", size),
      (job) => ({ at: job.openedAt, id: job.id }),
    );
    expect(jobs.map((job) => job.id)).toEqual([...signed].reverse());
    const points = await paged(
      (after: { at: string; id: string } | null) => openPointsOfWorkshop(works.pool, workshopId, after, size),
      (point) => ({ at: point.openedAt, id: point.id }),
    );
    expect(points.map((point) => point.text)).toEqual(signed.map((_, i) => `Point ${i}`));
    const entries = await paged(
      (before: number | null) => logbookPage(works.pool, works.machineId, before ?? Number.MAX_SAFE_INTEGER, "", size),
      (entry) => entry.seq,
    );
    const last = await lastNumber(works.pool, works.machineId);
    expect(entries.map((entry) => entry.seq)).toEqual(Array.from({ length: last }, (_, i) => last - i));
  }
});

test("the logbook is found by what was written, by who wrote it and by its stage; signs that mean something to SQL mean themselves", async () => {
  const found = async (words: string) =>
    (await logbookPage(works.pool, works.machineId, Number.MAX_SAFE_INTEGER, words, 1000)).map((entry) => entry.kind);
  expect(await found("Visit 3")).toEqual(["note"]);
  expect(await found("100 %")).toHaveLength(9);
  expect(await found("sure_")).toHaveLength(9);
  expect(await found("_00")).toEqual([]);
  expect(await found("'; drop table entry; --")).toEqual([]);
  expect(await found("Lead")).toHaveLength(await lastNumber(works.pool, works.machineId));
  expect(new Set(await found("Drive"))).toEqual(
    new Set(["change", "job-opened", "round", "note", "signature", "correction"]),
  );
});

test("a correction is found beside what it corrects, though it stands pages away; the whole logbook reads from the first entry", async () => {
  const beside = await correctionsOf(works.pool, [corrected]);
  expect(beside.map((entry) => entry.body)).toEqual([{ text: "Not sure", voids: false }]);
  const [first] = await logbookFrom(works.pool, works.machineId, 0, 1);
  expect(first).toMatchObject({ seq: 1, kind: "change" });
});

test("what is due stands in the order of its date; jobs done are found by machine and reason; a retired machine's points rest", async () => {
  const { workshopId } = works.lead;
  expect(await dueStages(works.pool, workshopId, 10)).toMatchObject([{ stageId: works.stageId, date: "2031-02-03" }]);
  expect(await signedJobs(works.pool, workshopId, null, "no such reason", 10)).toEqual([]);
  expect(await signedJobs(works.pool, workshopId, null, "test mach", 100)).toHaveLength(9);
  const open = await works.openJob();
  expect((await openJobsOfWorkshop(works.pool, workshopId, 10)).map((job) => job.id)).toEqual([open]);
  mustHold(await works.entry(open, works.round()));
  expect(await entriesOfJob(works.pool, open)).toHaveLength(2);
  const stages = [{ stageId: works.stageId, provisional: [], nextDate: null }];
  mustHold(
    await signJob(works.as(), {
      kind: "signature",
      id: v7(),
      jobId: open,
      madeAt: at(),
      saw: (await entriesOfJob(works.pool, open)).map((entry) => entry.id),
      stages,
      comment: "",
    }),
  );
  // The next signature sets the next date anew.
  expect(await dueStages(works.pool, workshopId, 10)).toEqual([]);
  const retire = { machineId: works.machineId, entryId: v7(), retired: true, text: "" };
  mustHold(await retireMachine(works.as(), retire));
  expect(await openPointsOfWorkshop(works.pool, workshopId, null, 100)).toEqual([]);
});
