import type { RefusalCode } from "./refusal-code";
import type { RefusalFacts } from "./refusal-facts";

/** What explains a refusal of one code; of most codes nothing has to, and what some add is for whoever looks into it. */
type FactsOf<C extends RefusalCode> = C extends keyof RefusalFacts
  ? Readonly<RefusalFacts[C]>
  : Readonly<Record<string, number | string>>;

export type RefusalOf<C extends RefusalCode> = {
  code: C;
  path: readonly (string | number)[];
  facts: FactsOf<C>;
};

/**
 * An expected failure of the input, as a value: which field, why, and the numbers that explain it.
 * Words for people are made where they are shown, from `code` and `facts`.
 */
export type Refusal = { [C in RefusalCode]: RefusalOf<C> }[RefusalCode];

/** A code that explains itself. */
export type PlainCode = Exclude<RefusalCode, keyof RefusalFacts>;

export type Result<T> = { ok: true; value: T } | { ok: false; refusal: Refusal };

export const accept = <T>(value: T): Result<T> => ({ ok: true, value });

/** The facts of a code as the last argument: they may be left out where it explains itself. */
export type FactsArgument<C extends RefusalCode> = C extends keyof RefusalFacts ? [FactsOf<C>] : [FactsOf<C>?];

/** @param facts those of its code; a code that explains itself may be given some to look into */
export const refuse = <C extends RefusalCode>(
  code: C,
  path: Refusal["path"],
  ...[facts]: FactsArgument<C>
): { ok: false; refusal: Refusal } => ({ ok: false, refusal: { code, path, facts: facts ?? {} } as Refusal });

/** The value of a result that the caller knows to be good; a refusal here is a bug and throws. */
export function mustHold<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(`${result.refusal.code} at ${result.refusal.path.join(".")}`);
}
