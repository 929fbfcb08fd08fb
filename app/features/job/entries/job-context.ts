import { createContext, useContext } from "react";
import type { Entry, JobRecord } from "~/core/logbook";
import type { Result } from "~/core/quantity";
import type { Stage } from "~/core/records";
import type { Work } from "~/operations/build-entry";
import type { TapeEntry } from "../../logbook/tape";
import type { StationKey } from "../stations/stations";
import type { JobLoaded } from "./job-loaded";
import type { StageBefore } from "./stage-before";
import type { TypedDraft } from "./typed-draft";
import type { JobEntries } from "./use-entries";

/** The job on this screen, as it stands on the stage that is worked on. */
export type JobNow = Omit<JobEntries, "put"> &
  Pick<TypedDraft, "changeRound" | "changeText"> & {
    record: JobRecord;
    recordOf: (stage: Stage) => JobRecord;
    put: (work: Work) => Promise<Result<Entry>>;
  };

export type JobScreenValue = {
  data: JobLoaded;
  /** With its adjuster as it stands now, after the moves so far. */
  stage: Stage;
  /** As it was entered. */
  entered: Stage;
  before: StageBefore;
  job: JobNow;
  /** What is being typed; a component shows a part of it by `useTyped`. */
  draft: TypedDraft;
  /** Entries of this stage or of the whole job. */
  entriesHere: TapeEntry[];
  stationPath: (station: StationKey) => string;
};

/** The same value from key to key: what is typed lies in its draft. */
export const JobContext = createContext<JobScreenValue | null>(null);

export function useJobScreen(): JobScreenValue {
  const value = useContext(JobContext);
  if (!value) throw new Error("outside of a job");
  return value;
}

/** The address of a station, on the stage that is worked on; a job with one stage does not name it. */
export const pathOf = (data: JobLoaded, stage: Stage, station: StationKey | ""): string => {
  const place = data.stages.findIndex(({ id }) => id === stage.id);
  return `/jobs/${data.job.id}${station && `/${station}`}${place > 0 ? `?stage=${place + 1}` : ""}`;
};
