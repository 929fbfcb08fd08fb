import * as z from "zod";

/** Numbers as the trade has them, for the schemas of elements, records and calculations. */
export const positive = z.number().gt(0).lte(1e9);
export const notNegative = z.number().gte(0).lte(1e9);
export const finite = z.number().gte(-1e12).lte(1e12);
export const notZero = finite.refine((value) => value !== 0, { params: { code: "is-zero" }, error: "must not be 0" });
export const toothCount = z.number().int().gte(3).lte(10_000);
export const pressureAngle = z.number().gt(0).lt(60).default(20);
export const helixAngle = z.number().gt(-60).lt(60).default(0);
/** mm, of a part that stands in a works. */
export const length = z.number().gt(0).lte(1e6);
export const both = <T extends z.ZodType>(item: T) => z.tuple([item, item]);
/** Text that PostgreSQL and the canonical JSON can hold: no NUL, no half of a surrogate pair. It may be empty. */
export const text = (most: number) =>
  z
    .string()
    .max(most)
    .refine((value) => value.isWellFormed() && !value.includes("\u0000"), { params: { code: "not-text" } });
/** Text that has to say something. */
export const words = (most: number) => text(most).trim().min(1);

/** Of keys that exclude each other exactly one must be there; the first names the field. */
export function exactlyOne<T extends object>(keys: readonly (keyof T & string)[]) {
  return (input: T, context: z.RefinementCtx) => {
    const given = keys.filter((key) => input[key] !== undefined);
    if (given.length === 1) return;
    context.addIssue({
      code: "custom",
      params: { code: given.length === 0 ? "one-of-missing" : "one-of-doubled" },
      message: `${given.length === 0 ? "give one of" : "give only one of"} ${keys.join(", ")}`,
      path: [keys[0] as string],
    });
  };
}

/** A window whose lower end lies above its upper one is refused at its lower end. */
export function ordered<T extends object>(low: keyof T & string, high: keyof T & string) {
  return (input: T, context: z.RefinementCtx) => {
    const lo = input[low];
    const hi = input[high];
    if (typeof lo !== "number" || typeof hi !== "number" || lo <= hi) return;
    context.addIssue({
      code: "custom",
      params: { code: "window-upside-down" },
      message: `${low} lies above ${high}`,
      path: [low],
    });
  };
}
