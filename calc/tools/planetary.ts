import * as z from "zod";
import { type PlanetaryGeometry, planetarySet } from "../../core/planetary";
import { planetarySchema } from "../../core/planetary/schema";
import { planetaryReasonText } from "../planetary-reason";
import { tool } from "../tool";

export const planetaryTool = tool({
  name: "planetary",
  purpose: "ratio of a planetary set, and whether it goes together: phases, room, common axis, clocking",
  input: planetarySchema,
  output: z.strictObject({
    ratio: z.number().nullable(),
    assembles: z.boolean(),
    planetsClear: z.boolean(),
    neighbourGapMm: z.number().optional(),
    coaxial: z.boolean(),
    clockingSteps: z.number().nullable(),
    reasons: z.array(z.string()),
  }),
  run: (input) => {
    const set = planetarySet(input as PlanetaryGeometry);
    return set.ok ? { ok: true, value: { ...set.value, reasons: set.value.reasons.map(planetaryReasonText) } } : set;
  },
});
