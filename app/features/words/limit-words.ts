import type { Spoken } from "./spoken";

/** "0.02 to 0.08 mm"; an end that is open is left out. */
export function limitWords(lo: number | null, hi: number | null, { unit, figure: f }: Spoken): string {
  if (lo !== null && hi !== null) return `${f(lo)} to ${f(hi)} ${unit}`;
  return lo === null ? `up to ${f(hi ?? 0)} ${unit}` : `at least ${f(lo)} ${unit}`;
}

/** What stands in place of limits that nobody has given. */
export const noLimits = "no limits yet";
