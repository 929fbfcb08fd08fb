import type { NamedEntry } from "~/data/queries/entries";
import type { Instrument } from "~/data/queries/instruments";
import type { Job } from "~/data/queries/jobs";
import type { Machine } from "~/data/queries/machines";
import type { Stage } from "~/data/queries/stages";
import type { StoreItem } from "~/data/queries/store";
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
  entries: NamedEntry[];
  drafts: StoredDraft[];
  before: StageBefore[];
  person: { id: string; name: string };
  now: string;
};
