import { formatNumber } from "~/app/features/words/figure";
import type { Bodies } from "~/core/logbook";
import type { ShiftEnd, ShiftTravel } from "~/core/shifting";
import { capital } from "./count";
import type { Reader } from "./reader";
import { lengthWords } from "./spoken";

/** What brings a stop to full face: "spacer 0.40 mm thinner". */
export const spacerWords = (reader: Reader, { spacerChangeMm }: Pick<ShiftEnd, "spacerChangeMm">): string =>
  `spacer ${lengthWords(reader, Math.abs(spacerChangeMm), 2)} ${spacerChangeMm > 0 ? "thicker" : "thinner"}`;

/** What a travel between two stops says; `named` how its two ends are called. */
export function travelWords(
  reader: Reader,
  { ok, feasible, neutralMm, left, right }: ShiftTravel,
  named: readonly [string, string],
): string {
  if (!feasible)
    return neutralMm < 0
      ? `Both are in at once for ${lengthWords(reader, -neutralMm, 2)}: no stop cures that, only narrower faces`
      : `The neutral of ${lengthWords(reader, neutralMm, 2)} is not as wanted: only the faces can change it`;
  if (ok) return `It meets fully at both stops, with ${lengthWords(reader, neutralMm, 2)} of neutral between`;
  const said = [left, right]
    .flatMap((end, i) => (end.ok ? [] : [`${named[i]}: ${spacerWords(reader, end)}`]))
    .join("; ");
  return said.charAt(0).toUpperCase() + said.slice(1);
}

/** An entry on a sliding gear: how it stood against its stops, and how it went in. */
export function shiftWords(reader: Reader, body: Bodies["shift"]): { title: string; detail: string } {
  const { gears, stops, travel, engaged, actuator, note } = body;
  const at = stops && [stops.leftMm, stops.rightMm].map((mm) => lengthWords(reader, mm, 2));
  const went = engaged.map(({ gear, how }) => `${gear} ${how}`).join(", ");
  const stood =
    actuator &&
    [actuator.left, actuator.right].map((value) => formatNumber(reader, value, Number.isInteger(value) ? 0 : 1));
  return {
    title: at ? `Shift: ${gears[0]} at ${at[0]}, ${gears[1]} at ${at[1]}` : `Shift: ${went}`,
    detail: [
      travel ? travelWords(reader, travel, gears) : "",
      at ? capital(went) : "",
      stood ? `Actuator at ${stood[0]} and ${stood[1]} ${actuator.unit}` : "",
      note,
    ]
      .filter(Boolean)
      .join(". "),
  };
}
