import type { PastMove } from "~/core/advice";
import type { Entry, KnownStack } from "~/core/logbook";
import type { KnownRound } from "~/core/rounds";
import type { StageTurns } from "~/core/stages";

/** What is known of a stage from before a job: moves that teach its response, powered runs, its round as it was last known in each gear, the shims that lie in it. */
export type StageBefore = {
  stageId: string;
  moves: PastMove[];
  /** How far its adjuster was moved under its present revision. */
  moved: number;
  proofs: Entry[];
  /** How its output turns; null: it stands in no drive line. */
  turns?: StageTurns | null;
  known: KnownRound[];
  stack?: KnownStack | null;
  /** Of gears that rest against stops of their own: what moved each, and the spacer that lies under it. */
  stops?: { gear: string; moves: PastMove[]; stack: KnownStack | null }[];
};

export const nothingBefore = (stageId: string): StageBefore => ({
  stageId,
  moves: [],
  moved: 0,
  proofs: [],
  known: [],
});
