import { z } from "zod";
import type { PairGeometry } from "../core/gears";
import { moduleOfDiametralPitch } from "../core/reference";

export const positive = z.number().gt(0).lte(1e9);
export const notNegative = z.number().gte(0).lte(1e9);
export const finite = z.number().gte(-1e12).lte(1e12);
export const notZero = finite.refine((value) => value !== 0, { params: { code: "is-zero" }, error: "must not be 0" });
export const toothCount = z.number().int().gte(3).lte(10_000);
export const both = <T extends z.ZodType>(item: T) => z.tuple([item, item]);
export const pressureAngle = z.number().gt(0).lt(60).default(20);
export const helixAngle = z.number().gt(-60).lt(60).default(0);

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

/** Keys that must be there, each named where it is missing. */
export function wanted<T extends object>(keys: readonly (keyof T & string)[]) {
  return (input: T, context: z.RefinementCtx) => {
    for (const key of keys) {
      if (input[key] === undefined)
        context.addIssue({ code: "custom", params: { code: "missing" }, message: "this is missing", path: [key] });
    }
  };
}

/**
 * Which of several forms of an input was given, by its keys. None, or keys of more than one, is refused at the key named (by default the
 * first of the first form) and gives null.
 */
export function oneForm<T extends object>(
  forms: readonly (readonly (keyof T & string)[])[],
  at: (keyof T & string) | undefined = forms[0]?.[0],
) {
  return (input: T, context: z.RefinementCtx): number | null => {
    const given = forms.flatMap((keys, form) => (keys.some((key) => input[key] !== undefined) ? [form] : []));
    if (given.length === 1) return given[0] as number;
    context.addIssue({
      code: "custom",
      params: { code: given.length === 0 ? "one-of-missing" : "one-of-doubled" },
      message: `${given.length === 0 ? "give" : "give only one of"} ${forms.map((keys) => keys.join(", ")).join("; or ")}`,
      path: [at as string],
    });
    return null;
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

/** A window in newtons with the aim inside or outside it, refused at its lower end where upside down. */
export const newtonWindow = z
  .strictObject({ lo: notNegative, aim: notNegative.optional(), hi: notNegative })
  .superRefine(ordered("lo", "hi"));

export const pitchShape = { moduleMm: positive.optional(), diametralPitch: positive.optional() };
export const rackShape = { pressureAngleDeg: pressureAngle, helixAngleDeg: helixAngle };

export const pairShape = {
  teeth: both(toothCount),
  ...pitchShape,
  ...rackShape,
  profileShift: both(finite).default([0, 0]),
  thinningMm: both(notNegative).default([0, 0]),
  faceWidthMm: positive.optional(),
  tipDiameterMm: both(positive).optional(),
  internal: z.boolean().default(false),
  centreDistanceMm: positive.optional(),
};

export const onePitch = exactlyOne<{ moduleMm?: number | undefined; diametralPitch?: number | undefined }>([
  "moduleMm",
  "diametralPitch",
]);

export const pairSchema = z.strictObject(pairShape).superRefine(onePitch);
type PairInput = z.output<typeof pairSchema>;

export const moduleOf = (input: { moduleMm?: number | undefined; diametralPitch?: number | undefined }): number =>
  input.moduleMm ?? moduleOfDiametralPitch(input.diametralPitch ?? Number.NaN);

export const pairGeometry = (input: PairInput): PairGeometry => ({ ...input, moduleMm: moduleOf(input) });
