import * as z from "zod";
import { allowanceSchema, couplingEndSchema } from "../../../couplings/schema";
import { both, length, notNegative, positive } from "../../../schemas";

/** Two shafts end to end, joined by a coupling. */
export const couplingSchema = z.object({
  kind: z.literal("coupling"),
  make: z.enum(["jaw", "disc", "bellows", "gear", "rigid"]),
  /** Driver, driven. */
  ends: both(couplingEndSchema),
  /** Of the hubs: where a dial runs, and for the drawing. */
  rimDiameterMm: length,
  /** Between the hubs, cold. */
  gapMm: notNegative,
  /** What the maker allows of each error alone; left out: not known. */
  allow: allowanceSchema.default({}),
  /** null: not known; then no rule gives limits. */
  rpm: positive.nullable().default(null),
  /** Of the movable machine, behind the plane of its rim. */
  feet: z
    .object({ frontMm: length, rearMm: length })
    .refine(({ frontMm, rearMm }) => frontMm < rearMm, {
      path: ["frontMm"],
      params: { code: "window-upside-down" },
      error: "the front foot must lie before the rear one",
    })
    .nullable()
    .default(null),
});
export type CouplingElement = z.output<typeof couplingSchema>;
