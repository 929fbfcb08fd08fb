import * as z from "zod";
import { finite, notZero, ordered, positive } from "../schemas";

const travel = z.strictObject({ min: finite, max: finite }).superRefine(ordered("min", "max")).optional();
export type Travel = NonNullable<z.output<typeof travel>>;

const angle = finite.default(0);

/** The adjusters by the law they follow; every amount is signed, positive in the direction that the adjuster's own law gives. */
export const adjusterSchema = z.discriminatedUnion("type", [
  z.strictObject({ type: z.literal("slide"), angleDeg: angle, travel }),
  z.strictObject({
    type: z.literal("screw"),
    leadMm: positive,
    angleDeg: angle,
    oneWay: z.boolean().default(false),
    springReturn: z.boolean().default(false),
    travel,
  }),
  z.strictObject({ type: z.literal("pivot"), armMm: positive, angleDeg: finite, leverMm: positive, travel }),
  z.strictObject({ type: z.literal("eccentric"), throwMm: positive, angleDeg: finite, travel }),
  z.strictObject({ type: z.literal("shims"), perMm: notZero, travel }),
]);
export type Adjuster = z.output<typeof adjusterSchema>;
