import type { RefusalCode } from "./refusal-code";

/**
 * An expected failure of the input, as a value: which field, why, and the numbers that explain it.
 * Words for people are made where they are shown, from `code` and `facts`.
 */
export type Refusal = {
  code: RefusalCode;
  path: readonly (string | number)[];
  facts: Readonly<Record<string, number | string>>;
};

export type Result<T> = { ok: true; value: T } | { ok: false; refusal: Refusal };

export const accept = <T>(value: T): Result<T> => ({ ok: true, value });

export const refuse = (
  code: RefusalCode,
  path: Refusal["path"],
  facts: Refusal["facts"] = {},
): { ok: false; refusal: Refusal } => ({ ok: false, refusal: { code, path, facts } });

/** The value of a result that the caller knows to be good; a refusal here is a bug and throws. */
export function mustHold<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(`${result.refusal.code} at ${result.refusal.path.join(".")}`);
}
