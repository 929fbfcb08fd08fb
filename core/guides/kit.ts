import type { GuidePart, ScrewSet } from "./schema";

/** Something in a drawer by its size. */
export type KitStock = { name: string; place: string; sizeMm: number; count: number };

export type KitScrews = {
  size: string;
  lengthMm: number | null;
  count: number;
  washers: number;
  torqueNm: number | null;
};
export type KitSpacer = {
  widthMm: number;
  count: number;
  /** Where they lie, and how many of them; null: no drawer has this size. */
  from: { name: string; place: string; count: number } | null;
  /** How many the drawers lack. */
  lacking: number;
};
export type Kit = {
  tools: string[];
  /** Torques to be set, Nm, each once. */
  torquesNm: number[];
  compound: boolean;
  screws: KitScrews[];
  spacers: KitSpacer[];
  /** The heaviest part, kg; null: none was weighed. */
  heaviest: { name: string; massKg: number } | null;
};

/** A spacer of the drawer is one of this width within so much: a caliper tells no more. */
const sameMm = 0.01;

/**
 * What to lay out for a job on some parts of a guide: tools as they were written, torques to set, compound, screws and washers by size, spacers with
 * what the drawers have of them.
 *
 * @param parts those that come off
 */
export function kitOf(
  parts: readonly GuidePart[],
  stock: readonly KitStock[],
  torqueOf: (set: ScrewSet) => number | null = ({ torqueNm }) => torqueNm,
): Kit {
  const all = parts.flatMap(({ screws }) => screws);
  const screws: KitScrews[] = [];
  for (const { size, lengthMm, count, washers, torqueNm } of all) {
    const same = screws.find((set) => set.size === size && set.lengthMm === lengthMm && set.torqueNm === torqueNm);
    if (same) {
      same.count += count;
      same.washers += washers;
    } else screws.push({ size, lengthMm, count, washers, torqueNm });
  }
  const spacers: KitSpacer[] = [];
  for (const { widthMm, count } of parts.flatMap(({ spacers: own }) => own)) {
    const same = spacers.find((spacer) => Math.abs(spacer.widthMm - widthMm) < 0.0005);
    if (same) same.count += count;
    else spacers.push({ widthMm, count, from: null, lacking: 0 });
  }
  for (const spacer of spacers) {
    const [nearest] = stock
      .filter(({ sizeMm }) => Math.abs(sizeMm - spacer.widthMm) <= sameMm)
      .sort(
        (a, b) =>
          Number(b.count > 0) - Number(a.count > 0) ||
          Math.abs(a.sizeMm - spacer.widthMm) - Math.abs(b.sizeMm - spacer.widthMm),
      );
    spacer.from = nearest ? { name: nearest.name, place: nearest.place, count: nearest.count } : null;
    spacer.lacking = Math.max(0, spacer.count - (nearest?.count ?? 0));
  }
  const weighed = parts.flatMap(({ name, massKg }) => (massKg === null ? [] : [{ name, massKg }]));
  return {
    tools: [
      ...new Set(
        parts.flatMap(({ tools }) =>
          tools
            .split(/[,;]/)
            .map((tool) => tool.trim())
            .filter((tool) => tool !== ""),
        ),
      ),
    ],
    torquesNm: [...new Set(all.flatMap((set) => torqueOf(set) ?? []))].sort((a, b) => a - b),
    compound: all.some(({ compound }) => compound),
    screws,
    spacers,
    heaviest: weighed.reduce<Kit["heaviest"]>((most, one) => (most && most.massKg >= one.massKg ? most : one), null),
  };
}
