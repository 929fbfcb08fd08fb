import type { LessonKey } from "../../core/practice";
import {
  lessonKeySchema,
  type PracticeAct,
  type PracticeAnswer,
  type PracticeOutcome,
  practiceActSchema,
  practiceOutcomeSchema,
} from "../../core/practice/schema";
import { type Database, many, maybeOne, none, one, type Row, sql, stored } from "../postgres";
import { toPerson } from "./people";

export type PracticeLesson = {
  id: string;
  personId: string;
  lesson: LessonKey;
  edition: number;
  seed: number;
  machineId: string;
  beganAt: string;
  endedAt: string | null;
  /** null while it goes on. */
  outcome: PracticeOutcome | null;
};

const toLesson = (row: Row): PracticeLesson => ({
  id: row.id,
  personId: row.person_id,
  lesson: stored(lessonKeySchema, row.lesson, `lesson ${row.id}`),
  edition: row.edition,
  seed: row.seed,
  machineId: row.machine_id,
  beganAt: row.began_at.toISOString(),
  endedAt: row.ended_at?.toISOString() ?? null,
  outcome: row.outcome && stored(practiceOutcomeSchema, row.outcome, `outcome of lesson ${row.id}`),
});

/** Somebody's other self, who practises in a workshop of their own; locked, so that it is made once. */
export const practisingSelf = (db: Database, personId: string) =>
  maybeOne(
    db,
    sql`select p.*, w.time_zone, w.sign_asks, w.lift_limit_kg, w.read_first
        from person p join workshop w on w.id = p.workshop_id where p.practises_for = ${personId}`,
    toPerson,
  );

/** Whoever somebody practises for: themselves. */
export const selfBehind = (db: Database, practisingId: string) =>
  maybeOne(
    db,
    sql`select practises_for from person where id = ${practisingId}`,
    (row) => row.practises_for as string | null,
  );

export const lockPerson = (db: Database, id: string) => none(db, sql`select 1 from person where id = ${id} for update`);

export const insertPracticeBook = async (
  db: Database,
  b: {
    workshopId: string;
    personId: string;
    of: string;
    name: string;
    timeZone: string;
    liftLimitKg: number;
    at: Date;
  },
): Promise<void> => {
  await none(
    db,
    sql`insert into workshop (id, name, time_zone, created_at, sign_asks, lift_limit_kg, practice_of)
        values (${b.workshopId}, 'Practice', ${b.timeZone}, ${b.at}, 'never', ${b.liftLimitKg}, ${b.of})`,
  );
  await none(
    db,
    sql`insert into person (id, workshop_id, name, sign_in, password_hash, role, created_at, practises_for)
        values (${b.personId}, ${b.workshopId}, ${b.name}, ${`practising ${b.personId}`}, '', 'technician', ${b.at}, ${b.of})`,
  );
};

/** What one is called and prefers is the same in practice. */
export const likeSelf = (db: Database, practisingId: string, p: { name: string; preferences: object }) =>
  none(
    db,
    sql`update person set name = ${p.name}, preferences = ${JSON.stringify(p.preferences)} where id = ${practisingId}`,
  );

export const insertLesson = (db: Database, l: Omit<PracticeLesson, "endedAt" | "outcome">) =>
  none(
    db,
    sql`insert into practice_lesson (id, person_id, lesson, edition, seed, machine_id, began_at)
        values (${l.id}, ${l.personId}, ${l.lesson}, ${l.edition}, ${l.seed}, ${l.machineId}, ${l.beganAt})`,
  );

/** By who they are, or by their practising self. */
const ofPerson = (personId: string) =>
  sql`person_id in (select id from person where id = ${personId} or practises_for = ${personId})`;

export const lessonById = (db: Database, personId: string, id: string) =>
  maybeOne(db, sql`select * from practice_lesson where id = ${id} and ${ofPerson(personId)}`, toLesson);

/** The same, its row locked until the transaction ends. */
export const lockLesson = (db: Database, personId: string, id: string) =>
  maybeOne(db, sql`select * from practice_lesson where id = ${id} and person_id = ${personId} for update`, toLesson);

export const lessonOfMachine = (db: Database, personId: string, machineId: string) =>
  maybeOne(
    db,
    sql`select * from practice_lesson where machine_id = ${machineId} and person_id = ${personId}`,
    toLesson,
  );

/** Somebody's lessons, the newest first. */
export const lessonsOf = (db: Database, personId: string, size: number) =>
  many(
    db,
    sql`select * from practice_lesson where ${ofPerson(personId)} order by began_at desc, id limit ${size}`,
    toLesson,
  );

export const countLessons = (db: Database, personId: string) =>
  one(db, sql`select count(*) as n from practice_lesson where person_id = ${personId}`, (row) => row.n as number);

export const endLesson = (db: Database, id: string, at: Date, outcome: PracticeOutcome) =>
  none(
    db,
    sql`update practice_lesson set ended_at = ${at}, outcome = ${JSON.stringify(outcome)} where id = ${id} and ended_at is null`,
  );

export type KeptAct = { seq: number; afterEntry: number; act: PracticeAct };

export const actsOf = (db: Database, lessonId: string) =>
  many(
    db,
    sql`select seq, after_entry, act from practice_act where lesson_id = ${lessonId} order by seq`,
    (row): KeptAct => ({
      seq: row.seq,
      afterEntry: Number(row.after_entry),
      act: stored(practiceActSchema, row.act, `act ${row.seq} of lesson ${lessonId}`),
    }),
  );

/** What was answered the first time, where the same is asked again. */
export const answerOfAct = (db: Database, lessonId: string, id: string) =>
  maybeOne(
    db,
    sql`select answer from practice_act where id = ${id} and lesson_id = ${lessonId}`,
    (row) => row.answer as PracticeAnswer,
  );

export const insertAct = (
  db: Database,
  a: {
    lessonId: string;
    seq: number;
    id: string;
    afterEntry: number;
    act: PracticeAct;
    answer: PracticeAnswer;
    at: Date;
  },
) =>
  none(
    db,
    sql`insert into practice_act (lesson_id, seq, id, after_entry, act, answer, at)
        values (${a.lessonId}, ${a.seq}, ${a.id}, ${a.afterEntry}, ${JSON.stringify(a.act)}, ${JSON.stringify(a.answer)}, ${a.at})`,
  );
