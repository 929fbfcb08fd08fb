import { type Entry, type JobRecord, jobRecord } from "~/core/logbook";
import type { Stage } from "~/core/records";
import type { StationKey } from "./stations";

/** Where to begin on opening a job: a signed one is looked at where it was signed. */
export function firstStation(entries: readonly Entry[], stage: Stage): StationKey {
  if (entries.some(({ kind }) => kind === "signature")) return "sign-off";
  return nextStation(jobRecord(entries, stage));
}

function nextStation(record: JobRecord): StationKey {
  if (!record.power) return "make-safe";
  if (record.apart.off.length > 0) return "apart";
  if (!record.asFound && !record.feltAsFound && !record.firstBuild) return "as-found";
  return record.proofs.length > 0 ? "sign-off" : "set";
}

/** The stage that an address names by its place, from 1; the first where it names none. */
export const stageIn = (stages: readonly Stage[], search: URLSearchParams): Stage =>
  (stages[Number(search.get("stage") ?? 1) - 1] ?? stages[0]) as Stage;
