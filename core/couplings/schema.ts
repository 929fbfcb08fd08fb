import * as z from "zod";
import { notNegative, positive } from "../schemas";

const shaft = { shaftMm: positive, boreMm: positive };

/** A shaft in its hub, and what keeps it from turning there. */
export const couplingEndSchema = z.discriminatedUnion("hold", [
  z.strictObject({ ...shaft, hold: z.literal("key"), key: z.strictObject({ keyMm: positive, slotMm: positive }) }),
  z.strictObject({ ...shaft, hold: z.literal("flat"), flat: z.strictObject(shaft) }),
  z.strictObject({ ...shaft, hold: z.literal("clamp") }),
]);
export type CouplingEnd = z.output<typeof couplingEndSchema>;

const three = <T extends z.ZodType>(size: T) =>
  z.strictObject({ radialMm: size.optional(), angularDeg: size.optional(), axialMm: size.optional() });

/** Errors of the two shafts as sizes. */
export const shaftErrorsSchema = three(notNegative);
/** What a coupling allows of each alone. */
export const allowanceSchema = three(positive);
export type ShaftErrors = z.output<typeof shaftErrorsSchema>;
