import * as z from "zod";
import { notNegative, positive, text, words } from "../schemas";
import { races, screwClasses, threadsIn } from "./vocabulary";

/** Records of a guide: what they hold, and with that the types. */

const pieces = z.int().gte(0).lte(999);
const partId = words(60);

export const screwSet = z.object({
  /** "M4", "circlip 12", as the drawer calls it. */
  size: words(40),
  lengthMm: positive.nullable().default(null),
  count: z.int().gte(1).lte(999),
  washers: pieces.default(0),
  /** Where they were put, or where each one sits. */
  where: text(80).trim().default(""),
  into: z.enum(threadsIn).default("metal"),
  compound: z.boolean().default(false),
  /** Nm; null: not known. */
  torqueNm: positive.nullable().default(null),
  /** Property class as it is stamped on the head; null: not known. */
  propertyClass: z.enum(screwClasses).nullable().default(null),
});
export type ScrewSet = z.output<typeof screwSet>;

export const partSpacer = z.object({
  widthMm: positive,
  count: z.int().gte(1).lte(99).default(1),
  race: z.enum(races).default("none"),
});
export type PartSpacer = z.output<typeof partSpacer>;

export const guidePart = z.object({
  id: partId,
  name: words(80),
  /** kg; null: nobody weighed it. */
  massKg: notNegative.nullable().default(null),
  screws: z.array(screwSet).max(20).default([]),
  /** On which side it sits, which way round, and the mark that keeps its clocking. */
  side: text(60).trim().default(""),
  facing: text(80).trim().default(""),
  mark: text(80).trim().default(""),
  spacers: z.array(partSpacer).max(12).default([]),
  /** What can only be done before this part hides it. */
  beforeHidden: text(200).trim().default(""),
  /** What is to be done as it goes on: a gap to be left, a film of grease. */
  asItGoesOn: text(200).trim().default(""),
  /** Tools and consumables that it takes, with a comma between them. */
  tools: text(200).trim().default(""),
  /** Parts that have to be on before it, and parts that it hides. */
  after: z.array(partId).max(60).default([]),
  hides: z.array(partId).max(60).default([]),
  /** Entries of photographs. */
  photographs: z.array(z.uuid()).max(12).default([]),
});
export type GuidePart = z.output<typeof guidePart>;

/** In the order in which they go together, as far as the ties leave it open. */
export const guideParts = z.array(guidePart).min(1).max(400);

/** One revision of a guide, as it lies with its machine. */
export const guideRevision = z.object({
  id: z.uuid(),
  guideId: z.uuid(),
  machineId: z.uuid(),
  stageId: z.uuid().nullable(),
  name: z.string(),
  revision: z.int().gte(1),
  parts: guideParts,
});
export type Guide = z.output<typeof guideRevision>;
