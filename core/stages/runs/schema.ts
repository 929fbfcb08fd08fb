import * as z from "zod";
import { length } from "../../schemas";

const place = z.number().gte(-1e6).lte(1e6);

/**
 * A roller or idler in a belt's or chain's path. The driver stands at (0, 0), the driven pulley at (centre distance, 0), y upwards; the
 * belt runs counter-clockwise: from the driver along the lower strand.
 */
const idler = z.object({
  x: place,
  y: place,
  /** Where the belt's pitch line runs on it. */
  diameterMm: length,
  side: z.enum(["inside", "outside"]),
  /** On which it lies, in running order. */
  strand: z.enum(["lower", "upper"]),
});
export type Idler = z.output<typeof idler>;

/** What the adjuster moves: the centres, or an idler by its number from 0. */
const moved = z.union([z.literal("centres"), z.number().int().gte(0).lte(11)]);
export type Moved = z.output<typeof moved>;

export const runShape = {
  centreDistanceMm: length,
  idlers: z.array(idler).max(12).readonly().default([]),
  moved: moved.default("centres"),
};

export const beltShape = {
  ...runShape,
  /** Of one belt; null: not known, and then no frequency tells its tension. */
  massKgPerM: z.number().gt(0).lte(1000).nullable(),
  /** Taken from the class of belt; left out: somebody weighed it or had it from its maker. */
  massFrom: z.literal("class").optional(),
  /** EA, N per unit of strain of one belt; null where nobody knows. */
  stiffnessN: z.number().gt(0).lte(1e9).nullable().default(null),
  /** EI, N·mm². */
  bendingStiffnessNMm2: z.number().gte(0).lte(1e9).default(0),
};

/** An idler that is moved has to be one of them. */
export function movesWhatIsThere(
  { moved: what, idlers }: { moved: Moved; idlers: readonly Idler[] },
  context: z.RefinementCtx,
): void {
  if (what !== "centres" && what >= idlers.length)
    context.addIssue({ code: "custom", params: { code: "no-such-idler" }, path: ["moved"] });
}
