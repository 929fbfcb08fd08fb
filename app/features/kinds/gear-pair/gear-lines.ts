import type { Reader } from "~/app/features/words/reader";
import { parseNumber } from "~/core/quantity";
import type { SwitchGear } from "~/core/stages";
import { numberText as n } from "../../form/number-text";
import { lines, type Reading } from "../field-readers";

/** "high 30 30" or "high 30 30 0.2 0.1", one gear a line; the last two are shifts. */
export function readGears(read: Reading): SwitchGear[] {
  const gears = lines(read.text("gears")).flatMap((line): SwitchGear[] => {
    const [, name, rest] = /^(.*?)\s+([\d\s.,:-]+)$/.exec(line) ?? [];
    const numbers = (rest ?? "")
      .split(/[\s:]+/)
      .filter(Boolean)
      .map((part) => parseNumber(part));
    const [z1, z2, x1, x2] = numbers.map((number) => (number.ok ? number.value : Number.NaN));
    const good = name && Number.isInteger(z1) && Number.isInteger(z2) && (z1 ?? 0) >= 3 && (z2 ?? 0) >= 3;
    if (!good) read.problems.gears = { code: "not-a-gear", path: ["gears"], facts: { text: line } };
    return good ? [{ name, teeth: [z1 as number, z2 as number], profileShift: [x1 ?? 0, x2 ?? 0] }] : [];
  });
  read.want("gears", gears.length > 0, "one-gear-only");
  return gears;
}

export const gearsText = (reader: Reader, gears: readonly SwitchGear[]): string =>
  gears
    .map(({ name, teeth, profileShift }) => [name, ...teeth, ...profileShift.map((x) => n(reader, x))].join(" "))
    .join("\n");
