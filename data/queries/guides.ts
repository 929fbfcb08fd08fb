import type { Guide } from "../../core/guides";
import { guideRevision } from "../../core/guides/schema";
import { type Database, many, maybeOne, none, type Row, type Statement, sql, stored } from "../postgres";

export type KeptGuide = Guide & { madeBy: string; madeByName: string; madeAt: string };

const toGuide = (row: Row): KeptGuide => ({
  ...stored(
    guideRevision,
    {
      id: row.id,
      guideId: row.guide_id,
      machineId: row.machine_id,
      stageId: row.stage_id,
      name: row.name,
      revision: row.revision,
      parts: row.parts,
    },
    `guide ${row.id}`,
  ),
  madeBy: row.made_by,
  madeByName: row.made_by_name,
  madeAt: row.made_at.toISOString(),
});

const guides = (db: Database, which: Statement) =>
  many(
    db,
    sql`select g.*, p.name as made_by_name from guide_revision g join person p on p.id = g.made_by ${which}`,
    toGuide,
  );

/** The newest revision of each guide of a machine, by name. */
export const guidesOfMachine = (db: Database, machineId: string) =>
  guides(
    db,
    sql`where g.machine_id = ${machineId}
          and g.revision = (select max(n.revision) from guide_revision n where n.guide_id = g.guide_id)
        order by lower(g.name), g.guide_id limit 60`,
  );

/** The newest revision of a guide, if it is of this workshop. */
export const guideById = async (db: Database, workshopId: string, guideId: string): Promise<KeptGuide | null> =>
  (
    await guides(
      db,
      sql`join machine m on m.id = g.machine_id where g.guide_id = ${guideId} and m.workshop_id = ${workshopId}
          order by g.revision desc limit 1`,
    )
  )[0] ?? null;

export type GuideRevision = { id: string; revision: number; madeByName: string; madeAt: string; parts: number };

/** Its revisions, newest first. */
export const revisionsOfGuide = (db: Database, guideId: string) =>
  many(
    db,
    sql`select g.id, g.revision, g.made_at, p.name as made_by_name, jsonb_array_length(g.parts) as parts
        from guide_revision g join person p on p.id = g.made_by where g.guide_id = ${guideId} order by g.revision desc limit 60`,
    (row): GuideRevision => ({
      id: row.id,
      revision: row.revision,
      madeByName: row.made_by_name,
      madeAt: row.made_at.toISOString(),
      parts: row.parts,
    }),
  );

/** A revision as an entry names it, by its machine. */
export const guideRevisionOf = (db: Database, machineId: string, revisionId: string) =>
  maybeOne(
    db,
    sql`select name, revision from guide_revision where id = ${revisionId} and machine_id = ${machineId}`,
    (row) => ({ revisionId, name: row.name as string, revision: row.revision as number }),
  );

export const insertGuide = (db: Database, g: Guide & { madeBy: string; at: Date }) =>
  none(
    db,
    sql`insert into guide_revision (id, guide_id, machine_id, stage_id, name, revision, parts, made_by, made_at)
        values (${g.id}, ${g.guideId}, ${g.machineId}, ${g.stageId}, ${g.name}, ${g.revision}, ${JSON.stringify(g.parts)}, ${g.madeBy}, ${g.at})`,
  );
