import type { RoundPhase } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import type { Work } from "~/operations/build-entry";

type FeelWork = Extract<Work, { kind: "feel" }>;
/** What a pane of one way has to log, and what it already says while it is typed. */
export type HandPane = {
  phase: RoundPhase;
  /** Logs it; false where it was refused, and then everything typed stays. */
  log: (work: Omit<FeelWork, "kind" | "phase" | "gear">) => Promise<boolean>;
  problem: Refusal | null;
};
