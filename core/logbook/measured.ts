import type { EntryOf } from "./entry";

/** What was measured with a tool of the calculation in a job, as last read of each place: by tool and by what it was read of. */
const lastMeasured = (here: readonly EntryOf<"measured">[]): EntryOf<"measured">[] => [
  ...new Map(here.map((entry) => [`${entry.body.tool} ${entry.body.of.trim().toLowerCase()}`, entry])).values(),
];

/** Of those what is not inside, or was shimmed and not read again since. */
export const measuredOpen = (here: readonly EntryOf<"measured">[]): EntryOf<"measured">[] =>
  lastMeasured(here).filter(
    ({ body: { verdict, laid } }) => (verdict !== null && verdict !== "conforms") || laid.length > 0,
  );

/** What was read before of the same place with the same tool, the newest. */
export const measuredBefore = (
  here: readonly EntryOf<"measured">[],
  tool: string,
  of: string,
): EntryOf<"measured"> | null =>
  here.findLast(({ body }) => body.tool === tool && body.of.trim().toLowerCase() === of.trim().toLowerCase()) ?? null;

/** Of those what is inside, and not shimmed since it was read. */
export const measuredRight = (here: readonly EntryOf<"measured">[]): EntryOf<"measured">[] => {
  const open = new Set(measuredOpen(here).map(({ id }) => id));
  return lastMeasured(here).filter(({ id, body }) => !open.has(id) && body.verdict === "conforms");
};
