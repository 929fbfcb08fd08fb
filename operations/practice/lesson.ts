import { v7 } from "uuid";
import * as z from "zod";
import {
  lessonEdition,
  type PracticeCase,
  type PracticeScore,
  practiceCase,
  practiceMachine,
  practiceScore,
  seededRandom,
} from "../../core/practice";
import {
  lessonKeySchema,
  longestWait,
  type PracticeAct,
  type PracticeAnswer,
  type PracticeOutcome,
  practiceActSchema,
} from "../../core/practice/schema";
import { accept, type Result, refuse } from "../../core/quantity";
import type { StageKind } from "../../core/stages";
import { type Database, transaction } from "../../data/postgres";
import { logbookFrom } from "../../data/queries/entries";
import { headOf } from "../../data/queries/machines";
import {
  actsOf,
  answerOfAct,
  countLessons,
  endLesson,
  insertAct,
  insertLesson,
  lessonById,
  lockLesson,
  type PracticeLesson,
} from "../../data/queries/practice";
import { stagesOfMachines } from "../../data/queries/stages";
import { addMachine } from "../add-machine";
import type { Context } from "../context";
import { retireMachine } from "../edit-machine";
import { checkInput, id } from "../input";
import { saveDriveLine } from "../save-drive-line";
import { eventOf, practised } from "./practised";

/** More than anybody learns from, and no more than a database should keep of it. */
const mostLessons = 400;
const mostActs = 1500;
/** Of a practice machine's logbook as it is gone through again. */
const mostEntries = 2000;
/** Seconds of running that one listens to. */
const listenedS = 40;

const stageNames: Partial<Record<StageKind, string>> = { "toothed-belt": "Belt", chain: "Chain" };

const startInput = z.object({ id, lesson: lessonKeySchema });

/** A machine with faults that nobody is told of, put into one's own practice workshop. */
export async function startLesson(context: Context, input: unknown): Promise<Result<PracticeLesson>> {
  const { pool, person, now } = context;
  if (!person.practising) return refuse("not-practising", []);
  const checked = checkInput(startInput, input);
  if (!checked.ok) return checked;
  const known = await lessonById(pool, person.id, checked.value.id);
  if (known) return accept(known);
  const number = (await countLessons(pool, person.id)) + 1;
  if (number > mostLessons) return refuse("too-many", ["lesson"], { given: number, most: mostLessons });
  const { lesson } = checked.value;
  const seed = seedOf(checked.value.id);
  const drawn = practiceCase(lesson, seededRandom(seed));
  const machineId = v7();
  const stageIds = drawn.stages.map(() => v7());
  // Whoever practises need not be a lead: the machine comes with the lesson.
  const byLesson: Context = { ...context, person: { ...person, role: "lead" } };
  const added = await addMachine(byLesson, machineOf(drawn, machineId, stageIds, number));
  if (!added.ok) return added;
  const line = await saveDriveLine(byLesson, lineOf(drawn, machineId, stageIds));
  if (!line.ok) return line;
  const made = {
    ...{ id: checked.value.id, personId: person.id, lesson, edition: lessonEdition, seed, machineId },
    beganAt: now.toISOString(),
  };
  await insertLesson(pool, made);
  return accept({ ...made, endedAt: null, outcome: null });
}

/** The first eight digits of an id that nobody chose, as a seed. */
const seedOf = (lessonId: string): number => Number.parseInt(lessonId.replaceAll("-", "").slice(-7), 16);

function machineOf({ stages }: PracticeCase, machineId: string, stageIds: readonly string[], number: number) {
  return {
    ...{ id: machineId, entryId: v7(), name: `Practice machine ${number}`, tag: `PRACTICE-${number}` },
    ...{ hall: "Practice", usageUnit: "hours" },
    stages: stages.map(({ element, adjuster, limits, quantity }, i) => ({
      ...{ id: stageIds[i], entryId: v7(), geometryId: v7(), adjusterId: v7(), limitsId: v7() },
      name: stages.length === 1 ? "Drive" : `${stageNames[element.kind] ?? "Gears"} ${i + 1}`,
      geometry: {
        element,
        clamps: {
          points: [-1, 1].flatMap((x) => [-1, 1].map((y) => ({ x: 60 * x, y: 45 * y }))),
          ...{ size: "M8 8.8", torqueNm: 24, passes: 2, compound: false },
        },
      },
      adjuster: {
        ...{ name: "Adjusting screw", means: "jack-screw", adjuster, step: 1 / 16 },
        ...{ positiveWord: "out", negativeWord: "in", hand: "right" },
      },
      limits: { quantity, ...limits, aim: null, sourceKind: "house rule", source: "Practice: nobody’s rule" },
    })),
  };
}

function lineOf({ knock }: PracticeCase, machineId: string, stageIds: readonly string[]) {
  const of = (name: string) => (/^s\d+$/.test(name) ? (stageIds[Number(name.slice(1))] ?? name) : name);
  const graph = knock
    ? {
        ...knock.kept,
        links: knock.kept.links.map((link) => ({ ...link, stageId: of(link.stageId), from: of(link.from) })),
      }
    : {
        sources: [{ id: "source-1", name: "Motor", rpm: 1400, torqueNm: null }],
        links: stageIds.map((stageId) => ({ stageId, from: "source-1" })),
        outputs: [],
      };
  return { entryId: v7(), revisionId: v7(), machineId, seenRevision: 0, graph };
}

/** A lesson with the machine as it was drawn; one of another edition of the lessons is refused. */
async function openedLesson(db: Database, lesson: PracticeLesson) {
  if (lesson.edition !== lessonEdition) return refuse("lesson-of-old", []);
  const stages = await stagesOfMachines(db, [lesson.machineId]);
  const stageIds = stages.toSorted((a, b) => a.position - b.position).map((stage): string => stage.id);
  return accept({ drawn: practiceCase(lesson.lesson, seededRandom(lesson.seed)), stageIds });
}

const eventsOf = async (db: Database, lesson: PracticeLesson, stageIds: readonly string[]) =>
  practised(stageIds, await actsOf(db, lesson.id), await logbookFrom(db, lesson.machineId, 0, mostEntries));

const actInput = z.object({ id, lessonId: id, act: practiceActSchema });

/** Does something to a practice machine beside its logbook, and says what came of it. The same id again gives the same answer. */
export async function practise({ pool, person, now }: Context, input: unknown): Promise<Result<PracticeAnswer>> {
  if (!person.practising) return refuse("not-practising", []);
  const checked = checkInput(actInput, input);
  if (!checked.ok) return checked;
  const { act, lessonId } = checked.value;
  return transaction(pool, async (db): Promise<Result<PracticeAnswer>> => {
    const lesson = await lockLesson(db, person.id, lessonId);
    if (!lesson) return refuse("no-such-lesson", ["lessonId"]);
    const before = await answerOfAct(db, lessonId, checked.value.id);
    if (before) return accept(before);
    if (lesson.endedAt) return refuse("lesson-over", []);
    const opened = await openedLesson(db, lesson);
    if (!opened.ok) return opened;
    const { drawn, stageIds } = opened.value;
    const acts = await actsOf(db, lessonId);
    if (acts.length >= mostActs) return refuse("too-many", ["act"], { given: acts.length + 1, most: mostActs });
    if (act.does === "wait" && waited(acts.map((one) => one.act)) + act.minutes > 4 * longestWait)
      return refuse("too-large", ["act", "minutes"], { most: 4 * longestWait });
    if ("stageId" in act && !stageIds.includes(act.stageId)) return refuse("no-such-stage", ["act", "stageId"]);
    const { count } = await headOf(db, lesson.machineId);
    const events = practised(stageIds, acts, await logbookFrom(db, lesson.machineId, 0, mostEntries));
    const answer = answered(drawn, lesson.seed, events, act, stageIds);
    const row = { lessonId, id: checked.value.id, seq: acts.length + 1, afterEntry: count };
    await insertAct(db, { ...row, act, answer, at: now });
    return accept(answer);
  });
}

const waited = (acts: readonly PracticeAct[]): number =>
  acts.reduce((sum, act) => sum + (act.does === "wait" ? act.minutes : 0), 0);

/** The machine as everything before has left it, asked once more. */
function answered(
  drawn: PracticeCase,
  seed: number,
  before: ReturnType<typeof practised>,
  act: PracticeAct,
  stageIds: readonly string[],
): PracticeAnswer {
  const machine = practiceMachine(drawn, seed);
  for (const event of before) {
    if (event.did === "read") machine.read(event.stage, event.key, event.place, event.hold);
    else if (event.did === "wait") machine.wait(event.minutes);
    else if (event.did === "renew") machine.renew(event.stage, event.part);
    else if (event.did === "move") machine.move(event.stage, event.amount);
  }
  const now = eventOf(act, stageIds);
  if (now?.did === "read") return { text: machine.read(now.stage, now.key, now.place, now.hold) };
  if (now?.did === "listen") return { knocks: machine.sound(listenedS) };
  if (now?.did === "test") return { yes: machine.tells(now.test, now.stage, now.part) };
  return { done: true };
}

const endInput = z.object({ lessonId: id });

/** Ends a lesson: from now on it tells what was hidden, and what came of it. Its machine leaves the practice floor where no job is open on it. */
export async function finishLesson(context: Context, input: unknown): Promise<Result<PracticeLesson>> {
  const { pool, person, now } = context;
  if (!person.practising) return refuse("not-practising", []);
  const checked = checkInput(endInput, input);
  if (!checked.ok) return checked;
  const ended = await transaction(pool, async (db): Promise<Result<PracticeLesson>> => {
    const lesson = await lockLesson(db, person.id, checked.value.lessonId);
    if (!lesson) return refuse("no-such-lesson", ["lessonId"]);
    if (lesson.endedAt) return accept(lesson);
    const scored = await scoreOf(db, lesson);
    if (!scored.ok) return scored;
    await endLesson(db, lesson.id, now, outcomeOf(scored.value.score));
    return accept({ ...lesson, endedAt: now.toISOString(), outcome: outcomeOf(scored.value.score) });
  });
  if (!ended.ok) return ended;
  const { machineId } = ended.value;
  const away = { machineId, entryId: v7(), retired: true, text: "The lesson is over." };
  await retireMachine({ ...context, person: { ...person, role: "lead" } }, away);
  return ended;
}

/** What came of a lesson as it stands, with the machine as it was drawn: for when it is over. */
export async function scoreOf(
  db: Database,
  lesson: PracticeLesson,
): Promise<Result<{ score: PracticeScore; drawn: PracticeCase; stageIds: string[] }>> {
  const opened = await openedLesson(db, lesson);
  if (!opened.ok) return opened;
  const { drawn, stageIds } = opened.value;
  return accept({ score: practiceScore(drawn, lesson.seed, await eventsOf(db, lesson, stageIds)), drawn, stageIds });
}

const outcomeOf = ({ right, minutes, moves, readings, expert, damage }: PracticeScore): PracticeOutcome => ({
  right,
  own: { minutes, moves, readings },
  expert: { minutes: expert.minutes, moves: expert.moves, readings: expert.readings },
  damage: damage.map(({ what }) => what),
});
