import { v7 } from "uuid";
import { expect, test } from "vitest";
import { foundBehind, symptomsOf } from "~/core/logbook";
import { mustHold } from "~/core/quantity";
import { symptomWork } from "~/data/queries/entries";
import { ownRules } from "~/data/queries/own-rules";
import { correctEntry } from "~/operations/correct-entry";
import { logSymptom } from "~/operations/log-symptom";
import { dropRule, keepRule } from "~/operations/own-rules";
import { freshWorks } from "./fixture";

const works = freshWorks();
const unsaid = { direction: null, load: null, warmth: null, place: null, speed: null };
const symptom = (more: object = {}) =>
  logSymptom(works.as(), {
    ...{ kind: "symptom", id: v7(), machineId: works.machineId, kinds: ["knock"], when: unsaid },
    ...{ words: "", perMinute: "84,5", offPercent: "", taps: 12, motorRpm: "" },
    ...more,
  });
const suspect = (names: string, state: string, more: object = {}) =>
  logSymptom(works.as(), {
    ...{ kind: "suspect", id: v7(), machineId: works.machineId, names, key: "a driven-turn", stageId: works.stageId },
    ...{ part: "driven-turn", gear: null, cause: null, state, test: "mark-and-watch", note: "" },
    ...more,
  });
const kept = async () => symptomsOf(await symptomWork(works.pool, works.machineId, 100));

test("kept with what came of its suspects; what is found last stands, what was taken back does not", async () => {
  const knock = mustHold(await symptom());
  expect(knock.body).toMatchObject({ heard: { perMinute: 84.5, toleranceShare: 0.05, taps: 12 }, motorRpm: null });
  mustHold(await suspect(knock.id, "ruled-out", { key: "a driver-turn", part: "driver-turn" }));
  const wrong = mustHold(await suspect(knock.id, "found", { cause: "wheel-not-round" }));
  expect(foundBehind((await kept())[0] as never)?.body.cause).toBe("wheel-not-round");
  mustHold(
    await correctEntry(works.as(), {
      kind: "correction",
      id: v7(),
      namesEntry: wrong.id,
      text: "It was the other one",
      voids: true,
      madeAt: new Date().toISOString(),
    }),
  );
  const [now] = await kept();
  expect(now?.said).toHaveLength(1);
  expect(now && foundBehind(now)).toBeNull();
});

test("what says nothing, figures that are none, another machine's symptom or stage, and who only reads are refused", async () => {
  const nothing = { kinds: [], perMinute: "" };
  expect(await symptom(nothing)).toMatchObject({ refusal: { code: "nothing-noted", path: ["words"] } });
  expect(await symptom({ perMinute: "often" })).toMatchObject({
    refusal: { code: "not-a-number", path: ["perMinute"] },
  });
  expect(await symptom({ offPercent: "50" })).toMatchObject({ refusal: { code: "too-large", path: ["offPercent"] } });
  expect(await symptom({ motorRpm: "-3" })).toMatchObject({ refusal: { code: "too-small", path: ["motorRpm"] } });
  expect(await symptom({ againPerMinute: "40" })).toMatchObject({
    refusal: { code: "missing", path: ["againMotorRpm"] },
  });
  expect(await symptom({ perMinute: "", againPerMinute: "40", againMotorRpm: "600" })).toMatchObject({
    refusal: { code: "missing", path: ["perMinute"] },
  });
  expect(await symptom({ machineId: v7() })).toMatchObject({ refusal: { code: "no-such-machine" } });
  expect(await symptom({ jobId: v7() })).toMatchObject({ refusal: { code: "no-such-job" } });
  const real = mustHold(await symptom());
  expect(await suspect(v7(), "found")).toMatchObject({ refusal: { code: "no-such-entry" } });
  expect(await suspect(real.id, "found", { stageId: v7() })).toMatchObject({ refusal: { code: "no-such-stage" } });
  const reader = works.as(await works.addPerson("reader"));
  expect(await logSymptom(reader, {})).toMatchObject({ ok: false });
});

test("a fan beside the drive is found as such, of no stage, and only by its name", async () => {
  const hum = mustHold(await symptom({ kinds: ["hum"], perMinute: "1425" }));
  const fan = { key: "beside beside-0 ", stageId: null, part: null, cause: "runs-beside", test: "switch-off" };
  expect(await suspect(hum.id, "found", fan)).toMatchObject({ refusal: { code: "missing", path: ["beside"] } });
  expect(await suspect(hum.id, "found", { beside: "Fan" })).toMatchObject({ refusal: { path: ["stageId"] } });
  const found = mustHold(await suspect(hum.id, "found", { ...fan, beside: "Extractor fan" }));
  expect(found).toMatchObject({ stageId: null, body: { beside: "Extractor fan", stageId: null } });
});

test("sent twice it is kept once, and in a job it is the job's", async () => {
  const jobId = await works.openJob();
  const id = v7();
  mustHold(await symptom({ id, jobId }));
  mustHold(await symptom({ id, jobId }));
  const mine = (await kept()).filter(({ symptom: one }) => one.id === id);
  expect(mine.map(({ symptom: one }) => one.jobId)).toEqual([jobId]);
});

test("a rule of the house: kept by a lead, found by its words, and its words stay when it is taken back", async () => {
  const rule = {
    ...{ says: "Pin of the tensioner worn", kinds: [], parts: [], shows: ["squeal"], speaksFor: ["warm"], against: [] },
    ...{ test: "hold-and-rock", source: "Job of May" },
  };
  const id = v7();
  const technician = await works.addPerson("technician");
  expect(await keepRule(works.as(technician), { id, rule })).toMatchObject({ refusal: { code: "role" } });
  expect(await keepRule(works.as(), { id, rule: { ...rule, against: ["warm"] } })).toMatchObject({
    refusal: { code: "said-twice", path: ["rule", "against"] },
  });
  expect(await keepRule(works.as(), { id, rule: { ...rule, shows: [] } })).toMatchObject({
    refusal: { path: ["rule", "shows"] },
  });
  expect(await keepRule(works.as(), { id, rule: { ...rule, says: "" } })).toMatchObject({
    refusal: { path: ["rule", "says"] },
  });
  mustHold(await keepRule(works.as(), { id, rule }));
  mustHold(await keepRule(works.as(), { id, rule }));
  expect(await ownRules(works.pool, works.lead.workshopId)).toMatchObject([
    { id, says: rule.says, madeByName: "Lead" },
  ]);

  const squeal = mustHold(await symptom({ kinds: ["squeal"], perMinute: "" }));
  const own = { cause: "own-rule", part: null, key: "a whole" };
  expect(await suspect(squeal.id, "found", own)).toMatchObject({ refusal: { code: "no-such-rule" } });
  expect(await suspect(squeal.id, "found", { ...own, cause: "bearing", ownRuleId: id })).toMatchObject({
    refusal: { code: "no-such-rule" },
  });
  mustHold(await suspect(squeal.id, "found", { ...own, ownRuleId: id }));
  mustHold(await dropRule(works.as(), { id }));
  expect(await dropRule(works.as(), { id })).toMatchObject({ refusal: { code: "no-such-rule" } });
  expect(await ownRules(works.pool, works.lead.workshopId)).toEqual([]);
  const found = foundBehind((await kept()).find(({ symptom: of }) => of.id === squeal.id) as never);
  expect(found?.body).toMatchObject({ cause: "own-rule", ownCause: "Pin of the tensioner worn" });
});
