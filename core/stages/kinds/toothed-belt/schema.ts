import * as z from "zod";
import { toothProfiles } from "../../../belts";
import { both, length, toothCount } from "../../../schemas";
import { beltShape, movesWhatIsThere } from "../../runs/schema";

export const toothedBeltSchema = z
  .object({
    kind: z.literal("toothed-belt"),
    pitchMm: length,
    teeth: both(toothCount).readonly(),
    beltTeeth: z.number().int().gte(6).lte(100_000),
    profile: z.enum(toothProfiles).optional(),
    widthMm: length.optional(),
    ...beltShape,
  })
  .superRefine(movesWhatIsThere);
export type ToothedBeltElement = z.output<typeof toothedBeltSchema>;
