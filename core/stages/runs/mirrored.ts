import type { Idler } from "./schema";

/** Idlers of a mirror image: they swap strands. */
export const mirroredIdlers = (idlers: readonly Idler[]): Idler[] =>
  idlers.map((idler) => ({
    ...idler,
    y: idler.y === 0 ? 0 : -idler.y,
    strand: idler.strand === "lower" ? "upper" : "lower",
  }));
