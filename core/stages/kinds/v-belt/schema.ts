import * as z from "zod";
import { vSections } from "../../../belts";
import { both, length } from "../../../schemas";
import { beltShape, movesWhatIsThere } from "../../runs/schema";

/** One V-belt or a set of them side by side. */
export const vBeltSchema = z
  .object({
    kind: z.literal("v-belt"),
    pitchDiameterMm: both(length).readonly(),
    lengthMm: length,
    belts: z.number().int().gte(1).lte(12).default(1),
    section: z.enum(vSections).optional(),
    ...beltShape,
  })
  .superRefine(movesWhatIsThere);
export type VBeltElement = z.output<typeof vBeltSchema>;
