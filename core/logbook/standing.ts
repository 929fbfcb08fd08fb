import { judge, type Limits, type Verdict, worstVerdict } from "../limits";
import type { Entry, EntryOf, RoundResult } from "./entry";
import type { FeelSays } from "./feel";
import { lastSides, voidedBy } from "./job-record";
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
  /** As last read, mm; null: never. Standings kept by an earlier release do not know it. */
  endFloatMm?: number | null;
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
  const main = verdict === null || changedSince ? "unknown" : stateOf[verdict];
  const lasts = lastSides(counting);
  const sides = lasts.flatMap(({ body }) => body.verdict ?? []);
  const state = worseState(main, sides.length > 0 ? stateOf[worstVerdict(sides)] : "inside");
  const trend = stageTrend(counting, limits, "time");
  return {
    result: round?.body.result ?? null,
    felt: byFeel?.body.says ?? null,
    readAt: read?.madeAt ?? null,
    changedSince,
    state,
    // What is out already does not drift out.
    drift: state === "inside" || state === "near" ? (trend?.drift ?? null) : null,
    endFloatMm: lasts.find(({ body }) => body.quantity === "end-float")?.body.max ?? null,
  };
}

const stateOf: Record<Verdict, StageState> = { conforms: "inside", undecided: "near", "does-not-conform": "outside" };

/** The worse of two: outside, near the edge, not known, inside. */
export const worseState = (a: StageState, b: StageState): StageState =>
  (["outside", "near", "unknown", "inside"] as const).find((state) => state === a || state === b) ?? "unknown";

/** A new part or another centre distance as much as a move. */
const changesTheMesh = (entry: Entry): boolean =>
  entry.kind === "move" ||
  entry.kind === "clamp" ||
  (entry.kind === "change" && (entry.body.what === "geometry" || entry.body.what === "moved-along"));

/** The worst of what was read and of what was fitted over the hunting cycle; a worn chain is judged by its upper limit alone. */
export function roundVerdict(result: RoundResult, given: Limits): Verdict {
  const limits = result.quantity === "elongation" ? { hi: given.hi } : given;
  const seen = [result.min, result.max, result.worstMin, result.worstMax].filter((value) => value !== null);
  return worstVerdict(seen.map((value) => judge(value, limits, result.expandedUncertainty).verdict));
}
