import { v7 } from "uuid";
import * as z from "zod";
import {
  lessonEdition,
  type PracticeCase,
  type PracticeScore,
  practiceCase,
  practiceScore,
  seededRandom,
} from "../../core/practice";
import { lessonKeySchema, type PracticeOutcome } from "../../core/practice/schema";
import { accept, type Result, refuse } from "../../core/quantity";
import { type Database, transaction } from "../../data/postgres";
import { logbookFrom } from "../../data/queries/entries";
import {
  actsOf,
  countLessons,
  endLesson,
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
import { lineOf, machineOf } from "./lesson-machine";
import { practised } from "./practised";

/** More than anybody learns from, and no more than a database should keep of it. */
const mostLessons = 400;
/** Of a practice machine's logbook as it is gone through again. */
const mostEntries = 2000;

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

/** A lesson with the machine as it was drawn; one of another edition of the lessons is refused. */
export async function openedLesson(db: Database, lesson: PracticeLesson) {
  if (lesson.edition !== lessonEdition) return refuse("lesson-of-old", []);
  const stages = await stagesOfMachines(db, [lesson.machineId]);
  const stageIds = stages.toSorted((a, b) => a.position - b.position).map((stage): string => stage.id);
  return accept({ drawn: practiceCase(lesson.lesson, seededRandom(lesson.seed)), stageIds });
}

/** What stands in the logbook of a practice machine. */
export const practisedEntries = (db: Database, { machineId }: PracticeLesson) =>
  logbookFrom(db, machineId, 0, mostEntries);

const eventsOf = async (db: Database, lesson: PracticeLesson, stageIds: readonly string[]) =>
  practised(stageIds, await actsOf(db, lesson.id), await practisedEntries(db, lesson));

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
