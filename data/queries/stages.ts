import { adjusterSchema } from "../../core/advice/schema";
import { limitsInWork } from "../../core/limits";
import type { Geometry, GivenLimits, SideLimits, Stage, StageAdjuster, StageLimits } from "../../core/records";
import { alsoMoves, clampPattern } from "../../core/records/stage";
import type { StageElement, StageKind } from "../../core/stages";
import { elementSchema } from "../../core/stages/schema";
import { type Database, many, maybeOne, none, one, type Row, type Statement, sql, storedOnce } from "../postgres";
import { toPlan } from "./proof-plans";

/** Stages with their present revisions, in drive-line order. */
const stagesWhere = (db: Database, condition: Statement, part: Statement = sql``) =>
  many(
    db,
    sql`
      select s.id, s.machine_id, s.position, s.name, s.kind, s.retired_at,
        g.id as geometry_id, g.revision as geometry_revision, g.element, g.clamps, g.arc_from_deg, g.arc_to_deg, g.turned_by, g.parts,
        a.id as adjuster_id, a.revision as adjuster_revision, a.name as adjuster_name, a.adjuster, a.step,
        a.positive_word, a.negative_word, a.hand, a.has_scale, a.seen_from, a.means, a.also_moves,
        l.id as limits_id, l.revision as limits_revision, l.quantity, l.held, l.lo, l.aim, l.hi, l.source_kind,
        l.source, l.effective_from, k.sides, w.plans
      from stage s
      join lateral (select * from stage_geometry where stage_id = s.id order by revision desc limit 1) g on true
      join lateral (select * from stage_adjuster where stage_id = s.id order by revision desc limit 1) a on true
      left join lateral (select * from stage_limits where stage_id = s.id order by revision desc limit 1) l on true
      join lateral (
        select coalesce(jsonb_agg(to_jsonb(one) order by one.quantity), '[]') as sides from (
          select distinct on (quantity) * from side_limits where stage_id = s.id order by quantity, revision desc) one
          where one.lo is not null or one.hi is not null) k on true
      -- Its own plan, and that of its machine.
      join lateral (
        select coalesce(jsonb_agg(to_jsonb(own) - 'made_by' - 'made_at' order by own.stage_id nulls last), '[]') as plans from (
          (select * from proof_plan_revision r where r.machine_id = s.machine_id and r.stage_id = s.id order by r.revision desc limit 1)
          union all
          (select * from proof_plan_revision r where r.machine_id = s.machine_id and r.stage_id is null order by r.revision desc limit 1)) own) w on true
      where ${condition}
      order by s.machine_id, s.position ${part}`,
    toStage,
  );

/** The stages in service of machines. */
export const stagesOfMachines = (db: Database, machineIds: readonly string[]) =>
  stagesWhere(db, sql`s.machine_id = any(${machineIds}) and s.retired_at is null`);

/** A part of a machine's stages in service, in drive-line order. */
export const someStagesOfMachine = (db: Database, machineId: string, skip: number, size: number) =>
  stagesWhere(db, sql`s.machine_id = ${machineId} and s.retired_at is null`, sql`limit ${size} offset ${skip}`);

export const countStages = (db: Database, machineId: string) =>
  one(
    db,
    sql`select count(*) as n from stage where machine_id = ${machineId} and retired_at is null`,
    (row) => row.n as number,
  );

/** Stages of a job, retired ones too: what was done on them stays. */
export const stagesById = (db: Database, ids: readonly string[]) => stagesWhere(db, sql`s.id = any(${ids})`);

export const stageById = async (db: Database, id: string): Promise<Stage | null> =>
  (await stagesById(db, [id]))[0] ?? null;

const toStage = (row: Row): Stage => ({
  id: row.id,
  machineId: row.machine_id,
  position: row.position,
  name: row.name,
  kind: row.kind,
  retiredAt: row.retired_at?.toISOString() ?? null,
  geometry: {
    id: row.geometry_id,
    revision: row.geometry_revision,
    element: toElement(row),
    clamps: readClamps(row.geometry_id, row.clamps),
    arcDeg: row.arc_from_deg === null ? null : [row.arc_from_deg, row.arc_to_deg],
    turnedBy: row.turned_by,
  },
  adjuster: {
    id: row.adjuster_id,
    revision: row.adjuster_revision,
    name: row.adjuster_name,
    adjuster: readAdjuster(row.adjuster_id, row.adjuster),
    means: row.means || null,
    alsoMoves: readAlsoMoves(row.adjuster_id, row.also_moves),
    step: row.step,
    positiveWord: row.positive_word,
    negativeWord: row.negative_word,
    hand: row.hand,
    hasScale: row.has_scale,
    seenFrom: row.seen_from,
  },
  limits: row.limits_id && {
    id: row.limits_id,
    revision: row.limits_revision,
    ...toLimits(row, toElement(row)),
    sourceKind: row.source_kind,
    source: row.source,
    effectiveFrom: row.effective_from.toISOString(),
  },
  sideLimits: row.sides.map(toSideLimits),
  plans: row.plans.map(toPlan),
});

const readElement = storedOnce(elementSchema, "the element of geometry");
const readClamps = storedOnce(clampPattern, "the clamps of geometry");
const readAdjuster = storedOnce(adjusterSchema.nullable(), "adjuster");
const readAlsoMoves = storedOnce(alsoMoves, "what else is moved by adjuster");

/** Revisions of the first release hold the bare pair. */
const toElement = (row: Row): StageElement =>
  readElement(
    row.geometry_id,
    row.element.kind ? row.element : { kind: "gear-pair", pair: row.element, parts: row.parts },
  );

function toLimits(row: Row, element: StageElement): Pick<StageLimits, "given" | "lo" | "aim" | "hi"> {
  const given: GivenLimits = { quantity: row.quantity, held: row.held, lo: row.lo, aim: row.aim, hi: row.hi };
  return { given, ...limitsInWork(element, given) };
}

const toSideLimits = (row: Row): SideLimits => ({
  id: row.id,
  revision: row.revision,
  quantity: row.quantity,
  lo: row.lo,
  hi: row.hi,
  sourceKind: row.source_kind,
  source: row.source,
  effectiveFrom: new Date(row.effective_from).toISOString(),
});

export const insertStage = (
  db: Database,
  s: { id: string; machineId: string; position: number; name: string; kind: StageKind; at: Date },
) =>
  none(
    db,
    sql`insert into stage (id, machine_id, position, name, kind, created_at)
      values (${s.id}, ${s.machineId}, ${s.position}, ${s.name}, ${s.kind}, ${s.at})`,
  );

export const renameStage = (db: Database, id: string, name: string) =>
  none(db, sql`update stage set name = ${name} where id = ${id}`);

export const retireStage = (db: Database, id: string, at: Date) =>
  none(db, sql`update stage set retired_at = ${at} where id = ${id}`);

/** The next free place in the drive line, retired stages included. */
export const nextPosition = (db: Database, machineId: string) =>
  one(
    db,
    sql`select coalesce(max(position) + 1, 0) as next from stage where machine_id = ${machineId}`,
    (row) => row.next as number,
  );

/** The machine of a stage in the workshop, or null. */
export const machineOfStage = (db: Database, workshopId: string, stageId: string) =>
  maybeOne(
    db,
    sql`select m.id from stage s join machine m on m.id = s.machine_id where s.id = ${stageId} and m.workshop_id = ${workshopId}`,
    (row) => row.id as string,
  );

type Revision = { stageId: string; madeBy: string; from: Date };

export const insertGeometry = (db: Database, { stageId, madeBy, from }: Revision, g: Geometry) =>
  none(
    db,
    sql`insert into stage_geometry (id, stage_id, revision, element, clamps, made_by, effective_from, arc_from_deg, arc_to_deg, turned_by)
        values (${g.id}, ${stageId}, ${g.revision}, ${JSON.stringify(g.element)}, ${JSON.stringify(g.clamps)}, ${madeBy}, ${from},
          ${g.arcDeg?.[0] ?? null}, ${g.arcDeg?.[1] ?? null}, ${g.turnedBy})`,
  );

export const insertAdjuster = (db: Database, { stageId, madeBy, from }: Revision, a: StageAdjuster) =>
  none(
    db,
    sql`insert into stage_adjuster (id, stage_id, revision, name, adjuster, step, positive_word, negative_word, made_by, effective_from,
          hand, has_scale, seen_from, means, also_moves)
        values (${a.id}, ${stageId}, ${a.revision}, ${a.name}, ${a.adjuster && JSON.stringify(a.adjuster)}, ${a.step}, ${a.positiveWord}, ${a.negativeWord}, ${madeBy}, ${from},
          ${a.hand}, ${a.hasScale}, ${a.seenFrom}, ${a.means ?? ""}, ${JSON.stringify(a.alsoMoves)})`,
  );

export const insertLimits = (
  db: Database,
  { stageId, madeBy, from }: Revision,
  l: Pick<StageLimits, "id" | "revision" | "given" | "sourceKind" | "source">,
) =>
  none(
    db,
    sql`insert into stage_limits (id, stage_id, revision, quantity, lo, aim, hi, source_kind, source, made_by, effective_from, held)
        values (${l.id}, ${stageId}, ${l.revision}, ${l.given.quantity}, ${l.given.lo}, ${l.given.aim}, ${l.given.hi}, ${l.sourceKind}, ${l.source}, ${madeBy}, ${from}, ${l.given.held})`,
  );

/** The next revision of them; without either end they are taken away. The machine has to be locked. */
export const insertSideLimits = (
  db: Database,
  { stageId, madeBy, from }: Revision,
  l: Omit<SideLimits, "effectiveFrom" | "revision">,
) =>
  none(
    db,
    sql`insert into side_limits (id, stage_id, quantity, revision, lo, hi, source_kind, source, made_by, effective_from)
        select ${l.id}, ${stageId}, ${l.quantity}, coalesce(max(revision), 0) + 1, ${l.lo}, ${l.hi},
          ${l.sourceKind}, ${l.source}, ${madeBy}, ${from}
        from side_limits where stage_id = ${stageId} and quantity = ${l.quantity}`,
  );

export type LimitsRevision = Pick<
  StageLimits,
  "id" | "revision" | "given" | "sourceKind" | "source" | "effectiveFrom"
> & {
  madeByName: string;
};

/** All revisions of a stage's limits, newest first. */
export const limitsRevisions = (db: Database, stageId: string) =>
  many(
    db,
    sql`select l.*, p.name as made_by_name from stage_limits l join person p on p.id = l.made_by
        where l.stage_id = ${stageId} order by l.revision desc`,
    (row): LimitsRevision => ({
      id: row.id,
      revision: row.revision,
      given: { quantity: row.quantity, held: row.held, lo: row.lo, aim: row.aim, hi: row.hi },
      sourceKind: row.source_kind,
      source: row.source,
      effectiveFrom: row.effective_from.toISOString(),
      madeByName: row.made_by_name,
    }),
  );
