import { type Database, many, none, type Row, sql } from "../postgres";

export type Instrument = {
  id: string;
  name: string;
  kind: string;
  resolutionMm: number;
  expandedUncertaintyMm: number;
  coverage: number;
  /** Thicknesses of a feeler set; empty for what has no leaves. */
  leavesMm: number[];
};

const toInstrument = (row: Row): Instrument => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  resolutionMm: row.resolution_mm,
  expandedUncertaintyMm: row.expanded_uncertainty_mm,
  coverage: row.coverage,
  leavesMm: row.leaves_mm,
});

export const instrumentsOfWorkshop = (db: Database, workshopId: string) =>
  many(db, sql`select * from instrument where workshop_id = ${workshopId} order by resolution_mm, name`, toInstrument);

export const insertInstrument = (db: Database, workshopId: string, i: Instrument) =>
  none(
    db,
    sql`insert into instrument values (${i.id}, ${workshopId}, ${i.name}, ${i.kind}, ${i.resolutionMm}, ${i.expandedUncertaintyMm}, ${i.coverage}, ${i.leavesMm})`,
  );
