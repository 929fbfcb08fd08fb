import { v5 } from "uuid";
import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import type { StoreItem } from "../core/records";
import * as ids from "../core/records/ids";
import { itemFields } from "../core/records/store-item";
import { type Database, transaction } from "../data/postgres";
import { insertItem, insertMovement, itemNamed, lockItems, movementKnown, updateItem } from "../data/queries/store";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text } from "./input";
import type { Takings } from "./takings";

export const mostPieces = 1_000_000;

const keepInput = z.intersection(
  z.object({ id: ids.storeItemId, movementId: id, count: z.int().gte(0).lte(mostPieces).nullable().default(null) }),
  itemFields,
);

/**
 * Enters something into the stores, or changes what is known of it. A count that is given is what was counted just now; the difference
 * is logged. Only leads may.
 */
export async function keepItem({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { movementId, count, ...item } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const [before] = await lockItems(db, person.workshopId, [item.id]);
    const named = await itemNamed(db, person.workshopId, item.kind, item.name);
    if (named && named.id !== item.id) return refuse("item-name-taken", ["name"], { name: named.name });
    if (before) await updateItem(db, item);
    else await insertItem(db, person.workshopId, { ...item, count: 0 }, now);
    const change = (count ?? before?.count ?? 0) - (before?.count ?? 0);
    if (change !== 0 && !(await movementKnown(db, movementId)))
      await insertMovement(db, {
        id: movementId,
        itemId: item.id,
        change,
        why: before ? "Counted" : "Entered",
        entryId: null,
        madeBy: person.id,
        at: now,
      });
    return accept({ id: item.id });
  });
}

const moveInput = z.object({
  id,
  itemId: ids.storeItemId,
  change: z
    .int()
    .gte(-mostPieces)
    .lte(mostPieces)
    .refine((value) => value !== 0, { params: { code: "no-pieces" } }),
  why: text(200).trim().default(""),
});

/** Takes pieces out of a drawer (negative), or puts them back. Of two who take the last one, one gets it. */
export async function moveStock({ pool, person, now }: Context, input: unknown): Promise<Result<StoreItem>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(moveInput, input);
  if (!checked.ok) return checked;
  const { id: movement, itemId, change, why } = checked.value;
  return transaction(pool, async (db): Promise<Result<StoreItem>> => {
    const [item] = await lockItems(db, person.workshopId, [itemId]);
    if (!item) return refuse("no-such-item", ["itemId"]);
    if (await movementKnown(db, movement)) return accept(item);
    const there = enough(item, change, "change");
    if (!there.ok) return there;
    const kept = { id: movement, itemId, change, why, entryId: null, madeBy: person.id, at: now };
    return accept({ ...item, count: await insertMovement(db, kept) });
  });
}

function enough(item: StoreItem, change: number, field: string): Result<true> {
  if (item.count + change < 0) return refuse("none-left", [field], { name: item.name, count: item.count });
  if (item.count + change > mostPieces) return refuse("too-large", [field], { most: mostPieces });
  return accept(true);
}

/** Locks what an entry takes and puts back, and looks whether it is there; nothing is changed yet. */
export async function reserve(db: Database, workshopId: string, wanted: Takings): Promise<Result<StoreItem[]>> {
  if (wanted.length === 0) return accept([]);
  const items = await lockItems(
    db,
    workshopId,
    wanted.map(({ itemId }) => itemId),
  );
  for (const { itemId, change } of wanted) {
    const item = items.find((one) => one.id === itemId);
    if (!item) return refuse("no-such-item", ["stock"]);
    const there = enough(item, change, "stock");
    if (!there.ok) return there;
  }
  return accept(items);
}

/** Takes what was reserved, for the entry that used it. */
export async function takeReserved(
  db: Database,
  wanted: Takings,
  by: { entryId: string; why: string; madeBy: string; at: Date },
): Promise<void> {
  for (const { itemId, change } of wanted)
    if (change !== 0) await insertMovement(db, { ...by, id: v5(itemId, by.entryId), itemId, change });
}
