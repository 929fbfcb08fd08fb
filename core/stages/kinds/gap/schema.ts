import * as z from "zod";
import { length, words } from "../../../schemas";

/** A gap that shims or spacers set. */
export const gapSchema = z.object({
  kind: z.literal("gap"),
  what: z.enum(["end-float", "pinion-clearance", "running-clearance"]),
  /** At how many places it is read. */
  places: z.number().int().gte(1).lte(24).default(1),
  /** What people call them, from the first; left out: they are counted. */
  names: z.array(words(40)).max(24).optional(),
  /** Of the faces or rim, for the drawing. */
  diameterMm: length,
});
export type GapElement = z.output<typeof gapSchema>;
