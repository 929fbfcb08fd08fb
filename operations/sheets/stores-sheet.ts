import { v7 } from "uuid";
import { accept, type Result } from "../../core/quantity";
import type { StoreItem, StoreItemId } from "../../core/records";
import { everyFigure, type Figures, kindsOfStock, type StoreKind, storeKinds } from "../../core/stores";
import { everyItem, insertItems, insertMovements, lockItems, updateItems } from "../../data/queries/store";
import { mostPieces } from "../stores";
import type { Cells } from "./cells";
import type { Sheet } from "./sheet";

type Line = Partial<Omit<StoreItem, "id">> & { kind: StoreKind; name: string };

const itemsAtOnce = 2000;

/** Everything in the drawers; a column that a sheet does not have stays as it is. */
export const storesSheet: Sheet<Line> = {
  name: "stores",
  most: 100_000,
  columns: [
    { name: "kind", needed: true },
    { name: "name", needed: true },
    { name: "nominal mm", number: true },
    { name: "measured mm", number: true },
    { name: "count" },
    { name: "place" },
    { name: "price", number: true },
    { name: "no longer made" },
    ...everyFigure.map(({ key, is }) => ({ name: columnOf(key), ...(is ? {} : { number: true as const }) })),
  ],
  read,
  key: ({ kind, name }) => `${kind} ${name}`,
  async apply({ pool, person, now }, lines, tell) {
    const there = new Map((await everyItem(pool, person.workshopId)).map((item) => [keyOf(item), item]));
    const fresh: StoreItem[] = [];
    const changed: { before: StoreItem; after: StoreItem }[] = [];
    const fates = lines.map((line) => {
      const before = there.get(keyOf(line));
      const after: StoreItem = { ...blank, ...before, ...line, id: before?.id ?? (v7() as StoreItemId) };
      if (!before) fresh.push(after);
      else if (JSON.stringify(sorted(before)) === JSON.stringify(sorted(after))) return "same";
      else changed.push({ before, after });
      return before ? "changed" : "new";
    });
    const parts = Math.ceil(fresh.length / itemsAtOnce) + Math.ceil(changed.length / itemsAtOnce) || 1;
    let done = 0;
    const by = { madeBy: person.id, at: now };
    for (const part of inParts(fresh)) {
      await insertItems(pool, person.workshopId, part, now);
      const first = part.map(({ id, count }) => ({ id: v7(), itemId: id, change: count, count }));
      await insertMovements(pool, first, { ...by, why: "Entered, by CSV" });
      await tell(++done / parts);
    }
    for (const part of inParts(changed)) {
      const ids = part.map(({ after }) => after.id);
      const locked = new Map((await lockItems(pool, person.workshopId, ids)).map(({ id, count }) => [id, count]));
      await updateItems(
        pool,
        part.map(({ after }) => after),
      );
      const counted = part.map(({ after: { id, count } }) => ({
        id: v7(),
        itemId: id,
        change: count - (locked.get(id) ?? 0),
        count,
      }));
      await insertMovements(pool, counted, { ...by, why: "Counted, by CSV" });
      await tell(++done / parts);
    }
    return fates.map((fate) => accept(fate));
  },
  async rows({ pool, person }) {
    const items = await everyItem(pool, person.workshopId);
    return items.map((item) => [
      item.kind,
      item.name,
      item.nominalMm ?? "",
      item.measuredMm ?? "",
      item.count,
      item.place,
      item.price ?? "",
      item.gone ? "yes" : "",
      ...everyFigure.map(({ key }) => item.figures[key] ?? ""),
    ]);
  },
};

/** "moduleMm" as people read it: "module mm". */
function columnOf(key: string): string {
  return key.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
}

const keyOf = ({ kind, name }: { kind: string; name: string }): string => `${kind} ${name.toLowerCase()}`;

const blank: Omit<StoreItem, "id" | "kind" | "name"> = {
  nominalMm: null,
  measuredMm: null,
  figures: {},
  count: 0,
  place: "",
  price: null,
  gone: false,
};

const inParts = <T>(all: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(all.length / itemsAtOnce) }, (_, i) =>
    all.slice(i * itemsAtOnce, (i + 1) * itemsAtOnce),
  );

const sorted = ({ id: _, figures, ...item }: StoreItem) => [
  Object.entries(item).sort(),
  Object.entries(figures).sort(),
];

function read(cells: Cells): Result<Line> {
  const kind = cells.oneOf("kind", storeKinds, "shim");
  if (cells.text("kind") === "") cells.wrong("missing", "kind");
  const line: Line = { kind, name: cells.needed("name") };
  const { nominal, figures } = kindsOfStock[kind];
  const size = (column: string): number | null => {
    const value = cells.length(column);
    if (value !== null && (value <= 0 || value > 1e6)) cells.wrong("too-small", column);
    return value;
  };
  if (cells.has("nominal mm")) line.nominalMm = nominal === null ? null : size("nominal mm");
  if (nominal !== null && (line.nominalMm ?? null) === null) cells.wrong("missing", "nominal mm");
  if (cells.has("measured mm")) line.measuredMm = size("measured mm");
  if (cells.has("count")) {
    const count = cells.number("count", true) ?? 0;
    if (count < 0) cells.wrong("negative-count", "count", { text: String(count) });
    if (count > mostPieces) cells.wrong("too-large", "count");
    line.count = count;
  }
  if (cells.has("place")) line.place = cells.text("place", 80);
  if (cells.has("price")) {
    line.price = cells.number("price");
    if (line.price !== null && line.price < 0) cells.wrong("too-small", "price");
  }
  if (cells.has("no longer made")) line.gone = cells.yes("no longer made");
  const known: Figures = {};
  for (const { key, is } of everyFigure) {
    const column = columnOf(key);
    if (cells.text(column) === "") continue;
    if (!figures.some((figure) => figure.key === key)) cells.wrong("not-of-this-kind", column);
    const value =
      is === "text"
        ? cells.text(column, 80)
        : key.endsWith("Mm")
          ? cells.length(column)
          : cells.number(column, is === "whole");
    if (value !== null) known[key] = value;
  }
  if (everyFigure.some(({ key }) => cells.has(columnOf(key)))) line.figures = known;
  return cells.done(line);
}
