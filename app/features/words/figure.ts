import { type DecimalSign, formatNumber as format } from "~/core/quantity";

export type Units = "metric" | "inch";
/** How somebody wants figures, where they stand now: on the page of a machine that has units of its own, perhaps in those. */
export type Reader = { decimal: DecimalSign; units: Units; asMachine: boolean };

let kept: Reader = { decimal: ".", units: "metric", asMachine: true };
let place = {
  get: (): Reader => kept,
  set: (reader: Reader): void => {
    kept = reader;
  },
};

/** Where the reader is kept: a browser has one; a server gives each request its own. */
export const keepReaderIn = (other: typeof place): void => {
  place = other;
};

/** From here on figures are written for this reader. */
export const writeFor = (reader: Reader): void => place.set(reader);

/** @param machine the machine on the page, where there is one */
export const readerOf = (
  preferences: { decimal?: "point" | "comma"; units?: Units | "machine" } = {},
  machine?: { units: Units },
): Reader => {
  const { decimal, units = "machine" } = preferences;
  const asMachine = units === "machine";
  return {
    decimal: decimal === "comma" ? "," : ".",
    units: asMachine ? (machine?.units ?? "metric") : units,
    asMachine,
  };
};

export const readUnits = (): Units => place.get().units;

/** On a page of many machines, words in the units of one of them, for who wants them so. */
export function inUnitsOf<T>(machine: { units: Units }, words: () => T): T {
  const reader = place.get();
  if (!reader.asMachine) return words();
  place.set({ ...reader, units: machine.units });
  try {
    return words();
  } finally {
    place.set(reader);
  }
}

/** A figure as its reader writes it: fixed decimals, a true minus sign, and their decimal sign. */
export const formatNumber = (value: number, decimals: number): string => format(value, decimals, place.get().decimal);
