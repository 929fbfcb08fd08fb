import type { Entry } from "~/core/logbook";
import type { Instrument, Job, Machine, PersonId, ReadFirst, Stage, StoreItem } from "~/core/records";
import type { StoredDraft } from "./draft-store";
import type { StageBefore } from "./stage-before";

/** A job with everything its screen needs, as loaded or as last kept on this tablet. */
export type JobLoaded = {
  job: Job;
  machine: Machine;
  stages: Stage[];
  /** Stages of the machine that a move on one of these sets as well. */
  movedAlong: Stage[];
  instruments: Instrument[];
  /** What lies in the drawers for stages that are set by shims; one kept by an earlier release has none. */
  stock?: StoreItem[];
  entries: Entry[];
  drafts: StoredDraft[];
  before: StageBefore[];
  person: { id: PersonId; name: string };
  /** Above it two people lift, kg; one kept by an earlier release has none. */
  liftLimitKg?: number;
  /** How the house reads a stage unless one chooses otherwise; one kept by an earlier release has none. */
  readFirst?: ReadFirst;
  now: string;
};
