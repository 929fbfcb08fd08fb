import { gradeOfFeel } from "../stages";
import { median } from "../statistics";
import { isoToDays } from "./days";
import { type Entry, type EntryOf, isKind } from "./entry";
import { type MeterReading, usageAt } from "./meter";

/** From one time that it was set to the next look at it. */
export type Held = { fromIso: string; toIso: string; days: number; usage: number | null; slackAgain: boolean };

export type HeldFor = {
  /** Oldest first. */
  times: Held[];
  /** After how long it was slack again, in the middle of those times; null: it never was. */
  slackAfterDays: number | null;
  slackAfterUsage: number | null;
  /** How far the adjuster took up by measured moves, per unit of the meter between the first and the last of them; null: too little is known. */
  takenUpPerUsage: number | null;
};

/** Below it a strand gives or claps. */
const firmFrom = 3;

/**
 * How long a belt or chain held each time that it was tightened: what was moved or clamped in one job, to the first look of the next one.
 *
 * @param entries of the stage that count, in order of their numbers
 * @param adjusterId the present revision, whose moves alone are added up; left out: all of them
 * @param slack whether a round, by its limits, was read slack; null: nobody can tell
 */
export function heldFor(
  entries: readonly Entry[],
  slack: (round: EntryOf<"round">) => boolean | null,
  meter: readonly MeterReading[] = [],
  adjusterId?: string | undefined,
): HeldFor {
  const times: Held[] = [];
  let set: Entry | null = null;
  for (const entry of entries) {
    if (entry.kind === "move" || entry.kind === "clamp") {
      set = entry;
      continue;
    }
    if (!set || entry.jobId === set.jobId) continue;
    const again = slackSeen(entry, slack);
    if (again === null) continue;
    const [from, to] = [usageAt(meter, set.madeAt), usageAt(meter, entry.madeAt)];
    times.push({
      fromIso: set.madeAt,
      toIso: entry.madeAt,
      days: isoToDays(entry.madeAt) - isoToDays(set.madeAt),
      usage: from === null || to === null ? null : to - from,
      slackAgain: again,
    });
    set = null;
  }
  const again = times.filter(({ slackAgain }) => slackAgain);
  const used = again.flatMap(({ usage }) => (usage === null ? [] : [usage]));
  return {
    times,
    slackAfterDays: again.length === 0 ? null : median(again.map(({ days }) => days)),
    slackAfterUsage: used.length === 0 ? null : median(used),
    takenUpPerUsage: takenUp(entries, meter, adjusterId),
  };
}

/** Of a look as found; null: it is none, or does not say. */
function slackSeen(entry: Entry, slack: (round: EntryOf<"round">) => boolean | null): boolean | null {
  if (isKind("round")(entry)) return entry.body.phase === "as-found" ? slack(entry) : null;
  if (!isKind("feel")(entry) || entry.body.phase !== "as-found" || entry.body.places.length === 0) return null;
  return entry.body.places.some(({ feel }) => gradeOfFeel(feel) < firmFrom);
}

function takenUp(entries: readonly Entry[], meter: readonly MeterReading[], adjusterId?: string): number | null {
  // An amount of another adjuster means something else.
  const moves = entries
    .filter(isKind("move"))
    .filter((move) => adjusterId === undefined || move.adjusterId === adjusterId);
  const [first, last] = [moves[0], moves[moves.length - 1]];
  if (!first || !last || first === last) return null;
  const [from, to] = [usageAt(meter, first.madeAt), usageAt(meter, last.madeAt)];
  if (from === null || to === null || to <= from) return null;
  // What the first move took up had stretched before it.
  return moves.slice(1).reduce((sum, { body }) => sum + body.amount, 0) / (to - from);
}
