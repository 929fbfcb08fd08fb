import * as z from "zod";
import { both, length, toothCount } from "../../../schemas";
import { movesWhatIsThere, runShape } from "../../runs/schema";

export const chainSchema = z
  .object({
    kind: z.literal("chain"),
    pitchMm: length,
    teeth: both(toothCount).readonly(),
    links: z.number().int().gte(4).lte(100_000),
    ...runShape,
    /** Of the line of centres against the level. */
    inclinationDeg: z.number().gte(-90).lte(90).default(0),
  })
  .superRefine(movesWhatIsThere);
export type ChainElement = z.output<typeof chainSchema>;
