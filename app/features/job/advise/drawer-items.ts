import { exchange, type Piece, type Pieces } from "~/core/advice";
import type { Stage, StoreItem } from "~/core/records";
import { micrometres } from "~/core/stacks";

/** What a drawer loses (below 0) or gets back by a move. */
export type Taking = { itemId: string; change: number };

/** Which kinds of pieces a stage is set with. */
export const itemsFor = (stage: Stage, stock: readonly StoreItem[]): StoreItem[] =>
  stock.filter(({ kind }) => (onlyShims(stage) ? kind === "shim" : true));

const onlyShims = ({ adjuster: { means } }: Stage): boolean => means !== "spacers" && means !== "stop";

/** As measured where somebody did. */
export const sizeOf = ({ measuredMm, nominalMm }: StoreItem): number => measuredMm ?? nominalMm ?? 0;
/** As the stacks count them, in whole micrometres: a shim of 2 thou and one that measures 0.051 are one size. */
export const sameSize = (a: number, b: number): boolean => micrometres(a) === micrometres(b);

/** Pieces that were said by their nominal size, as the drawer's are measured; those that it does not know stay as they were said. */
export const asMeasured = (pieces: Pieces, items: readonly StoreItem[]): Piece[] =>
  pieces.map(({ thicknessMm, count }) => {
    if (items.some((item) => sameSize(sizeOf(item), thicknessMm))) return { thicknessMm, count };
    const named = items.find(({ nominalMm }) => nominalMm !== null && sameSize(nominalMm, thicknessMm));
    return { thicknessMm: named ? sizeOf(named) : thicknessMm, count };
  });

export const stockOf = (items: readonly StoreItem[]) =>
  items.filter(({ count }) => count > 0).map((item) => ({ thicknessMm: sizeOf(item), count: item.count }));

/** What the drawers lose and get back; a piece that no drawer knows goes back into none. */
export function takingsOf(present: Pieces, stack: Pieces, items: readonly StoreItem[]): Taking[] {
  const { taken, returned } = exchange(present, stack);
  const change = new Map<string, number>();
  for (const { thicknessMm, count } of taken) {
    let left = count;
    for (const item of items.filter((one) => sameSize(sizeOf(one), thicknessMm))) {
      const here = Math.min(left, item.count);
      if (here > 0) change.set(item.id, -here);
      left -= here;
    }
  }
  for (const { thicknessMm, count } of returned) {
    const item = items.find((one) => sameSize(sizeOf(one), thicknessMm));
    if (item) change.set(item.id, (change.get(item.id) ?? 0) + count);
  }
  return [...change].map(([itemId, pieces]) => ({ itemId, change: pieces }));
}
