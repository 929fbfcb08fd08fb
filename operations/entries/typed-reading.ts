import * as z from "zod";
import { text } from "../input";

/** A reading as it was typed, before it is a value: in a draft and in what becomes an entry. */
export const typedReading = z.object({
  tooth: z.number().int().gte(1).lte(10_000),
  turn: z.number().int().gte(1).lte(10_000),
  typed: text(40),
  struck: z.boolean(),
  /** Index of the first reading at the same place. */
  repeats: z.number().int().gte(0).nullable(),
});
