import * as z from "zod";
import { type PracticeCase, practiceMachine } from "../../core/practice";
import { longestWait, type PracticeAct, type PracticeAnswer, practiceActSchema } from "../../core/practice/schema";
import { accept, type Result, refuse } from "../../core/quantity";
import { transaction } from "../../data/postgres";
import { headOf } from "../../data/queries/machines";
import { actsOf, answerOfAct, insertAct, lockLesson } from "../../data/queries/practice";
import type { Context } from "../context";
import { checkInput, id } from "../input";
import { openedLesson, practisedEntries } from "./lesson";
import { eventOf, practised } from "./practised";

const mostActs = 1500;
/** Seconds of running that one listens to. */
const listenedS = 40;

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
    const events = practised(stageIds, acts, await practisedEntries(db, lesson));
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
  // Without a knock nothing comes by with it: what is looked at can still be seen.
  if (now?.did === "test" && now.test !== "look" && !machine.knocks()) return { knocks: [] };
  if (now?.did === "test") return { yes: machine.tells(now.test, now.stage, now.part) };
  return { done: true };
}
