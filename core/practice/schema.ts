import * as z from "zod";
import { holds, huntTests, lessonKeys, renewals } from "./lessons";
import { practiceDamages } from "./score";
import { simulatedKeys } from "./wedge";

const count = z.int().gte(0).lte(100_000);
const stageId = z.uuid().toLowerCase();

/** The longest that one waits at a time, and a lesson may be waited for in all, minutes. */
export const longestWait = 240;

/** What somebody does to a practice machine beside what stands in its logbook. */
export const practiceActSchema = z.discriminatedUnion("does", [
  z.object({
    does: z.literal("read"),
    stageId,
    key: z.enum(simulatedKeys),
    place: z.int().gte(1).lte(100_000),
    hold: z.enum(holds),
  }),
  z.object({ does: z.literal("wait"), minutes: z.int().gte(1).lte(longestWait) }),
  z.object({ does: z.literal("renew"), stageId, part: z.enum(renewals) }),
  z.object({ does: z.literal("listen") }),
  z.object({ does: z.literal("test"), test: z.enum(huntTests), stageId, part: z.enum(renewals) }),
]);
export type PracticeAct = z.output<typeof practiceActSchema>;

/** What came of it: a reading as the instrument types it (null: it reads nothing there), knocks in s, yes or no. */
export const practiceAnswerSchema = z.union([
  z.object({ text: z.string().nullable() }),
  z.object({ knocks: z.array(z.number()) }),
  z.object({ yes: z.boolean() }),
  z.object({ done: z.literal(true) }),
]);
export type PracticeAnswer = z.output<typeof practiceAnswerSchema>;

const figures = z.object({ minutes: z.number(), moves: count, readings: count });

/** A lesson that is over, in the figures by which it is compared. */
export const practiceOutcomeSchema = z.object({
  right: z.boolean(),
  own: figures,
  expert: figures,
  damage: z.array(z.enum(practiceDamages)),
});
export type PracticeOutcome = z.output<typeof practiceOutcomeSchema>;

export const lessonKeySchema = z.enum(lessonKeys);
