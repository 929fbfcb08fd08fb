import * as z from "zod";
import { length, positive, text, words } from "../schemas";
import { dirts, greaseMarks, wets } from "./vocabulary";

/** A place of a machine that is greased, or that must not be. */
export const greasePlace = z.object({
  id: words(60),
  name: words(80),
  where: text(120).trim().default(""),
  /** `none`: none here. `keep-dry`: a film would carry dust, or let something slip. */
  mark: z.enum(greaseMarks).default("grease"),
  /** Which grease. */
  kind: text(80).trim().default(""),
  grams: positive.nullable().default(null),
  /** Of the bearing, from which the amount follows where nobody said it. */
  bearing: z.object({ outerMm: length, widthMm: length }).nullable().default(null),
  /** On the machine's meter; null: by days alone. */
  intervalUsage: positive.nullable().default(null),
  intervalDays: positive.nullable().default(null),
  dirt: z.enum(dirts).default("clean"),
  wet: z.enum(wets).default("dry"),
  /** °C; null: not known, taken as no hotter than 70. */
  tempC: z.number().gte(-60).lte(400).nullable().default(null),
  vertical: z.boolean().default(false),
});
export type GreasePlace = z.output<typeof greasePlace>;

/** Something that is looked at by eye, between runs, without a job. */
export const lookPlace = z.object({
  id: words(60),
  name: words(120),
  where: text(120).trim().default(""),
  everyDays: positive.nullable().default(null),
});
export type LookPlace = z.output<typeof lookPlace>;

export const upkeepList = z.object({
  grease: z.array(greasePlace).max(200).default([]),
  looks: z.array(lookPlace).max(200).default([]),
});
export type UpkeepList = z.output<typeof upkeepList>;
