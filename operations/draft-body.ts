import * as z from "zod";
import { typedReading } from "./entries/typed-reading";
import { instant, text } from "./input";

const roundDraft = z.object({
  /** The open field. */
  field: text(40_000),
  /** Position that the field is for, from 0 in the order of reading. */
  at: z.number().int().gte(0).lte(10_000),
  readings: z.array(typedReading).max(10_000),
});
export type RoundDraft = z.output<typeof roundDraft>;

/** What is being typed on one stage of a job: rounds not yet entries, by phase, and the texts of the forms. */
export const draftBody = z.object({
  rounds: z.object({ "as-found": roundDraft, set: roundDraft, check: roundDraft }),
  texts: z.record(text(60), text(40_000)),
  savedAt: instant,
});
export type DraftBody = z.output<typeof draftBody>;
