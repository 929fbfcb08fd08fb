import { openPointsOf } from "~/data/queries/open-points";
import { itemsOfKinds } from "~/data/queries/store";
import type { Context } from "~/operations/context";
import { loadGuide } from "./load-guide.server";

const mostStock = 2000;

/** A guide with what the drawers have for it, and what was found wanting on its machine. */
export async function loadKitList(asked: Context, guideId: string) {
  const { guide, machine } = await loadGuide(asked, guideId);
  const [items, points] = await Promise.all([
    itemsOfKinds(asked.pool, asked.person.workshopId, ["shim", "spacer"], mostStock),
    openPointsOf(asked.pool, [machine.id]),
  ]);
  return {
    guide,
    machine,
    stock: items.flatMap(({ name, place, measuredMm, nominalMm, count }) => {
      const sizeMm = measuredMm ?? nominalMm;
      return sizeMm === null ? [] : [{ name, place, sizeMm, count }];
    }),
    orders: points.filter(({ code }) => code === "order").map(({ id, text }) => ({ id, text })),
  };
}
