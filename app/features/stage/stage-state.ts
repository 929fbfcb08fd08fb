import type { StageStanding } from "~/data/queries/machines";
import type { MarkState } from "~/ui/state-mark";
import { verdictState } from "../words/state";

export type StageState = MarkState;

/** Inside, near the edge, outside; not known where it was never read, or something was moved or clamped after it was. */
export const stageState = (standing: StageStanding | null): StageState =>
  !standing?.result || standing.changedSince ? "unknown" : verdictState[standing.result.verdict];
