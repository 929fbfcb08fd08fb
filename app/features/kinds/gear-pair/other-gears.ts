import type { Reader } from "~/app/features/words/reader";
import type { SwitchGear } from "~/core/stages";
import { count, type Reading } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import { rowTexts, type Texts } from "../../form/texts";

/** The other gears of a stage that switches, a row each: name, teeth of pinion and gear, their shifts if any. */
export function readGears(read: Reading): SwitchGear[] {
  const rows = read.rows("gears", ["name", "z1", "z2"]);
  read.want("gears", rows.length > 0, "one-gear-only");
  return rows.map((row) => ({
    name: read.words(`${row}.name`),
    teeth: [count(read, `${row}.z1`, 3), count(read, `${row}.z2`, 3)],
    profileShift: [read.numberOr(`${row}.x1`, 0), read.numberOr(`${row}.x2`, 0)],
  }));
}

export const gearTexts = (reader: Reader, gears: readonly SwitchGear[]): Texts =>
  rowTexts(
    "gears",
    gears.map(({ name, teeth: [z1, z2], profileShift: [x1, x2] }) => ({
      name,
      z1: String(z1),
      z2: String(z2),
      x1: n(reader, x1),
      x2: n(reader, x2),
    })),
  );
