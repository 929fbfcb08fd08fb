import { type Database, many, none, sql } from "../postgres";

/** A pair as it stood beside the others when it was kept, and why. */
export type KeptOption = {
  id: string;
  option: {
    names: string[];
    teeth: number[];
    centreDistanceMm: number;
    ratio: number;
    backlashMm: number;
    contactRatio: number;
    /** Not in what was kept before it was told apart. */
    usableContactRatio?: number | undefined;
    price: number | null;
  };
  reason: string;
  madeByName: string;
  madeAt: string;
};

export const optionsOfStage = (db: Database, stageId: string) =>
  many(
    db,
    sql`select o.id, o.option, o.reason, o.made_at, p.name from swap_option o join person p on p.id = o.made_by
        where o.stage_id = ${stageId} order by o.made_at limit 60`,
    (row): KeptOption => ({
      id: row.id,
      option: row.option,
      reason: row.reason,
      madeByName: row.name,
      madeAt: row.made_at.toISOString(),
    }),
  );

export const insertOption = (
  db: Database,
  o: { id: string; stageId: string; option: KeptOption["option"]; reason: string; madeBy: string; at: Date },
) =>
  none(
    db,
    sql`insert into swap_option (id, stage_id, option, reason, made_by, made_at)
        values (${o.id}, ${o.stageId}, ${JSON.stringify(o.option)}, ${o.reason}, ${o.madeBy}, ${o.at})
        on conflict (id) do nothing`,
  );

export const deleteOption = (db: Database, stageId: string, id: string) =>
  none(db, sql`delete from swap_option where id = ${id} and stage_id = ${stageId}`);
