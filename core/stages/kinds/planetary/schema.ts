import * as z from "zod";
import type { PlanetaryGeometry } from "../../../planetary";
import { planetarySchema } from "../../../planetary/schema";

export const planetaryKindSchema = z.object({
  kind: z.literal("planetary"),
  set: planetarySchema.transform((set): PlanetaryGeometry => set),
});
export type PlanetaryElement = z.output<typeof planetaryKindSchema>;
