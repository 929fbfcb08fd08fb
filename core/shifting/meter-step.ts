import { accept, lastDigit, parseQuantity, type Result, refuse } from "../quantity";

/**
 * One step of a meter of current.
 *
 * @param said as somebody says it; empty: the last digit of the currents as they were written down
 * @returns A, or a refusal at step
 */
export function meterStep(said: string, currents: readonly string[]): Result<number> {
  if (said === "") return accept(lastDigit(currents, "current", "A") ?? 0);
  const step = parseQuantity(said, "current", "A");
  if (!step.ok) return refuse(step.refusal.code, ["step"], step.refusal.facts);
  return step.value.value >= 0 ? accept(step.value.value) : refuse("too-small", ["step"]);
}
