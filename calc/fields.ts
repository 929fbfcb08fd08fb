import * as z from "zod";
import { finite, notNegative, ordered, text } from "../core/schemas";

export {
  moduleOf,
  onePitch,
  pairGeometry,
  pairSchema,
  pairShape,
  pitchShape,
  rackShape,
} from "../core/gears/schema";
export {
  both,
  exactlyOne,
  finite,
  helixAngle,
  notNegative,
  notZero,
  ordered,
  positive,
  pressureAngle,
  toothCount,
} from "../core/schemas";

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

/**
 * Which of several forms was chosen, each begun by a key of its own and needing the rest of its keys. None or more than one is refused at
 * the first form's first key, a key of the chosen form that is missing at itself, and so is one that belongs to a form not chosen.
 */
export function chosenForm<T extends object>(
  ...forms: readonly (readonly [keyof T & string, ...(keyof T & string)[]])[]
) {
  return (input: T, context: z.RefinementCtx) => {
    const at = (path: string, code: string, message: string) =>
      context.addIssue({ code: "custom", params: { code }, message, path: [path] });
    const starts = forms.map(([first]) => first);
    const chosen = forms.filter(([first]) => input[first] !== undefined);
    const form = chosen[0];
    if (!form) return at(starts[0] as string, "one-of-missing", `give one of ${starts.join(", ")}`);
    if (chosen.length > 1) return at(starts[0] as string, "one-of-doubled", `give only one of ${starts.join(", ")}`);
    for (const key of form) if (input[key] === undefined) at(key, "missing", "this is missing");
    for (const key of forms.flat())
      if (!form.includes(key) && input[key] !== undefined)
        at(key, "not-of-this-form", `this does not go with ${form[0]}`);
  };
}

/** Ids of a list stand once each; a second one of a name is refused at its `id`. */
export function idsOnce(
  list: readonly { id: string }[],
  context: z.RefinementCtx,
  taken: readonly string[] = [],
  at: readonly string[] = [],
): void {
  const seen = new Set(taken);
  for (const [i, { id }] of list.entries()) {
    if (seen.has(id))
      context.addIssue({
        code: "custom",
        params: { code: "id-twice" },
        message: `there is a second ${id}`,
        path: [...at, i, "id"],
      });
    seen.add(id);
  }
}

/** A name of something in a list. */
export const id = text(200).min(1);

/** A window in newtons with the aim inside or outside it, refused at its lower end where upside down. */
export const newtonWindow = z
  .strictObject({ lo: notNegative, aim: notNegative.optional(), hi: notNegative })
  .superRefine(ordered("lo", "hi"));

/** Of two ends that may each be missing at least one must be there; an empty window is refused at its lower end. */
export function oneEnd<T extends object>(low: keyof T & string, high: keyof T & string) {
  return (input: T, context: z.RefinementCtx) => {
    if (input[low] !== undefined || input[high] !== undefined) return;
    context.addIssue({
      code: "custom",
      params: { code: "one-of-missing" },
      message: `give ${low}, ${high} or both`,
      path: [low],
    });
  };
}

/** Limits of which one may be missing. */
export const openLimits = z
  .strictObject({ lo: finite.optional(), hi: finite.optional() })
  .superRefine(oneEnd("lo", "hi"))
  .superRefine(ordered("lo", "hi"));

/** Feet behind a plane, front and rear (mm, any sign); refused at the front one where that does not lie before the rear. */
export const feetBehind = z
  .strictObject({ frontMm: finite, rearMm: finite })
  .refine(({ frontMm, rearMm }) => frontMm < rearMm, {
    path: ["frontMm"],
    params: { code: "window-upside-down" },
    error: "the front foot must lie before the rear one",
  });
