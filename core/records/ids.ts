import * as z from "zod";

/** Ids of records are made by the client (UUIDv7) and are not to be taken for each other. */
const idOf = <Name extends string>() => z.uuid().toLowerCase().brand<Name>();

export const workshopId = idOf<"workshop">();
export type WorkshopId = z.output<typeof workshopId>;
export const personId = idOf<"person">();
export type PersonId = z.output<typeof personId>;
export const machineId = idOf<"machine">();
export type MachineId = z.output<typeof machineId>;
export const stageId = idOf<"stage">();
export type StageId = z.output<typeof stageId>;
export const jobId = idOf<"job">();
export type JobId = z.output<typeof jobId>;
export const instrumentId = idOf<"instrument">();
export type InstrumentId = z.output<typeof instrumentId>;
export const storeItemId = idOf<"store item">();
export type StoreItemId = z.output<typeof storeItemId>;
