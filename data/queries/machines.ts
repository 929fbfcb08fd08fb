import type { Machine, MachineFields } from "../../core/records";
import { type Database, many, maybeOne, none, one, type Row, sql } from "../postgres";

export const toMachine = (row: Row): Machine => ({
  id: row.id,
  workshopId: row.workshop_id,
  name: row.name,
  tag: row.tag,
  site: row.site,
  hall: row.hall,
  place: row.place,
  model: row.model,
  serial: row.serial,
  usageUnit: row.usage_unit,
  units: row.units,
  air: row.air,
  heaviestKg: row.heaviest_kg,
  meterReading: row.meter_reading,
  usageTotal: row.usage_total,
  retiredAt: row.retired_at?.toISOString() ?? null,
  twinOf: row.twin_of,
});

export const machineById = (db: Database, workshopId: string, id: string) =>
  maybeOne(db, sql`select * from machine where id = ${id} and workshop_id = ${workshopId}`, toMachine);

export const machinesById = (db: Database, workshopId: string, ids: readonly string[]) =>
  many(db, sql`select * from machine where workshop_id = ${workshopId} and id = any(${ids})`, toMachine);

/** The machine that a stage belongs to, in service or not. */
export const machineWithStage = (db: Database, workshopId: string, stageId: string) =>
  maybeOne(
    db,
    sql`select m.* from stage s join machine m on m.id = s.machine_id where s.id = ${stageId} and m.workshop_id = ${workshopId}`,
    toMachine,
  );

export const machinesOfWorkshop = (db: Database, workshopId: string) =>
  many(db, sql`select * from machine where workshop_id = ${workshopId} order by name, id`, toMachine);

/** Machines in service by name, for choosing one. */
export const machineNames = (db: Database, workshopId: string) =>
  many(
    db,
    sql`select id, name, tag from machine where workshop_id = ${workshopId} and retired_at is null order by name, id limit 1000`,
    (row) => ({ id: row.id as string, name: row.name as string, tag: row.tag as string }),
  );

/** Another machine of the workshop that already has this name or tag. */
export const machineNamed = (db: Database, workshopId: string, own: string, name: string, tag: string) =>
  many(
    db,
    sql`select * from machine where workshop_id = ${workshopId} and id <> ${own}
        and ((lower(name) = lower(${name}) and retired_at is null) or tag = ${tag}) limit 2`,
    toMachine,
  );

/** The same model elsewhere in the workshop, or declared a twin. */
export const twinsOf = (db: Database, machine: Machine) =>
  many(
    db,
    sql`select * from machine where workshop_id = ${machine.workshopId} and id <> ${machine.id} and retired_at is null
        and ((model <> '' and lower(model) = lower(${machine.model})) or twin_of = ${machine.id} or id = ${machine.twinOf})
        order by name limit 12`,
    toMachine,
  );

export const insertMachine = (
  db: Database,
  m: MachineFields & { id: string; workshopId: string; twinOf: string | null; headHash: Buffer; at: Date },
) =>
  none(
    db,
    sql`insert into machine (id, workshop_id, name, tag, site, hall, place, model, serial, usage_unit, units, air, heaviest_kg, twin_of, created_at, head_hash)
        values (${m.id}, ${m.workshopId}, ${m.name}, ${m.tag}, ${m.site}, ${m.hall}, ${m.place}, ${m.model}, ${m.serial},
          ${m.usageUnit}, ${m.units}, ${m.air}, ${m.heaviestKg}, ${m.twinOf}, ${m.at}, ${m.headHash})`,
  );

export const updateMachine = (db: Database, id: string, m: MachineFields) =>
  none(
    db,
    sql`update machine set name = ${m.name}, tag = ${m.tag}, site = ${m.site}, hall = ${m.hall}, place = ${m.place},
          model = ${m.model}, serial = ${m.serial}, usage_unit = ${m.usageUnit},
          units = ${m.units}, air = ${m.air}, heaviest_kg = ${m.heaviestKg} where id = ${id}`,
  );

export const markRetired = (db: Database, id: string, at: Date | null) =>
  none(db, sql`update machine set retired_at = ${at} where id = ${id}`);

export const keepUsage = (db: Database, id: string, reading: number | null, total: number | null) =>
  none(db, sql`update machine set meter_reading = ${reading}, usage_total = ${total} where id = ${id}`);

export type ChainHead = { count: number; hash: Buffer; usageTotal: number | null };

/** The head of a machine's chain as it stands, without holding up anybody. */
export const headOf = (db: Database, machineId: string) =>
  one(
    db,
    sql`select entry_count, head_hash, usage_total from machine where id = ${machineId}`,
    (row): ChainHead => ({ count: row.entry_count, hash: row.head_hash, usageTotal: row.usage_total }),
  );

/** The head of a machine's chain, its row locked until the transaction ends. */
export const lockHead = (db: Database, machineId: string) =>
  one(
    db,
    sql`select entry_count, head_hash, usage_total from machine where id = ${machineId} for update`,
    (row): ChainHead => ({ count: row.entry_count, hash: row.head_hash, usageTotal: row.usage_total }),
  );

export const advanceHead = (db: Database, machineId: string, head: Pick<ChainHead, "count" | "hash">) =>
  none(db, sql`update machine set entry_count = ${head.count}, head_hash = ${head.hash} where id = ${machineId}`);

/** Every machine of every workshop, for verifying the logbooks. */
export const allMachines = (db: Database) => many(db, sql`select * from machine order by name`, toMachine);
