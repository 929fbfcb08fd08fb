import type { Unwise } from "../core/stages";

/** A warning as it is kept in the logbook: its code and its numbers, readable as they stand. */
export function warningText(warning: Unwise): string {
  const { code, ...facts } = warning;
  const figures = Object.entries(facts).map(
    ([name, value]) => `${name} ${typeof value === "number" ? Number(value.toPrecision(4)) : value}`,
  );
  return [code, ...figures].join(", ");
}
