import { v7 } from "uuid";
import { beforeAll, expect, test } from "vitest";
import { mustHold } from "~/core/quantity";
import type { Person } from "~/core/records";
import { machineNames } from "~/data/queries/machines";
import { personForSignIn, setPassword } from "~/data/queries/people";
import { countLessons, lessonById } from "~/data/queries/practice";
import { foundPage } from "~/data/queries/search";
import { insertSession, openSession } from "~/data/queries/sessions";
import { stagesOfMachines } from "~/data/queries/stages";
import { openJob } from "~/operations/open-job";
import { letLeave } from "~/operations/people";
import { finishLesson, startLesson } from "~/operations/practice/lesson";
import { enterPractice, leavePractice, practisingAs } from "~/operations/practice/practice-book";
import { practise } from "~/operations/practice/practise";
import { checkPassword, hashSecret } from "~/operations/secrets";
import { freshWorks } from "./fixture";

const works = freshWorks();
let reader: Person;
let sessionId: string;
let self: Person;

const session = async (person: Person) => {
  const id = v7();
  const now = new Date();
  const expires = new Date(now.getTime() + 3_600_000);
  await insertSession(works.pool, {
    id,
    personId: person.id,
    how: "password",
    expires,
    now,
    device: "",
    deviceId: null,
  });
  return id;
};
const as = (person: Person) => ({ pool: works.pool, person, now: new Date() });
const asSelf = () => as(self);
const whose = async () => (await openSession(works.pool, sessionId, new Date()))?.person ?? null;

beforeAll(async () => {
  reader = await works.addPerson("reader");
  await setPassword(works.pool, reader.id, await hashSecret("carton works"));
  sessionId = await session(reader);
  self = await practisingAs(as(reader));
  await enterPractice(as(reader), sessionId, self);
});

test("whoever practises is somebody of their own in a workshop of their own, whatever their role; two tabs make one book", async () => {
  expect(self).toMatchObject({ practising: true, role: "technician", name: `${reader.name}, practising` });
  expect(self.workshopId).not.toBe(reader.workshopId);
  expect(await whose()).toMatchObject({ id: self.id, practising: true });
  const twice = await Promise.all([1, 2].map(() => practisingAs(as(works.lead))));
  expect(twice[0]?.id).toBe(twice[1]?.id);
  expect(await personForSignIn(works.pool, `practising ${self.id}`)).toBeNull();
  // It shows who it is by the secrets of who it is.
  expect(await checkPassword(works.pool, self, "carton works")).toMatchObject({ ok: true });
  expect(await checkPassword(works.pool, self, "something else")).toMatchObject({ ok: false });
});

test("nothing of a practice is among what is real, and nothing real is to be had in it", async () => {
  const lesson = mustHold(await startLesson(asSelf(), { id: v7(), lesson: "first-round" }));
  const names = async (workshopId: string) => (await machineNames(works.pool, workshopId)).map(({ name }) => name);
  expect(await names(works.lead.workshopId)).not.toContain("Practice machine 1");
  expect(await names(self.workshopId)).toEqual(["Practice machine 1"]);
  const sought = { words: "", kinds: [], part: "", personId: null, from: null, to: null };
  const found = await foundPage(works.pool, works.lead.workshopId, "UTC", sought, null, 500);
  expect(found.every(({ machineId }) => machineId !== lesson.machineId)).toBe(true);
  const opening = { id: v7(), entryId: v7(), stageIds: [works.stageId], reason: "x", madeAt: new Date().toISOString() };
  expect(await openJob(asSelf(), { ...opening, machineId: works.machineId })).toMatchObject({
    refusal: { code: "no-such-machine" },
  });
  const [stage] = await stagesOfMachines(works.pool, [lesson.machineId]);
  const into = { ...opening, machineId: lesson.machineId, stageIds: [stage?.id] };
  expect(await openJob(works.as(), into)).toMatchObject({ refusal: { code: "no-such-machine" } });
});

test("a deed asked twice is done once; nobody else’s lesson, and none that is over, can be worked on", async () => {
  const id = v7();
  const lesson = mustHold(await startLesson(asSelf(), { id, lesson: "first-round" }));
  const count = await countLessons(works.pool, self.id);
  expect(mustHold(await startLesson(asSelf(), { id, lesson: "first-round" })).machineId).toBe(lesson.machineId);
  expect(await countLessons(works.pool, self.id)).toBe(count);
  const [stage] = await stagesOfMachines(works.pool, [lesson.machineId]);
  const act = { does: "read", stageId: stage?.id, key: "lever", place: 1, hold: "motor" };
  const deed = { id: v7(), lessonId: lesson.id, act };
  const first = mustHold(await practise(asSelf(), deed));
  expect(first).toEqual({ text: expect.stringMatching(/^0\.\d\d$/) });
  expect(await practise(asSelf(), deed)).toMatchObject({ value: first });
  const other = { ...deed, id: v7() };
  expect(await practise(works.as(), other)).toMatchObject({ refusal: { code: "not-practising" } });
  const others = await practisingAs(as(works.lead));
  expect(await practise({ ...asSelf(), person: others }, other)).toMatchObject({ refusal: { code: "no-such-lesson" } });
  expect(await practise(asSelf(), { ...other, act: { ...act, stageId: works.stageId } })).toMatchObject({
    refusal: { code: "no-such-stage", path: ["act", "stageId"] },
  });
  const wait = { ...other, act: { does: "wait", minutes: 100_000 } };
  expect(await practise(asSelf(), wait)).toMatchObject({ refusal: { path: ["act", "minutes"] } });

  // One reading was taken: the deed that was sent twice counts once.
  const over = mustHold(await finishLesson(asSelf(), { lessonId: lesson.id }));
  expect(over.outcome).toMatchObject({
    right: false,
    own: { readings: 1, moves: 0, minutes: 1 },
    damage: ["left-outside"],
  });
  expect(await practise(asSelf(), { ...other, id: v7() })).toMatchObject({ refusal: { code: "lesson-over" } });
  expect((await lessonById(works.pool, reader.id, lesson.id))?.outcome).toEqual(over.outcome);
  expect(await lessonById(works.pool, works.lead.id, lesson.id)).toBeNull();
});

test("left, the session is that of who they are; who leaves the workshop practises no more", async () => {
  mustHold(await leavePractice(asSelf(), sessionId));
  expect(await whose()).toMatchObject({ id: reader.id });
  expect(await leavePractice(as(reader), sessionId)).toMatchObject({
    refusal: { code: "not-practising" },
  });
  await enterPractice(as(reader), sessionId, await practisingAs(as(reader)));
  expect(await whose()).toMatchObject({ id: self.id });
  mustHold(await letLeave(works.as(), { id: reader.id, left: true }));
  expect(await whose()).toBeNull();
  expect(await checkPassword(works.pool, self, "carton works")).toMatchObject({ ok: false });
});
