import * as z from "zod";
import { bevelShape } from "../../../bevels/schema";
import { both, length, toothCount } from "../../../schemas";

/** `shimmed`: the member behind which the shims lie. */
export const bevelSchema = z.object({
  kind: z.literal("bevel"),
  bevel: z.object({ ...bevelShape, teeth: both(toothCount).readonly() }),
  faceWidthMm: length.optional(),
  shimmed: z.enum(["pinion", "gear"]).default("gear"),
});
export type BevelElement = z.output<typeof bevelSchema>;
