import { dirts, type GreasePlace, greaseMarks, type LookPlace, type UpkeepList, wets } from "~/core/greasing";
import { numberText } from "../form/number-text";
import { type Read, TextReader } from "../form/text-reader";
import { rowTexts, type Texts } from "../form/texts";
import type { Reader } from "../words/reader";

export const markWords = { grease: "greased", none: "none here", "keep-dry": "keep dry" } as const;
const yesNo = [
  { value: "no", label: "no" },
  { value: "yes", label: "yes" },
] as const;
const asOptions = <T extends string>(words: readonly T[]) => words.map((value) => ({ value, label: value }));

export const greaseColumns = (unit: string) => [
  { name: "name", label: "Place", wide: true },
  {
    name: "mark",
    label: "It is",
    wide: true,
    options: greaseMarks.map((value) => ({ value, label: markWords[value] })),
  },
  { name: "kind", label: "Grease", wide: true },
  { name: "grams", label: "Grams" },
  { name: "outer", label: "Bearing Ø" },
  { name: "width", label: "Width" },
  { name: "usage", label: `Every, ${unit}` },
  { name: "days", label: "Every, days" },
  { name: "dirt", label: "Dirt", wide: true, options: asOptions(dirts) },
  { name: "wet", label: "Wet", wide: true, options: asOptions(wets) },
  { name: "temp", label: "°C" },
  { name: "vertical", label: "Upright shaft", wide: true, options: yesNo },
];
export const lookColumns = [
  { name: "name", label: "What is looked at", wide: true },
  { name: "where", label: "Where", wide: true },
  { name: "days", label: "Every, days" },
] as const;

export const listTexts = (reader: Reader, { grease, looks }: UpkeepList): Texts => ({
  ...rowTexts(
    "grease",
    grease.map((place) => ({
      id: place.id,
      name: place.name,
      mark: place.mark,
      kind: place.kind,
      grams: numberText(reader, place.grams),
      outer: numberText(reader, place.bearing?.outerMm),
      width: numberText(reader, place.bearing?.widthMm),
      usage: numberText(reader, place.intervalUsage),
      days: numberText(reader, place.intervalDays),
      dirt: place.dirt,
      wet: place.wet,
      temp: numberText(reader, place.tempC),
      vertical: place.vertical ? "yes" : "no",
    })),
  ),
  ...rowTexts(
    "looks",
    looks.map(({ id, name, where, everyDays }) => ({ id, name, where, days: numberText(reader, everyDays) })),
  ),
});

/**
 * The list as typed.
 *
 * @param newId an id for a line that has none
 */
export function readList(texts: Texts, newId: () => string): Read<UpkeepList> {
  const read = new TextReader(texts);
  const over0 = (name: string, value: () => number): number | null => {
    if (!read.has(name)) return null;
    const found = value();
    read.want(name, !(found <= 0), "too-small");
    return found;
  };
  const grease = read
    .rows("grease", ["name", "kind", "grams", "outer", "width", "usage", "days", "temp"])
    .map((row): GreasePlace => {
      const number = (column: string) => over0(`${row}.${column}`, () => read.number(`${row}.${column}`));
      const size = (column: string) => over0(`${row}.${column}`, () => read.length(`${row}.${column}`));
      const [outerMm, widthMm] = [size("outer"), size("width")];
      read.want(`${row}.outer`, outerMm !== null || widthMm === null, "missing");
      read.want(`${row}.width`, widthMm !== null || outerMm === null, "missing");
      return {
        id: read.text(`${row}.id`) || newId(),
        name: read.words(`${row}.name`),
        where: "",
        mark: greaseMarks.find((mark) => mark === read.text(`${row}.mark`)) ?? "grease",
        kind: read.text(`${row}.kind`),
        grams: number("grams"),
        bearing: outerMm !== null && widthMm !== null ? { outerMm, widthMm } : null,
        intervalUsage: number("usage"),
        intervalDays: number("days"),
        dirt: dirts.find((dirt) => dirt === read.text(`${row}.dirt`)) ?? "clean",
        wet: wets.find((wet) => wet === read.text(`${row}.wet`)) ?? "dry",
        tempC: read.has(`${row}.temp`) ? read.number(`${row}.temp`) : null,
        vertical: read.text(`${row}.vertical`) === "yes",
      };
    });
  const looks = read.rows("looks", ["name", "where", "days"]).map(
    (row): LookPlace => ({
      id: read.text(`${row}.id`) || newId(),
      name: read.words(`${row}.name`),
      where: read.text(`${row}.where`),
      everyDays: over0(`${row}.days`, () => read.number(`${row}.days`)),
    }),
  );
  return read.done({ grease, looks });
}
