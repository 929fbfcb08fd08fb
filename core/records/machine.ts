import * as z from "zod";
import { text, words } from "../schemas";
import { machineId, workshopId } from "./ids";

export const usageUnits = ["hours", "cycles", "starts"] as const;
export type UsageUnit = (typeof usageUnits)[number];
/** In which the figures of a machine are spoken of. */
export const unitSystems = ["metric", "inch"] as const;
export type Units = (typeof unitSystems)[number];

/** Whether there is compressed air on it. */
export const airStates = ["yes", "no", "unknown"] as const;

/** What people say of a machine. */
export const machineFields = z.object({
  name: words(80),
  tag: words(30),
  site: text(60).trim().default(""),
  hall: text(60).trim().default(""),
  place: text(80).trim().default(""),
  model: text(80).trim().default(""),
  serial: text(60).trim().default(""),
  usageUnit: z.enum(usageUnits),
  units: z.enum(unitSystems).default("metric"),
  air: z.enum(airStates).default("unknown"),
  /** Of the parts that are lifted for the work, kg; null: not known. */
  heaviestKg: z.number().gt(0).lte(1e5).nullable().default(null),
});
export type MachineFields = z.output<typeof machineFields>;

export const machineRecord = machineFields.extend({
  id: machineId,
  workshopId,
  /** What the present meter shows. */
  meterReading: z.number().nullable(),
  /** Over all meters the machine has had. */
  usageTotal: z.number().nullable(),
  retiredAt: z.iso.datetime().nullable(),
  twinOf: machineId.nullable(),
});
export type Machine = z.output<typeof machineRecord>;
