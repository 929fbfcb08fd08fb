import type { DecimalSign } from "~/core/quantity";

export type Units = "metric" | "inch";

/** For whom something is written: their language, decimal sign, units and time zone. Whatever writes or reads a figure takes one. */
export type Reader = {
  /** BCP 47; the only one so far. */
  language: "en-GB";
  decimal: DecimalSign;
  units: Units;
  /** Lengths of a machine are in that machine's units. */
  asMachine: boolean;
  /** IANA, the workshop's. */
  zone: string;
};

/** What is known of a reader; nothing of somebody who is not signed in. */
type Known = {
  preferences?: { decimal?: "point" | "comma"; units?: Units | "machine" };
  timeZone?: string;
};

/** @param machine the one that is written of, where there is one */
export function readerOf({ preferences = {}, timeZone = "UTC" }: Known = {}, machine?: { units: Units }): Reader {
  const { decimal, units = "machine" } = preferences;
  const reader: Reader = {
    language: "en-GB",
    decimal: decimal === "comma" ? "," : ".",
    units: units === "machine" ? "metric" : units,
    asMachine: units === "machine",
    zone: timeZone,
  };
  return machine ? inUnitsOf(reader, machine) : reader;
}

/** Of one machine, also on a page of many: in its units, for who wants them so. */
export const inUnitsOf = (reader: Reader, machine: { units: Units }): Reader =>
  reader.asMachine ? { ...reader, units: machine.units } : reader;
