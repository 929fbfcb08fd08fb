import type { PastMove } from "~/core/advice";
import type { KnownRound, KnownStack } from "~/core/logbook";
import type { NamedEntry } from "~/data/queries/entries";

/** What is known of a stage from before a job: moves that teach its response, powered runs, its round as it was last known in each gear, the shims that lie in it. */
export type StageBefore = {
  stageId: string;
  moves: PastMove[];
  proofs: NamedEntry[];
  known: KnownRound[];
  stack?: KnownStack | null;
};
