import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import { lessonKeys } from "~/core/practice";
import { lessonById, lessonOfMachine, lessonsOf, type PracticeLesson } from "~/data/queries/practice";
import { stagesOfMachines } from "~/data/queries/stages";
import type { Context } from "~/operations/context";
import { scoreOf } from "~/operations/practice/lesson";

const lessonsShown = 60;

const shown = ({ id, lesson, machineId, beganAt, endedAt, outcome }: PracticeLesson) => ({
  ...{ id, lesson, machineId, beganAt, endedAt, outcome },
});

/** The lessons, and one's own tries at them. */
export async function loadPractice({ pool, person }: Context) {
  const tries = (await lessonsOf(pool, person.id, lessonsShown)).map(shown);
  return {
    practising: person.practising === true,
    goingOn: tries.filter(({ endedAt }) => endedAt === null),
    over: tries.filter(({ endedAt }) => endedAt !== null),
    lessons: lessonKeys.map((key) => ({
      key,
      done: tries.some(({ lesson, outcome }) => lesson === key && outcome?.right === true),
    })),
  };
}

/** One lesson of one's own; what was hidden in it, and what came of it, when it is over. */
export async function loadLesson({ pool, person }: Context, lessonId: string) {
  const lesson = isId(lessonId) ? await lessonById(pool, person.id, lessonId) : null;
  if (!lesson) throw data({ code: "no-such-lesson" }, { status: 404 });
  const stages = await stagesOfMachines(pool, [lesson.machineId]);
  const scored = lesson.endedAt === null ? null : await scoreOf(pool, lesson);
  return {
    lesson: shown(lesson),
    stages,
    /** null: it goes on, or was of another edition of the lessons. */
    scored: scored?.ok
      ? {
          score: scored.value.score,
          responses: scored.value.drawn.stages.map(({ hidden }) => hidden.response),
          faults: scored.value.drawn.stages.map(({ faults }) => faults),
          cause: scored.value.drawn.knock?.cause ?? null,
        }
      : null,
  };
}

/** The lesson that a practice machine belongs to, for the instruments beside its pages; null: none of one's own. */
export async function lessonAt({ pool, person }: Context, machineId: string) {
  const lesson = isId(machineId) ? await lessonOfMachine(pool, person.id, machineId) : null;
  if (!lesson) return null;
  const stages = await stagesOfMachines(pool, [machineId]);
  return {
    ...{ id: lesson.id, lesson: lesson.lesson, over: lesson.endedAt !== null },
    stages: stages.map(({ id, name, geometry }) => ({ id, name, kind: geometry.element.kind })),
  };
}
export type LessonHere = NonNullable<Awaited<ReturnType<typeof lessonAt>>>;
