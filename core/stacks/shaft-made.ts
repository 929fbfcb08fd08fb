import { accept, type Result } from "../quantity";
import { micrometres, millimetres } from "./micrometres";
import { type ShaftAnswer, type ShaftItem, type ShaftOrder, type ShaftQuestion, shaftStack } from "./shaft-stack";

/** A shaft that goes together with one spacer made for it: behind which part it stands ("left-face": before all), and how wide it is. */
export type MadeAnswer = ShaftAnswer & { made: { after: string; widthMm: number } };

/** Thinner is no spacer that anybody makes, but a shim (common practice). */
const thinnest = 500;

/**
 * The shaft with one spacer of a free width in one gap, the other gaps filled from the drawer. It stands directly before the next part
 * whose plane must stand somewhere and puts that plane exactly where it belongs; with none behind it, it leaves the middle of the
 * window of the end float. What stands left of it takes from the drawer first, what stands right of it from the rest.
 *
 * @param gap which of the n + 1 gaps, 0 at the left face
 * @returns null where that gap leaves no room for one of at least 0.5 mm; refused as `shaftStack` refuses
 */
export function shaftWithMade(
  question: ShaftQuestion,
  gap: number,
  order: ShaftOrder = "nearest",
): Result<MadeAnswer | null> {
  const { items, lengthMm, endFloat } = question;
  const next = items.findIndex((item, i) => i >= gap && item.planeAtMm !== undefined);
  const lastLeft = items.findLastIndex((item, i) => i < gap && item.planeAtMm !== undefined);
  // Long, so that nothing is laid behind its last plane.
  const left = shaftStack(
    {
      ...question,
      items: items.slice(0, lastLeft + 1),
      endFloat: { loMm: 0, hiMm: 2 * lengthMm },
    },
    order,
  );
  if (!left.ok) return left;
  const leftUm = sum(left.value.gaps.slice(0, -1).map(({ totalMm }) => micrometres(totalMm)));
  const widths = items.map(({ widthMm }) => micrometres(widthMm));
  const aimed = next < 0 ? null : (items[next] as ShaftItem);
  const room = aimed
    ? micrometres(aimed.planeAtMm as number) - micrometres(aimed.planeMm) - sum(widths.slice(0, next))
    : micrometres(lengthMm) - sum(widths) - Math.round((micrometres(endFloat.loMm) + micrometres(endFloat.hiMm)) / 2);
  const madeUm = room - leftUm;
  if (madeUm < thinnest) return accept(null);
  const upTo = aimed ? leftUm + madeUm + sum(widths.slice(0, next + 1)) : 0;
  const right = aimed
    ? shaftStack(
        {
          lengthMm: millimetres(Math.max(0, micrometres(lengthMm) - upTo)),
          items: items.slice(next + 1).map((item) => ({
            ...item,
            planeAtMm: item.planeAtMm === undefined ? undefined : millimetres(micrometres(item.planeAtMm) - upTo),
          })),
          spacers: without(question.spacers, left.value),
          endFloat,
        },
        order,
      )
    : null;
  if (right && !right.ok) return right;
  const gaps = ["left-face", ...items.map(({ id }) => id)].map((after, i) => {
    const own = i <= lastLeft ? left.value.gaps[i] : aimed && i > next ? right?.value.gaps[i - next - 1] : undefined;
    return { after, spacers: own?.spacers ?? [], totalMm: own?.totalMm ?? 0 };
  });
  const endFloatMm = right
    ? right.value.endFloatMm
    : millimetres(micrometres(lengthMm) - sum(widths) - leftUm - madeUm);
  const planes = [
    ...left.value.planes,
    ...(aimed ? [{ id: aimed.id, atMm: aimed.planeAtMm as number, errorMm: 0 }] : []),
    ...(right?.value.planes ?? []).map((plane) => ({
      ...plane,
      atMm: millimetres(micrometres(plane.atMm) + upTo),
    })),
  ];
  return accept({
    feasible: left.value.feasible && (right?.value.feasible ?? true),
    gaps,
    planes,
    endFloatMm,
    made: { after: gaps[gap]?.after ?? "left-face", widthMm: millimetres(madeUm) },
  });
}

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** What the drawer has left when an answer has taken its pieces. */
const without = (spacers: ShaftQuestion["spacers"], { gaps }: ShaftAnswer): ShaftQuestion["spacers"] => {
  const taken = new Map<number, number>();
  for (const { widthMm, count } of gaps.flatMap((gap) => gap.spacers))
    taken.set(micrometres(widthMm), (taken.get(micrometres(widthMm)) ?? 0) + count);
  return spacers.map(({ widthMm, count }) => {
    const um = micrometres(widthMm);
    const less = Math.min(count, taken.get(um) ?? 0);
    taken.set(um, (taken.get(um) ?? 0) - less);
    return { widthMm, count: count - less };
  });
};
