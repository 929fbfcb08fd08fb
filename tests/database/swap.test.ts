import { v7 } from "uuid";
import { expect, test } from "vitest";
import type { Result } from "~/core/quantity";
import { optionsOfStage } from "~/data/queries/swap-options";
import { dropOption, keepOption } from "~/operations/swap";
import type { WorkshopId } from "../../core/records";
import { freshWorks } from "./fixture";

const works = freshWorks();
const refusal = (result: Result<unknown>) =>
  result.ok ? "taken" : `${result.refusal.code} ${result.refusal.path.join(".")}`.trim();
const option = (more: object = {}) => ({
  id: v7(),
  stageId: works.stageId,
  option: {
    names: ["Gear 19", "Gear 41"],
    teeth: [19, 41],
    centreDistanceMm: 60.2,
    ratio: 41 / 19,
    backlashMm: 0.146,
    contactRatio: 1.6,
    price: null,
  },
  reason: "Runs slower",
  ...more,
});
const kept = async () => (await optionsOfStage(works.pool, works.stageId)).map(({ id }) => id);

test("a pair kept twice is kept once, with its reason and who kept it, and put away it is gone", async () => {
  const input = option();
  for (let i = 0; i < 2; i++) expect(refusal(await keepOption(works.as(), input))).toBe("taken");
  const [found, ...more] = await optionsOfStage(works.pool, works.stageId);
  expect(more).toEqual([]);
  expect(found).toMatchObject({ id: input.id, option: input.option, reason: "Runs slower", madeByName: "Lead" });
  expect(refusal(await dropOption(works.as(), { id: input.id, stageId: works.stageId }))).toBe("taken");
  expect(await kept()).toEqual([]);
});

test("technicians keep and put away, readers look, another workshop finds no such stage", async () => {
  const technician = works.as(await works.addPerson("technician"));
  const reader = works.as(await works.addPerson("reader"));
  const input = option();
  expect(refusal(await keepOption(reader, input))).toBe("role");
  expect(refusal(await keepOption(technician, input))).toBe("taken");
  expect(refusal(await dropOption(reader, { id: input.id, stageId: works.stageId }))).toBe("role");
  const elsewhere = works.as({ ...works.lead, workshopId: v7() as WorkshopId });
  expect(refusal(await keepOption(elsewhere, option()))).toBe("no-such-stage stageId");
  expect(refusal(await dropOption(elsewhere, { id: input.id, stageId: works.stageId }))).toBe("no-such-stage stageId");
  expect(await kept()).toEqual([input.id]);
});

test("what makes no sense is refused at its field, and nothing is kept", async () => {
  const before = await kept();
  const figures = option().option;
  const cases: [object, string][] = [
    [{ reason: " " }, "empty reason"],
    [{ option: { ...figures, teeth: [19] } }, "too-few option.teeth"],
    [{ option: { ...figures, teeth: [2, 41] } }, "too-small option.teeth.0"],
    [{ option: { ...figures, ratio: "two" } }, "not-understood option.ratio"],
    [{ stageId: v7() }, "no-such-stage stageId"],
  ];
  for (const [more, code] of cases) expect(refusal(await keepOption(works.as(), option(more)))).toBe(code);
  expect(await kept()).toEqual(before);
});
