import * as z from "zod";
import type { PlanetaryGeometry } from "../../../planetary";
import { planetarySchema } from "../../../planetary/schema";

export const planetaryKindSchema = z.object({
  kind: z.literal("planetary"),
  set: planetarySchema.transform((set): PlanetaryGeometry => set),
  /** Of helical teeth on one ring or both, degrees; positive: the ring is right-hand. */
  helix: z.object({ ring1Deg: z.number().gt(-60).lt(60), ring2Deg: z.number().gt(-60).lt(60).optional() }).optional(),
});
export type PlanetaryElement = z.output<typeof planetaryKindSchema>;
