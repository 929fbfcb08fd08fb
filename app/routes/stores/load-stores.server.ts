import QRCode from "qrcode";
import { data } from "react-router";
import { isId } from "~/app/session/is-id";
import type { StoreKind } from "~/core/stores";
import { countsOfStore, itemById, itemsOfStore, movementsOfItem } from "~/data/queries/store";
import type { Context } from "~/operations/context";

const pageSize = 60;

export async function loadStores(
  { pool, person }: Context,
  find: { kind: StoreKind; words: string; after: { nominalMm: number | null; id: string } | null },
) {
  const [counts, found] = await Promise.all([
    countsOfStore(pool, person.workshopId),
    itemsOfStore(pool, person.workshopId, { ...find, limit: pageSize + 1 }),
  ]);
  const items = found.slice(0, pageSize);
  const last = items.at(-1);
  return {
    counts,
    items,
    more: found.length > pageSize && last ? `${last.nominalMm ?? ""} ${last.id}` : null,
    role: person.role,
  };
}

async function findItem({ pool, person }: Context, itemId: string) {
  const item = isId(itemId) ? await itemById(pool, person.workshopId, itemId) : null;
  if (!item) throw data({ code: "no-such-item" }, { status: 404 });
  return item;
}

export async function loadItem(asked: Context, itemId: string) {
  const item = await findItem(asked, itemId);
  const movements = await movementsOfItem(asked.pool, item.id, 100);
  const { role } = asked.person;
  return { item, movements, role };
}

/** Labels of one item, or of all of a kind that a page shows: each leads to its item. */
export async function loadLabels(asked: Context, itemId: string, origin: string) {
  const item = await findItem(asked, itemId);
  const address = `${origin}/stores/items/${item.id}`;
  const svg = await QRCode.toString(address, { type: "svg", errorCorrectionLevel: "Q", margin: 1 });
  return { item, address, svg };
}
