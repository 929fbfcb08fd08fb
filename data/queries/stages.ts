import type { Adjuster } from "../../core/advice";
import type { PairGeometry } from "../../core/gears";
import { type Database, many, none, type Row, sql } from "../postgres";

/** Clamp screws where they are, mm from the middle of the moving part; numbered from 1 in this order. */
export type ClampPattern = {
  points: { x: number; y: number }[];
  size: string;
  torqueNm: number;
  passes: number;
  compound: boolean;
};

export type Geometry = { id: string; revision: number; pair: PairGeometry; clamps: ClampPattern };
export type StageAdjuster = {
  id: string;
  revision: number;
  name: string;
  adjuster: Adjuster;
  /** The smallest amount a hand can set, in the adjuster's unit. */
  step: number;
  positiveWord: string;
  negativeWord: string;
};
export type StageLimits = {
  id: string;
  revision: number;
  quantity: "circumferential-backlash";
  loMm: number;
  aimMm: number | null;
  hiMm: number;
  sourceKind: string;
  source: string;
  effectiveFrom: string;
};

export type Stage = {
  id: string;
  machineId: string;
  position: number;
  name: string;
  kind: "gear-pair";
  geometry: Geometry;
  adjuster: StageAdjuster;
  limits: StageLimits;
};

/** Stages with their present revisions, in drive-line order. */
export const stagesOfMachines = (db: Database, machineIds: readonly string[]) =>
  many(
    db,
    sql`
      select s.id, s.machine_id, s.position, s.name, s.kind,
        g.id as geometry_id, g.revision as geometry_revision, g.pair, g.clamps,
        a.id as adjuster_id, a.revision as adjuster_revision, a.name as adjuster_name, a.adjuster, a.step,
        a.positive_word, a.negative_word,
        l.id as limits_id, l.revision as limits_revision, l.quantity, l.lo_mm, l.aim_mm, l.hi_mm, l.source_kind, l.source,
        l.effective_from
      from stage s
      join lateral (select * from stage_geometry where stage_id = s.id order by revision desc limit 1) g on true
      join lateral (select * from stage_adjuster where stage_id = s.id order by revision desc limit 1) a on true
      join lateral (select * from stage_limits where stage_id = s.id order by revision desc limit 1) l on true
      where s.machine_id = any(${machineIds})
      order by s.machine_id, s.position`,
    toStage,
  );

const toStage = (row: Row): Stage => ({
  id: row.id,
  machineId: row.machine_id,
  position: row.position,
  name: row.name,
  kind: row.kind,
  geometry: { id: row.geometry_id, revision: row.geometry_revision, pair: row.pair, clamps: row.clamps },
  adjuster: {
    id: row.adjuster_id,
    revision: row.adjuster_revision,
    name: row.adjuster_name,
    adjuster: row.adjuster,
    step: row.step,
    positiveWord: row.positive_word,
    negativeWord: row.negative_word,
  },
  limits: {
    id: row.limits_id,
    revision: row.limits_revision,
    quantity: row.quantity,
    loMm: row.lo_mm,
    aimMm: row.aim_mm,
    hiMm: row.hi_mm,
    sourceKind: row.source_kind,
    source: row.source,
    effectiveFrom: row.effective_from.toISOString(),
  },
});

export const insertStage = (
  db: Database,
  s: { id: string; machineId: string; position: number; name: string; at: Date },
) => none(db, sql`insert into stage values (${s.id}, ${s.machineId}, ${s.position}, ${s.name}, 'gear-pair', ${s.at})`);

type Revision = { stageId: string; madeBy: string; from: Date };

export const insertGeometry = (db: Database, { stageId, madeBy, from }: Revision, g: Geometry) =>
  none(
    db,
    sql`insert into stage_geometry values (${g.id}, ${stageId}, ${g.revision}, ${JSON.stringify(g.pair)}, ${JSON.stringify(g.clamps)}, ${madeBy}, ${from})`,
  );

export const insertAdjuster = (db: Database, { stageId, madeBy, from }: Revision, a: StageAdjuster) =>
  none(
    db,
    sql`insert into stage_adjuster values (${a.id}, ${stageId}, ${a.revision}, ${a.name}, ${JSON.stringify(a.adjuster)}, ${a.step}, ${a.positiveWord}, ${a.negativeWord}, ${madeBy}, ${from})`,
  );

export const insertLimits = (
  db: Database,
  { stageId, madeBy, from }: Revision,
  l: Omit<StageLimits, "effectiveFrom">,
) =>
  none(
    db,
    sql`insert into stage_limits values (${l.id}, ${stageId}, ${l.revision}, ${l.quantity}, ${l.loMm}, ${l.aimMm}, ${l.hiMm}, ${l.sourceKind}, ${l.source}, ${madeBy}, ${from})`,
  );
