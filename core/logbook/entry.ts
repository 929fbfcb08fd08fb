import type { ReasonCode } from "../advice";
import type { Verdict } from "../limits";

export type RoundPhase = "as-found" | "set" | "check";
export type ClampState = "eased" | "snug" | "firm" | "dressed";
export type Sense = "clockwise" | "counter-clockwise";

/** One value of a round, with what turns it into the quantity and what was known of the instrument that day. */
export type ReadingRecord = {
  ordinal: number;
  /** From 1 at the witness mark. */
  tooth: number;
  /** From 1. */
  turn: number;
  /** Cumulative, of the gear; may pass 360. */
  angleDeg: number;
  sense: Sense;
  quantity: "circumferential-backlash";
  typed: string;
  unit: string;
  valueMm: number;
  struck: boolean;
  /** Ordinal of the first reading at the same position. */
  repeats: number | null;
  indicatorRadiusMm: number;
  indicatorAngleDeg: number;
  instrumentId: string;
  resolutionMm: number;
  expandedUncertaintyMm: number;
  temperatureC: number | null;
  live: boolean;
};

export type RoundResult = {
  count: number;
  minMm: number;
  maxMm: number;
  meanMm: number;
  /** Least and greatest over the hunting cycle, fitted; null where the positions do not allow a fit. */
  worstMinMm: number | null;
  worstMaxMm: number | null;
  tightTooth: number | null;
  expandedUncertaintyMm: number;
  verdict: Verdict;
  /** Whether the spread fits between the limits at all. */
  fits: boolean;
  /** The earlier round that this one, read at the tight spot alone, was carried over from. */
  carriedFrom: string | null;
};

export type Bodies = {
  "job-opened": { reason: string };
  isolated: { lock: string; acknowledged: string[] };
  live: { acknowledged: string[]; saw: string[] };
  round: { phase: RoundPhase; result: RoundResult };
  move: {
    amount: number;
    unit: string;
    direction: "apart" | "together" | "none";
    did: "so" | "otherwise";
    advised: { amount: number; minMm: number; maxMm: number; atMm: number | null; standTooth: number | null } | null;
    reasons: ReasonCode[];
    teaches: boolean;
    note: string;
  };
  clamp: { clamp: number; of: number; pass: number; passes: number; state: ClampState; torqueNm: number | null };
  proof: {
    direction: "forwards" | "backwards";
    speed: "slow" | "working" | "fast";
    currentA: number | null;
    temperatureC: number | null;
    noise: string;
  };
  note: { text: string };
  signature: { record: SignedRecord; comment: string; nextDate: string | null; provisional: Provisional[] };
  correction: { text: string; voids: boolean };
};

/** What a signature puts its name to, as it stood then. */
export type SignedRecord = {
  asFound: RoundResult | null;
  asLeft: RoundResult | null;
  moves: number;
  clampsFirm: number;
  proofs: number;
};

export type Provisional =
  | "no-as-found"
  | "not-inside"
  | "no-check-round"
  | "clamps-not-firm"
  | "no-compound"
  | "not-proved";

export type EntryKind = keyof Bodies;

type Envelope = {
  id: string;
  machineId: string;
  seq: number;
  jobId: string | null;
  stageId: string | null;
  namesEntry: string | null;
  madeBy: string;
  madeAt: string;
  recordedAt: string;
  usage: number | null;
  geometryId: string | null;
  adjusterId: string | null;
  limitsId: string | null;
  readings: ReadingRecord[];
};

export type EntryOf<K extends EntryKind> = Envelope & { kind: K; body: Bodies[K] };
export type Entry = { [K in EntryKind]: EntryOf<K> }[EntryKind];

export const isKind =
  <K extends EntryKind>(kind: K) =>
  <T extends Entry>(entry: T): entry is Extract<T, { kind: K }> =>
    entry.kind === kind;
