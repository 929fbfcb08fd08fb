import type { ShaftQuestion } from "../stacks";
import { type PlaneWanted, planeOnPart } from "./plane-wanted";
import type { Shaft } from "./schema";

type Widths = ReadonlyMap<string, { mm: number; expandedUncertaintyMm: number | null }>;

/**
 * What the planner is asked of a shaft: its length and widths as read, the planes whose place is known, the spacers at hand. A plane
 * is aimed inside its tolerance by what it is known to, but into its inner half at most, so that what is laid in can be proven.
 *
 * @param widths of each part, by its id
 */
export const shaftQuestion = (
  { parts, endFloat }: Pick<Shaft, "parts" | "endFloat">,
  lengthMm: number,
  widths: Widths,
  wanted: readonly PlaneWanted[],
  spacers: ShaftQuestion["spacers"],
): ShaftQuestion => ({
  lengthMm,
  items: parts.map((part) => {
    const widthMm = widths.get(part.id)?.mm ?? part.widthMm ?? 0;
    const before = parts.slice(0, parts.indexOf(part)).map(({ id }) => widths.get(id)?.expandedUncertaintyMm ?? 0);
    const tolerance = part.plane?.toleranceMm ?? 0;
    const at = wanted.find(({ partId }) => partId === part.id)?.fromFaceMm ?? undefined;
    return {
      id: part.id,
      widthMm,
      planeAtMm: at,
      planeMm: planeOnPart(part, widthMm),
      toleranceMm: Math.max(tolerance / 2, tolerance - Math.hypot(...before)),
    };
  }),
  spacers,
  endFloat,
});
