import { judge, type Limits, type Verdict, worstVerdict } from "../limits";
import type { Entry, EntryOf, RoundResult } from "./entry";
import type { FeelSays } from "./feel";
import { voidedBy } from "./job-record";
import { type Drift, stageTrend } from "./stage-trend";

export type StageState = "inside" | "near" | "outside" | "unknown";

export type Standing = {
  /** The last round that counts; null: never read. */
  result: RoundResult | null;
  /** Where the last word on it was by feel. */
  felt: FeelSays | null;
  readAt: string | null;
  /** Something was moved or clamped after it was read. */
  changedSince: boolean;
  state: StageState;
  drift: Drift | null;
};

type Judged = { lo: number; hi: number };

/**
 * How a stage stands now, from its rounds, moves, clamps and corrections in order of their numbers. The last round is judged
 * by the limits of today; the verdict in its entry stays what it was.
 */
export function standingOf(entries: readonly Entry[], limits: Judged): Standing {
  const voided = voidedBy(entries);
  const counting = entries.filter((entry) => !voided.has(entry.id));
  const read = counting.findLast((entry) => entry.kind === "round" || entry.kind === "feel");
  const round = counting.findLast((entry): entry is EntryOf<"round"> => entry.kind === "round");
  const changedSince = read !== undefined && counting.some((entry) => entry.seq > read.seq && changesTheMesh(entry));
  const byFeel = read?.kind === "feel" ? read : null;
  const verdict = byFeel ? byFeel.body.verdict : round ? roundVerdict(round.body.result, limits) : null;
  const state = verdict === null || changedSince ? "unknown" : stateOf[verdict];
  const trend = stageTrend(counting, limits, "time");
  return {
    result: round?.body.result ?? null,
    felt: byFeel?.body.says ?? null,
    readAt: read?.madeAt ?? null,
    changedSince,
    state,
    // What is out already does not drift out.
    drift: state === "inside" || state === "near" ? (trend?.drift ?? null) : null,
  };
}

const stateOf: Record<Verdict, StageState> = { conforms: "inside", undecided: "near", "does-not-conform": "outside" };

/** A new part or another centre distance as much as a move. */
const changesTheMesh = (entry: Entry): boolean =>
  entry.kind === "move" || entry.kind === "clamp" || (entry.kind === "change" && entry.body.what === "geometry");

/** The worst of what was read and of what was fitted over the hunting cycle. */
export function roundVerdict(result: RoundResult, limits: Limits): Verdict {
  const seen = [result.minMm, result.maxMm, result.worstMinMm, result.worstMaxMm].filter((value) => value !== null);
  return worstVerdict(seen.map((value) => judge(value, limits, result.expandedUncertaintyMm).verdict));
}
