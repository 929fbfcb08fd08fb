import type { Instrument, NewInstrument } from "../../core/records";
import { type Database, many, maybeOne, none, type Row, sql } from "../postgres";

const columns = sql`id, name, kind, dimension, resolution, expanded_uncertainty, coverage, leaves_mm, serial, unit,
  calibrated_on::text, due_on::text, retired_at, revision`;

const toInstrument = (row: Row): Instrument => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  dimension: row.dimension,
  resolution: row.resolution,
  expandedUncertainty: row.expanded_uncertainty,
  coverage: row.coverage,
  leavesMm: row.leaves_mm,
  serial: row.serial,
  unit: row.unit,
  calibratedOn: row.calibrated_on,
  dueOn: row.due_on,
  retiredAt: row.retired_at?.toISOString() ?? null,
  revision: row.revision,
});

/** Those that are in use, as one chooses among them. */
export const instrumentsOfWorkshop = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select ${columns} from instrument where workshop_id = ${workshopId} and retired_at is null
        order by dimension <> 'length', resolution, name`,
    toInstrument,
  );

export const everyInstrument = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select ${columns} from instrument where workshop_id = ${workshopId} order by retired_at is not null, name, id`,
    toInstrument,
  );

/** In use or not. */
export const instrumentById = (db: Database, workshopId: string, id: string) =>
  maybeOne(db, sql`select ${columns} from instrument where id = ${id} and workshop_id = ${workshopId}`, toInstrument);

/** Locked until the transaction ends. */
export const lockInstrument = (db: Database, workshopId: string, id: string) =>
  maybeOne(
    db,
    sql`select ${columns} from instrument where id = ${id} and workshop_id = ${workshopId} for update`,
    toInstrument,
  );

export const insertInstrument = (db: Database, workshopId: string, i: NewInstrument) =>
  none(
    db,
    sql`insert into instrument (id, workshop_id, name, kind, dimension, resolution, expanded_uncertainty, coverage,
          leaves_mm, serial, unit, calibrated_on, due_on)
        values (${i.id}, ${workshopId}, ${i.name}, ${i.kind}, ${i.dimension}, ${i.resolution}, ${i.expandedUncertainty},
          ${i.coverage}, ${i.leavesMm}, ${i.serial ?? ""}, ${i.unit ?? ""}, ${i.calibratedOn ?? null}, ${i.dueOn ?? null})
        on conflict (id) do nothing`,
  );

export const updateInstrument = (db: Database, i: NewInstrument & { retiredAt: Date | null }) =>
  none(
    db,
    sql`update instrument set name = ${i.name}, kind = ${i.kind}, dimension = ${i.dimension},
          resolution = ${i.resolution}, expanded_uncertainty = ${i.expandedUncertainty}, coverage = ${i.coverage},
          leaves_mm = ${i.leavesMm}, serial = ${i.serial ?? ""}, unit = ${i.unit ?? ""},
          calibrated_on = ${i.calibratedOn ?? null}, due_on = ${i.dueOn ?? null}, retired_at = ${i.retiredAt},
          revision = revision + 1
        where id = ${i.id}`,
  );

export type Certificate = { id: string; name: string; madeAt: string; madeByName: string };

export const certificatesOf = (db: Database, instrumentId: string) =>
  many(
    db,
    sql`select c.id, c.name, c.made_at, p.name as made_by_name from certificate c join person p on p.id = c.made_by
        where instrument_id = ${instrumentId} order by c.made_at desc limit 20`,
    (row): Certificate => ({
      id: row.id,
      name: row.name,
      madeAt: row.made_at.toISOString(),
      madeByName: row.made_by_name,
    }),
  );

export const insertCertificate = (
  db: Database,
  c: { id: string; instrumentId: string; name: string; sha256: Buffer; content: Buffer; madeBy: string; at: Date },
) =>
  none(
    db,
    sql`insert into certificate (id, instrument_id, name, sha256, content, made_by, made_at)
        values (${c.id}, ${c.instrumentId}, ${c.name}, ${c.sha256}, ${c.content}, ${c.madeBy}, ${c.at})
        on conflict (id) do nothing`,
  );

export const certificateContent = (db: Database, workshopId: string, id: string) =>
  maybeOne(
    db,
    sql`select c.name, c.content from certificate c join instrument i on i.id = c.instrument_id
        where c.id = ${id} and i.workshop_id = ${workshopId}`,
    (row) => ({ name: row.name as string, content: row.content as Buffer }),
  );
