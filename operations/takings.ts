import * as z from "zod";
import { id } from "./input";

/** What an entry takes out of the stores (below 0) and puts back. */
export const takings = z
  .array(z.object({ itemId: id, change: z.int().gte(-1000).lte(1000) }))
  .max(60)
  .default([]);
export type Takings = z.output<typeof takings>;
