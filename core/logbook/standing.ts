import { type Verdict, worstVerdict } from "../limits";
import { type JudgedEnds, judgeEnds } from "../rounds";
import { gearNames, limitsInGear, type SideQuantity, type StageElement } from "../stages";
import type { Entry, EntryOf } from "./entry";
import { feltOf, feltSaid } from "./feel";
import { lastSides, voidedBy } from "./job-record";
import type { FeltJudged, FeltSaid, RoundResult } from "./schema";
import { type Drift, gearOfTrend, stageTrend } from "./stage-trend";

export type StageState = "inside" | "near" | "outside" | "unknown";

export type Standing = {
  /** The last round that counts, of a switchable gear the worst of each gear's last; null: never read. */
  result: RoundResult | null;
  /** The greatest value of each gear's last round; of a stage with one gear under no name. */
  loosest: { gear: string | null; value: number }[];
  /** That round judged by the limits of today. */
  judged: JudgedEnds | null;
  /** Where the last word on it was by feel. */
  felt: FeltSaid | null;
  readAt: string | null;
  /** Something was moved or clamped after it was read. */
  changedSince: boolean;
  state: StageState;
  /** What is read beside it and is outside or near, where that is what makes the state. */
  because: SideQuantity | null;
  drift: Drift | null;
  /** As last read, mm; null: never. */
  endFloatMm: number | null;
};

type StageNow = {
  /** null: not known yet; what was read is not judged. */
  limits: { lo: number; hi: number } | null;
  element: StageElement;
  arcDeg?: readonly [number, number] | null | undefined;
};

/**
 * How a stage stands now, from its rounds, moves, clamps and corrections in order of their numbers. The last round is judged anew
 * by the limits of today, as every screen judges it; the verdict in its entry stays what it was. Each gear of a switchable pair is a
 * mesh of its own: a reading in one says nothing of another.
 */
export function standingOf(entries: readonly Entry[], { limits, element, arcDeg }: StageNow): Standing {
  const voided = voidedBy(entries);
  const counting = entries.filter((entry) => !voided.has(entry.id));
  const rounds = counting.filter((entry): entry is EntryOf<"round"> => entry.kind === "round");
  const lastFeel = counting.findLast((entry): entry is EntryOf<"feel"> => entry.kind === "feel");
  const limitsOf = (entry: EntryOf<"round">) => limitsInGear(element, entry.body.result.gear, limits);
  const round = worstOfGears(rounds, limitsOf);
  const lastRound = rounds[rounds.length - 1];
  const byFeel = lastFeel && lastFeel.seq > (lastRound?.seq ?? 0) ? lastFeel : null;
  const read = byFeel ?? round?.entry;
  // Whatever was moved in one gear says nothing of another; of a stage that was read in several the last word on each has to stand.
  const lastReads = lastInEachGear(counting, element);
  const stale = (last: Read) => counting.some((entry) => entry.seq > last.seq && changesTheMesh(entry, gearOf(last)));
  const changedSince = lastReads.some(stale);
  const stateRead = (last: Read): StageState => {
    if (stale(last)) return "unknown";
    if (last.kind === "feel") return stateOfFeel[feltOf(last.body, element, arcDeg).verdict];
    const { verdict } = judgeEnds(last.body.result, limitsOf(last));
    return verdict ? stateOf[verdict] : "unknown";
  };
  const states = lastReads.map(stateRead);
  const main = states.length === 0 ? "unknown" : states.reduce(worseState);
  // What was felt in one gear is not what is said of the stage where another one makes it what it is.
  const felt = byFeel && stateRead(byFeel) === main ? feltOf(byFeel.body, element, arcDeg) : null;
  const lasts = lastSides(counting);
  const judgedSides = lasts.flatMap(({ body }) =>
    body.verdict ? [{ quantity: body.quantity, verdict: body.verdict }] : [],
  );
  const sideVerdict = worstVerdict(judgedSides.map(({ verdict }) => verdict));
  const state = worseState(main, judgedSides.length > 0 ? stateOf[sideVerdict] : "inside");
  const trend = stageTrend(counting, limitsInGear(element, gearOfTrend(counting), limits), "time");
  return {
    result: round?.entry.body.result ?? null,
    loosest: lastOfGears(rounds).map(({ body }) => ({
      gear: body.result.gear ?? null,
      value: judgeEnds(body.result, limitsInGear(element, body.result.gear, limits)).greatest,
    })),
    judged: round?.judged ?? null,
    felt: felt && feltSaid(felt),
    readAt: read?.madeAt ?? null,
    changedSince,
    state,
    because: state === main ? null : (judgedSides.find(({ verdict }) => verdict === sideVerdict)?.quantity ?? null),
    // What is out already does not drift out.
    drift: state === "inside" || state === "near" ? (trend?.drift ?? null) : null,
    endFloatMm: lasts.find(({ body }) => body.quantity === "end-float")?.body.max ?? null,
  };
}

const lastOfGears = (rounds: readonly EntryOf<"round">[]): EntryOf<"round">[] => [
  ...new Map(rounds.map((entry) => [entry.body.result.gear, entry])).values(),
];

/** The last round of each gear, judged by the limits of today; of them the worst, the newest of equals. */
function worstOfGears(
  rounds: readonly EntryOf<"round">[],
  limitsOf: (entry: EntryOf<"round">) => { lo: number; hi: number } | null,
): { entry: EntryOf<"round">; judged: JudgedEnds } | null {
  return lastOfGears(rounds)
    .map((entry) => ({ entry, judged: judgeEnds(entry.body.result, limitsOf(entry)) }))
    .sort((a, b) => b.entry.seq - a.entry.seq)
    .reduce<{ entry: EntryOf<"round">; judged: JudgedEnds } | null>(
      (worst, now) => (worst && isWorse(worst.judged, now.judged) ? worst : now),
      null,
    );
}

/** Or as bad; of those that are not judged the first stands. */
const isWorse = ({ verdict: a }: JudgedEnds, { verdict: b }: JudgedEnds): boolean =>
  a === null || b === null || worstVerdict([a, b]) === a;

const stateOfFeel: Record<FeltJudged["verdict"], StageState> = {
  inside: "inside",
  near: "near",
  outside: "outside",
  "not-known": "unknown",
};

const stateOf: Record<Verdict, StageState> = { conforms: "inside", undecided: "near", "does-not-conform": "outside" };

/** The worse of two: outside, near the edge, not known, inside. */
export const worseState = (a: StageState, b: StageState): StageState =>
  (["outside", "near", "unknown", "inside"] as const).find((state) => state === a || state === b) ?? "unknown";

type Read = EntryOf<"round"> | EntryOf<"feel">;

/** The last word on each gear, by number or by hand; what names no gear of a stage that switches, from before it did, stands only while nothing else does. */
function lastInEachGear(counting: readonly Entry[], element: StageElement): Read[] {
  const reads = counting.filter((entry): entry is Read => entry.kind === "round" || entry.kind === "feel");
  const names = gearNames(element);
  const named = names ? reads.filter((read) => names.includes(gearOf(read) ?? "")) : reads;
  return [...new Map((named.length > 0 ? named : reads).map((read) => [gearOf(read), read])).values()];
}

const gearOf = (read: Read): string | null => (read.kind === "round" ? read.body.result.gear : read.body.gear) ?? null;

/** A new part or another centre distance as much as a move; the stop of one gear moves that gear alone. */
const changesTheMesh = (entry: Entry, gear: string | null): boolean =>
  (entry.kind === "move" && (entry.body.gear === undefined || entry.body.gear === gear)) ||
  entry.kind === "clamp" ||
  (entry.kind === "change" && (entry.body.what === "geometry" || entry.body.what === "moved-along"));
