import type { KnownShaft, Shaft } from "../shafts";
import type { EntryOf } from "./entry";

/** A shaft of a machine, and how a job other than this one last fitted it; null: none did. */
export type MachineShaft = { shaft: Shaft; fitted: EntryOf<"shaft"> | null };

/**
 * The shafts of a machine as they stand now: by what this job fitted, or else by what an earlier one did.
 *
 * @param here entries of this job by which shafts were found or fitted, in order; none that a correction voids
 */
export const knownShafts = (
  shafts: readonly MachineShaft[],
  here: readonly EntryOf<"shaft">[],
): (KnownShaft & { entry: EntryOf<"shaft"> | null })[] =>
  shafts.map(({ shaft, fitted }) => {
    const entry =
      here.findLast(({ body }) => body.shaft.shaftId === shaft.shaftId && body.phase === "as fitted") ?? fitted;
    return { shaft, entry, fitted: entry?.body.parts ?? null };
  });

/** Shafts as this job fitted them last, each once. */
const lastFitted = (here: readonly EntryOf<"shaft">[]): EntryOf<"shaft">[] => [
  ...new Map(
    here.filter(({ body }) => body.phase === "as fitted").map((entry) => [entry.body.shaft.shaftId, entry]),
  ).values(),
];

/** Shafts that were put together and do not stand as they must, do not close, or of which something was not seen to or could not be judged. */
export const shaftsNotRight = (here: readonly EntryOf<"shaft">[]): EntryOf<"shaft">[] =>
  lastFitted(here).filter(
    ({ body: { planes, endFloat, seenTo } }) =>
      planes.some(({ verdict }) => verdict !== "conforms") ||
      endFloat.verdict !== "conforms" ||
      endFloat.closes === false ||
      seenTo.some(({ done }) => !done),
  );

/** Shafts that were put together and stand as they must. */
export const shaftsRight = (here: readonly EntryOf<"shaft">[]): EntryOf<"shaft">[] => {
  const wrong = new Set(shaftsNotRight(here).map(({ id }) => id));
  return lastFitted(here).filter(({ id }) => !wrong.has(id));
};
