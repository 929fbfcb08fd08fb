import * as z from "zod";
import {
  forceOfDeflection,
  frequencyOfTension,
  tensionOfDeflection,
  tensionOfFrequency,
  tensionPerCentre,
} from "../../core/belts";
import { accept, type Result } from "../../core/quantity";
import { exactlyOne, notNegative, positive } from "../fields";
import { tool } from "../tool";

const input = z
  .strictObject({
    spanMm: positive,
    massKgPerM: positive,
    frequencyHz: positive.optional(),
    deflection: z.strictObject({ forceN: positive, mm: positive }).optional(),
    tensionN: positive.optional(),
    harmonic: z.number().int().gte(1).lte(100).default(1),
    bendingStiffnessNMm2: notNegative.default(0),
    elongation: z.strictObject({ stiffnessN: positive, beltLengthMm: positive, centreDistanceMm: positive }).optional(),
  })
  .superRefine(
    exactlyOne<{ frequencyHz?: unknown; deflection?: unknown; tensionN?: unknown }>([
      "frequencyHz",
      "deflection",
      "tensionN",
    ]),
  );

export const beltTensionTool = tool({
  name: "belt-tension",
  purpose: "tension of a span from frequency or deflection, and what a millimetre of centre distance does",
  input,
  output: z.strictObject({
    tensionN: z.number(),
    frequencyHz: z.number(),
    forceAtN64: z.strictObject({ deflectionMm: z.number(), forceN: z.number() }),
    tensionPerCentreMm: z.number().optional(),
  }),
  run: ({ spanMm, frequencyHz, deflection, tensionN, harmonic, elongation, ...span }) => {
    const belt = { spanMm, massKgPerM: span.massKgPerM, bendingStiffnessNMm2: span.bendingStiffnessNMm2 };
    const tension: Result<number> =
      frequencyHz !== undefined
        ? tensionOfFrequency(belt, frequencyHz, harmonic)
        : accept(deflection ? tensionOfDeflection(spanMm, deflection.forceN, deflection.mm) : (tensionN as number));
    if (!tension.ok) return tension;
    const deflectionMm = spanMm / 64;
    return accept({
      tensionN: tension.value,
      frequencyHz: frequencyHz ?? frequencyOfTension(belt, tension.value, harmonic),
      forceAtN64: { deflectionMm, forceN: forceOfDeflection(spanMm, tension.value, deflectionMm) },
      ...(elongation ? { tensionPerCentreMm: tensionPerCentre(spanMm, elongation) } : {}),
    });
  },
});
