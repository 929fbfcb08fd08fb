import type { WarmUp } from "~/core/statistics";
import { formatNumber } from "./figure";
import type { Reader } from "./reader";

/** Where it ends, and when it passes what it may get: "It ends at 68 °C and passes 60 °C after 29 min". */
export function warmUpWords(reader: Reader, { finalC, passesLimitAtMinutes }: WarmUp, limitC: number | null): string {
  const ends = `${formatNumber(reader, finalC, 0)} °C`;
  if (limitC === null) return `It ends at ${ends}`;
  const limit = `${formatNumber(reader, limitC, 0)} °C`;
  if (passesLimitAtMinutes !== undefined)
    return `It ends at ${ends} and passes ${limit} after ${formatNumber(reader, passesLimitAtMinutes, 0)} min`;
  return finalC <= limitC ? `It ends at ${ends}, below ${limit}` : `It ends at ${ends}, and began above ${limit}`;
}
