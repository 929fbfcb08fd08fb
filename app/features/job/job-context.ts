import { createContext, useContext } from "react";
import type { PastMove } from "~/core/advice";
import type { NamedEntry } from "~/data/queries/entries";
import type { Machine } from "~/data/queries/machines";
import type { StationKey } from "./stations";
import type { JobData, JobNow } from "./use-job";

export type JobLoaded = JobData & {
  machine: Machine;
  earlierProofs: NamedEntry[];
  earlierMoves: PastMove[];
  timeZone: string;
  now: string;
};

/** The job on this screen, for its stations. */
export const JobContext = createContext<{ data: JobLoaded; job: JobNow } | null>(null);

export function useJobScreen(): { data: JobLoaded; job: JobNow; stationPath: (station: StationKey) => string } {
  const value = useContext(JobContext);
  if (!value) throw new Error("outside of a job");
  return { ...value, stationPath: (station) => `/jobs/${value.data.job.id}/${station}` };
}
