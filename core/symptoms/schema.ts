import * as z from "zod";
import { text, words } from "../schemas";
import { recurringParts, stageKinds } from "../stages";
import { symptomKinds, testCodes, whensSaid } from "./vocabulary";

/** A rule of the workshop's own: what is wrong, where, how it shows, what to try next, and from where one knows. */
export const ownRuleFields = z.object({
  says: words(120),
  /** Kinds of stage that have it; empty: all. */
  kinds: z.array(z.enum(stageKinds)).max(stageKinds.length),
  /** What of the stage comes as often; empty: it has no rhythm. */
  parts: z.array(z.enum(recurringParts)).max(recurringParts.length),
  shows: z.array(z.enum(symptomKinds)).min(1).max(symptomKinds.length),
  speaksFor: z.array(z.enum(whensSaid)).max(whensSaid.length),
  against: z.array(z.enum(whensSaid)).max(whensSaid.length),
  test: z.enum(testCodes),
  source: text(200).trim(),
});
export type OwnRuleFields = z.output<typeof ownRuleFields>;
