import { feltOfStage, type GearSoFar, gearsByThemselves, isRead, type JobRecord } from "~/core/logbook";
import type { Stage } from "~/core/records";

type Of = Pick<Stage, "geometry">;

const others = (record: JobRecord, { geometry }: Of, here: string | null | undefined): GearSoFar[] =>
  gearsByThemselves(record, geometry.element).filter(({ gear }) => gear !== here);

/**
 * Of a stage whose gears stand by themselves one that was not read as found yet; null where all were.
 *
 * @param here the gear that is in
 */
export const unreadGear = (record: JobRecord, stage: Of, here: string | null | undefined): string | null =>
  others(record, stage, here).find(({ asFound, feltAsFound }) => !asFound && !feltAsFound)?.gear ?? null;

/** One that was not read, was moved and not read again, or does not read inside; null where nothing is left to do in another one. */
export const nextGear = (record: JobRecord, stage: Of, here: string | null | undefined): string | null =>
  others(record, stage, here).find(
    (read) => !isRead(read) || (read.changedSinceRound && read.changedSinceFeel) || !isInside(read, stage.geometry),
  )?.gear ?? null;

function isInside(read: GearSoFar, geometry: Stage["geometry"]): boolean {
  const { lastRound, lastFeel, changedSinceRound } = read;
  if (lastRound && !changedSinceRound) return (lastRound.body.result.verdict ?? "conforms") === "conforms";
  return lastFeel !== null && feltOfStage(lastFeel, geometry).verdict === "inside";
}
