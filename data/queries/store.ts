import type { StoreItem } from "../../core/records";
import { figuresSchema } from "../../core/records/store-item";
import type { StoreKind } from "../../core/stores";
import { containing, type Database, many, maybeOne, none, one, type Row, sql, stored } from "../postgres";

export type Movement = {
  id: string;
  change: number;
  countAfter: number;
  why: string;
  madeByName: string;
  madeAt: string;
  /** The job and machine of the entry that it was used by. */
  jobId: string | null;
  machineName: string | null;
};

const columns = sql`id, kind, name, nominal_mm, measured_mm, figures, count, place, price, gone`;

const toItem = (row: Row): StoreItem => ({
  id: row.id,
  kind: row.kind,
  name: row.name,
  nominalMm: row.nominal_mm,
  measuredMm: row.measured_mm,
  figures: stored(figuresSchema, row.figures, `figures of store item ${row.id}`),
  count: row.count,
  place: row.place,
  price: row.price,
  gone: row.gone,
});

/** How many are of each kind, and how many pieces. */
export const countsOfStore = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select kind, count(*) as items, coalesce(sum(count), 0)::bigint as pieces from store_item
        where workshop_id = ${workshopId} group by kind`,
    (row) => ({ kind: row.kind as StoreKind, items: row.items as number, pieces: row.pieces as number }),
  );

/** Items of a kind by size, or found by words in name and place; a page after the last one seen. */
export const itemsOfStore = (
  db: Database,
  workshopId: string,
  find: { kind: StoreKind; words: string; after: { nominalMm: number | null; id: string } | null; limit: number },
) =>
  many(
    db,
    sql`select ${columns} from store_item
        where workshop_id = ${workshopId} and kind = ${find.kind}
          and (name ilike ${containing(find.words)} or place ilike ${containing(find.words)})
          ${find.after ? sql`and (coalesce(nominal_mm, 0), id) > (${find.after.nominalMm ?? 0}, ${find.after.id})` : sql``}
        order by coalesce(nominal_mm, 0), id limit ${find.limit}`,
    toItem,
  );

/** Items of some kinds by size, as many of each as of all. */
export const itemsOfKinds = (db: Database, workshopId: string, kinds: readonly StoreKind[], limit: number) =>
  many(
    db,
    sql`select ${columns} from unnest(${kinds}::text[]) wanted cross join lateral (
          select * from store_item where workshop_id = ${workshopId} and kind = wanted
          order by coalesce(nominal_mm, 0), id limit ${limit}) item
        order by kind, coalesce(nominal_mm, 0), id limit ${limit}`,
    toItem,
  );

export const everyItem = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select ${columns} from store_item where workshop_id = ${workshopId} order by kind, coalesce(nominal_mm, 0), id`,
    toItem,
  );

export const itemById = (db: Database, workshopId: string, id: string) =>
  maybeOne(db, sql`select ${columns} from store_item where id = ${id} and workshop_id = ${workshopId}`, toItem);

/** Locked until the transaction ends, in the order of their ids, so that two takings never wait for each other. */
export const lockItems = (db: Database, workshopId: string, ids: readonly string[]) =>
  many(
    db,
    sql`select ${columns} from store_item where id = any(${ids}) and workshop_id = ${workshopId} order by id for update`,
    toItem,
  );

export const itemNamed = (db: Database, workshopId: string, kind: StoreKind, name: string) =>
  maybeOne(
    db,
    sql`select ${columns} from store_item
        where workshop_id = ${workshopId} and kind = ${kind} and lower(name) = lower(${name})`,
    toItem,
  );

export const insertItem = (db: Database, workshopId: string, i: StoreItem, at: Date) =>
  none(
    db,
    sql`insert into store_item (id, workshop_id, kind, name, nominal_mm, measured_mm, figures, count, place, price, gone, created_at)
        values (${i.id}, ${workshopId}, ${i.kind}, ${i.name}, ${i.nominalMm}, ${i.measuredMm},
          ${JSON.stringify(i.figures)}, ${i.count}, ${i.place}, ${i.price}, ${i.gone}, ${at})`,
  );

export const updateItem = (db: Database, i: Omit<StoreItem, "count">) =>
  none(
    db,
    sql`update store_item set kind = ${i.kind}, name = ${i.name}, nominal_mm = ${i.nominalMm},
          measured_mm = ${i.measuredMm}, figures = ${JSON.stringify(i.figures)}, place = ${i.place}, price = ${i.price},
          gone = ${i.gone}
        where id = ${i.id}`,
  );

export type NewMovement = {
  id: string;
  itemId: string;
  change: number;
  why: string;
  entryId: string | null;
  madeBy: string;
  at: Date;
};

/** Changes the count and keeps why; the item has to be locked, and what is taken to be there. */
export async function insertMovement(db: Database, m: NewMovement): Promise<number> {
  const count = await one(
    db,
    sql`update store_item set count = count + ${m.change} where id = ${m.itemId} returning count`,
    (row) => row.count as number,
  );
  await none(
    db,
    sql`insert into store_movement (id, item_id, change, count_after, why, entry_id, made_by, made_at)
        values (${m.id}, ${m.itemId}, ${m.change}, ${count}, ${m.why}, ${m.entryId},
          ${m.madeBy}, ${m.at})`,
  );
  return count;
}

export const movementKnown = (db: Database, id: string) =>
  one(db, sql`select exists(select 1 from store_movement where id = ${id}) as known`, (row) => row.known as boolean);

export const movementsOfItem = (db: Database, itemId: string, limit: number) =>
  many(
    db,
    sql`select m.id, m.change, m.count_after, m.why, m.made_at, p.name as made_by_name, e.job_id, x.name as machine_name
        from store_movement m join person p on p.id = m.made_by
          left join entry e on e.id = m.entry_id left join machine x on x.id = e.machine_id
        where m.item_id = ${itemId} order by m.made_at desc, m.id desc limit ${limit}`,
    (row): Movement => ({
      id: row.id,
      change: row.change,
      countAfter: row.count_after,
      why: row.why,
      madeByName: row.made_by_name,
      madeAt: row.made_at.toISOString(),
      jobId: row.job_id,
      machineName: row.machine_name,
    }),
  );

/** Many at once, as an import brings them. */
const manyItems = (items: readonly StoreItem[]) => {
  const of = <T>(pick: (item: StoreItem) => T) => items.map(pick);
  return sql`unnest(${of((i) => i.id)}::uuid[], ${of((i) => i.kind)}::text[], ${of((i) => i.name)}::text[],
      ${of((i) => i.nominalMm)}::float8[], ${of((i) => i.measuredMm)}::float8[],
      ${of((i) => JSON.stringify(i.figures))}::jsonb[], ${of((i) => i.count)}::int[], ${of((i) => i.place)}::text[],
      ${of((i) => i.price)}::float8[], ${of((i) => i.gone)}::boolean[])
      as t (id, kind, name, nominal_mm, measured_mm, figures, count, place, price, gone)`;
};

export const insertItems = (db: Database, workshopId: string, items: readonly StoreItem[], at: Date) =>
  none(
    db,
    sql`insert into store_item
        select id, ${workshopId}, kind, name, nominal_mm, measured_mm, figures, count, place, price, gone, ${at}
        from ${manyItems(items)}`,
  );

/** Everything but the kind, counts too: the items have to be locked. */
export const updateItems = (db: Database, items: readonly StoreItem[]) =>
  none(
    db,
    sql`update store_item s set name = t.name, nominal_mm = t.nominal_mm, measured_mm = t.measured_mm,
          figures = t.figures, count = t.count, place = t.place, price = t.price, gone = t.gone
        from ${manyItems(items)} where s.id = t.id`,
  );

/** What changed the counts of many; those that did not change leave none. */
export const insertMovements = (
  db: Database,
  movements: readonly { id: string; itemId: string; change: number; count: number }[],
  by: { why: string; madeBy: string; at: Date },
) => {
  const counted = movements.filter(({ change }) => change !== 0);
  return none(
    db,
    sql`insert into store_movement
        select id, item_id, change, count, ${by.why}, null, ${by.madeBy}, ${by.at}
        from unnest(${counted.map((m) => m.id)}::uuid[], ${counted.map((m) => m.itemId)}::uuid[],
          ${counted.map((m) => m.change)}::int[], ${counted.map((m) => m.count)}::int[])
          as t (id, item_id, change, count)`,
  );
};
