import type { PastMove } from "~/core/advice";
import type { Entry, KnownStack } from "~/core/logbook";
import type { KnownRound } from "~/core/rounds";
import type { StageTurns } from "~/core/stages";

/** Runs that one's own are held against: a twin's, or one's own from before the parts were revised; newest first. */
export type RunsBeside = { twin: string | null; revisedAt: string | null; proofs: Entry[] };

/** What is known of a stage from before a job: moves that teach its response, powered runs, its round as it was last known in each gear, the shims that lie in it. */
export type StageBefore = {
  stageId: string;
  moves: PastMove[];
  /** How far its adjuster was moved under its present revision. */
  moved: number;
  proofs: Entry[];
  /** One kept by an earlier release has none. */
  beside?: RunsBeside[];
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
