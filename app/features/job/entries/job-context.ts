import { createContext, useContext } from "react";
import type { Entry, JobRecord } from "~/core/logbook";
import type { Result } from "~/core/quantity";
import type { Stage } from "~/data/queries/stages";
import type { Work } from "~/operations/build-entry";
import type { TapeEntry } from "../../logbook/tape";
import type { StationKey } from "../stations/stations";
import type { JobLoaded } from "./job-loaded";
import type { StageBefore } from "./stage-before";
import type { JobDraft } from "./use-draft";
import type { JobEntries } from "./use-entries";

/** The job on this screen, as it stands on the stage that is worked on. */
export type JobNow = Omit<JobDraft, "at" | "why"> &
  Omit<JobEntries, "put"> & {
    record: JobRecord;
    recordOf: (stage: Stage) => JobRecord;
    put: (work: Work) => Promise<Result<Entry>>;
  };

type Screen = {
  data: JobLoaded;
  /** With its adjuster as it stands now, after the moves so far. */
  stage: Stage;
  /** As it was entered. */
  entered: Stage;
  before: StageBefore;
  job: JobNow;
};

export const JobContext = createContext<Screen | null>(null);

export type JobScreenValue = Screen & {
  /** Entries of this stage or of the whole job. */
  entriesHere: TapeEntry[];
  stationPath: (station: StationKey) => string;
};

export function useJobScreen(): JobScreenValue {
  const value = useContext(JobContext);
  if (!value) throw new Error("outside of a job");
  const { data, stage, job } = value;
  return {
    ...value,
    entriesHere: job.entries.filter((entry) => entry.stageId === stage.id || entry.stageId === null),
    stationPath: (station) => pathOf(data, stage, station),
  };
}

/** The address of a station, on the stage that is worked on; a job with one stage does not name it. */
export const pathOf = (data: JobLoaded, stage: Stage, station: StationKey | ""): string => {
  const place = data.stages.findIndex(({ id }) => id === stage.id);
  return `/jobs/${data.job.id}${station && `/${station}`}${place > 0 ? `?stage=${place + 1}` : ""}`;
};
