import { v7 } from "uuid";
import { expect, test } from "vitest";
import type { Result } from "~/core/quantity";
import { draftsOf } from "~/data/queries/drafts";
import { saveDraft } from "~/operations/save-draft";
import type { WorkshopId } from "../../core/records";
import { freshWorks } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>) =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const empty = { field: "", at: 0, readings: [] };
const draft = (jobId: string, field: string, savedAt: string, id = v7()) => ({
  id,
  jobId,
  stageId: works.stageId,
  body: { rounds: { "as-found": { ...empty, field }, set: empty, check: empty }, texts: {}, savedAt },
});
const typed = async (jobId: string, personId = works.lead.id) =>
  (await draftsOf(works.pool, jobId, personId)).map(
    ({ body }) => (body as { rounds: { "as-found": { field: string } } }).rounds["as-found"].field,
  );

test("the newest by its writer's clock stays, in whatever order the copies come in", async () => {
  const job = await works.openJob();
  const id = v7();
  const at = (second: number) => `2026-11-25T10:00:0${second}.000Z`;
  for (const [field, second] of [
    ["0.1", 1],
    ["0.12", 3],
    ["0.11", 2],
  ] as const)
    expect(refusal(await saveDraft(works.as(), draft(job, field, at(second), id)))).toBe("taken");
  expect(await typed(job)).toEqual(["0.12"]);
  // On another tablet it is another copy of the same person's, the newer one first.
  expect(refusal(await saveDraft(works.as(), draft(job, "0.13", at(4))))).toBe("taken");
  expect(await typed(job)).toEqual(["0.13", "0.12"]);
});

test("what one person types is nobody else's, not even under the same id", async () => {
  const job = await works.openJob();
  const technician = await works.addPerson("technician");
  const id = v7();
  const mine = draft(job, "mine", "2026-11-25T10:00:00.000Z", id);
  await saveDraft(works.as(), mine);
  const other = draft(job, "other", "2026-11-25T11:00:00.000Z", id);
  expect(refusal(await saveDraft(works.as(technician), other))).toBe("taken");
  expect(await typed(job)).toEqual(["mine"]);
  expect(await typed(job, technician.id)).toEqual([]);
});

test("a reader types nothing, and there is nothing to type on what is not there", async () => {
  const job = await works.openJob();
  const input = draft(job, "0.1", "2026-11-25T10:00:00.000Z");
  expect(refusal(await saveDraft(works.as(await works.addPerson("reader")), input))).toBe("role");
  expect(refusal(await saveDraft(works.as(), { ...input, jobId: v7() }))).toBe("no-such-job jobId");
  expect(refusal(await saveDraft(works.as(), { ...input, stageId: v7() }))).toBe("no-such-stage stageId");
  expect(refusal(await saveDraft(works.as({ ...works.lead, workshopId: v7() as WorkshopId }), input))).toBe(
    "no-such-job jobId",
  );
  const long = { ...input, body: { ...input.body, texts: { note: "x".repeat(40_001) } } };
  expect(refusal(await saveDraft(works.as(), long))).toBe("text-too-long body.texts.note");
});
