import type { Result } from "../quantity";
import type { GuidePart } from "./schema";
import { type StripOrder, stripOrder } from "./strip-order";

export const screwsOf = ({ screws }: Pick<GuidePart, "screws">): number =>
  screws.reduce((sum, { count }) => sum + count, 0);

/**
 * The order of a guide's parts, and what must come off before one of them.
 *
 * @param part id of the one that is to be reached
 * @returns as `stripOrder`
 */
export const guideOrder = (parts: readonly GuidePart[], part?: string): Result<StripOrder> =>
  stripOrder(
    parts.map((one) => ({ id: one.id, after: one.after, hides: one.hides, screws: screwsOf(one) })),
    part,
  );
