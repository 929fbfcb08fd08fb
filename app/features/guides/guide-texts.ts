import { type GuidePart, guideOrder, type PartSpacer, races, type ScrewSet, screwClasses } from "~/core/guides";
import { namesIn } from "../form/names-in";
import { numberText } from "../form/number-text";
import { type Read, TextReader } from "../form/text-reader";
import { rowTexts, type Texts } from "../form/texts";
import type { Reader } from "../words/reader";

const plain = (name: string): string => name.trim().toLowerCase();

export const orderColumns = [
  { name: "name", label: "Part", wide: true },
  { name: "after", label: "On after", wide: true },
  { name: "hides", label: "It hides", wide: true },
] as const;

/** A guide's parts as the rows of its order: names, and the names of what they are tied to. */
export function orderTexts(parts: readonly GuidePart[]): Texts {
  const nameOf = (id: string) => parts.find((part) => part.id === id)?.name ?? id;
  return rowTexts(
    "parts",
    parts.map(({ id, name, after, hides }) => ({
      id,
      name,
      after: after.map(nameOf).join(", "),
      hides: hides.map(nameOf).join(", "),
    })),
  );
}

/**
 * The order as typed, with what else is known of the parts; ties by name. Names that are twice or not in the list, and ties that go round in
 * a ring, are said at their fields.
 *
 * @param newId an id for a part that has none
 */
export function readOrder(
  texts: Texts,
  known: readonly GuidePart[],
  newId: () => string,
): Read<{ name: string; parts: GuidePart[] }> {
  const read = new TextReader(texts);
  const name = read.words("name");
  const rows = read.rows("parts", ["name", "after", "hides"]);
  read.want("parts", rows.length > 0, "too-few");
  const named = rows.map((row) => ({ row, id: read.text(`${row}.id`) || newId(), name: read.words(`${row}.name`) }));
  const parts = named.map(({ row, id, name: called }, i): GuidePart => {
    read.want(`${row}.name`, !named.slice(0, i).some((other) => plain(other.name) === plain(called)), "id-twice");
    const tied = (column: string): string[] =>
      namesIn(read.text(`${row}.${column}`)).flatMap((one) => {
        const other = named.find((part) => plain(part.name) === plain(one));
        read.want(`${row}.${column}`, other !== undefined && other.id !== id, "not-listed");
        return other && other.id !== id ? [other.id] : [];
      });
    const was = known.find((part) => part.id === id) ?? blankPart(id);
    return { ...was, name: called, after: tied("after"), hides: tied("hides") };
  });
  const order = guideOrder(parts);
  const ring = order.ok ? order.value.conflicts[0] : undefined;
  if (ring)
    read.problems.parts = {
      code: "ties-in-ring",
      path: ["parts"],
      facts: { names: ring.map((id) => parts.find((part) => part.id === id)?.name ?? id).join(" → ") },
    };
  return read.done({ name, parts });
}

export const blankPart = (id: string): GuidePart => ({
  id,
  name: "",
  massKg: null,
  screws: [],
  side: "",
  facing: "",
  mark: "",
  spacers: [],
  beforeHidden: "",
  asItGoesOn: "",
  tools: "",
  after: [],
  hides: [],
  photographs: [],
});

export const screwColumns = [
  { name: "count", label: "How many" },
  { name: "size", label: "Size", wide: true },
  { name: "length", label: "Length" },
  { name: "washers", label: "Washers" },
  { name: "torque", label: "Torque, N·m" },
  {
    name: "class",
    label: "Class",
    options: [{ value: "", label: "?" }, ...screwClasses.map((value) => ({ value, label: value }))],
  },
  {
    name: "into",
    label: "Into",
    options: [
      { value: "metal", label: "metal" },
      { value: "plastic", label: "plastic" },
    ],
  },
  {
    name: "compound",
    label: "Compound",
    options: [
      { value: "no", label: "no" },
      { value: "yes", label: "yes" },
    ],
  },
  { name: "where", label: "Where they sit", wide: true },
] as const;

export const spacerColumns = (raceWords: Record<(typeof races)[number], string>) => [
  { name: "count", label: "How many" },
  { name: "width", label: "Width" },
  {
    name: "race",
    label: "It touches",
    options: [...races].reverse().map((race) => ({ value: race, label: raceWords[race] })),
  },
];

/** One part of a guide as texts. */
export const partTexts = (reader: Reader, part: GuidePart): Texts => ({
  side: part.side,
  facing: part.facing,
  mark: part.mark,
  mass: numberText(reader, part.massKg),
  beforeHidden: part.beforeHidden,
  asItGoesOn: part.asItGoesOn,
  tools: part.tools,
  ...rowTexts(
    "screws",
    part.screws.map(({ count, size, lengthMm, washers, torqueNm, propertyClass, into, compound, where }) => ({
      count: String(count),
      size,
      length: numberText(reader, lengthMm),
      washers: washers === 0 ? "" : String(washers),
      torque: numberText(reader, torqueNm),
      class: propertyClass ?? "",
      into,
      compound: compound ? "yes" : "no",
      where,
    })),
  ),
  ...rowTexts(
    "spacers",
    part.spacers.map(({ count, widthMm, race }) => ({
      count: String(count),
      width: numberText(reader, widthMm),
      race,
    })),
  ),
});

/** What is typed of a part; its name, its ties and its photographs stay. */
export function readPart(texts: Texts, part: GuidePart): Read<GuidePart> {
  const read = new TextReader(texts);
  const pieces = (name: string, least: number): number => {
    const count = read.has(name) ? read.number(name, true) : least;
    read.want(name, !(count < least), "too-small");
    read.want(name, !(count > 999), "too-large");
    return count;
  };
  const screws = read.rows("screws", ["count", "size", "length", "washers", "torque", "where"]).map((row): ScrewSet => {
    read.want(`${row}.count`, read.has(`${row}.count`), "missing");
    const torqueNm = read.has(`${row}.torque`) ? read.torque(`${row}.torque`) : null;
    const lengthMm = read.lengthOrNull(`${row}.length`);
    read.want(`${row}.torque`, torqueNm === null || !(torqueNm <= 0), "too-small");
    read.want(`${row}.length`, lengthMm === null || !(lengthMm <= 0), "too-small");
    return {
      count: pieces(`${row}.count`, 1),
      size: read.words(`${row}.size`),
      lengthMm,
      washers: pieces(`${row}.washers`, 0),
      torqueNm,
      propertyClass: screwClasses.find((one) => one === read.text(`${row}.class`)) ?? null,
      into: read.text(`${row}.into`) === "plastic" ? "plastic" : "metal",
      compound: read.text(`${row}.compound`) === "yes",
      where: read.text(`${row}.where`),
    };
  });
  const spacers = read.rows("spacers", ["count", "width"]).map((row): PartSpacer => {
    const widthMm = read.length(`${row}.width`);
    read.want(`${row}.width`, !(widthMm <= 0), "too-small");
    return {
      count: pieces(`${row}.count`, 1),
      widthMm,
      race: races.find((race) => race === read.text(`${row}.race`)) ?? "none",
    };
  });
  const massKg = read.has("mass") ? read.number("mass") : null;
  read.want("mass", massKg === null || !(massKg < 0), "too-small");
  const words = {
    side: read.text("side"),
    facing: read.text("facing"),
    mark: read.text("mark"),
    beforeHidden: read.text("beforeHidden"),
    asItGoesOn: read.text("asItGoesOn"),
    tools: read.text("tools"),
  };
  return read.done({ ...part, ...words, screws, spacers, massKg });
}
