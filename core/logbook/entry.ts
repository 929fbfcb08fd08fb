import type { ReasonCode } from "../advice";
import type { Verdict } from "../limits";
import type { MeasuredQuantity } from "../rounds";
import type { Feel, FeelMethod, FeelSays } from "./feel";

export type RoundPhase = "as-found" | "set" | "check";
export type ClampState = "eased" | "started" | "snug" | "firm" | "dressed";
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
  quantity: MeasuredQuantity;
  typed: string;
  unit: string;
  /** Circumferential backlash at the working pitch circle. */
  valueMm: number;
  struck: boolean;
  /** Ordinal of the first reading at the same position. */
  repeats: number | null;
  /** null for what is not read with an indicator. */
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number | null;
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

/** A click by hand or ear at one tooth. */
export type FeltAt = { tooth: number; feel: Feel };

/** What a revision or a change of a machine touched. */
export type ChangedThing = "machine" | "stage" | "geometry" | "adjuster" | "limits" | "retired" | "in-service";

export type Bodies = {
  /** `firstBuild`: there is nothing as found. */
  "job-opened": { reason: string; firstBuild?: boolean };
  isolated: { lock: string; acknowledged: string[] };
  live: { acknowledged: string[]; saw: string[] };
  round: { phase: RoundPhase; result: RoundResult };
  feel: { phase: RoundPhase; method: FeelMethod; places: FeltAt[]; verdict: Verdict; says: FeelSays };
  move: {
    amount: number;
    unit: string;
    direction: "apart" | "together" | "none";
    did: "so" | "otherwise";
    advised: { amount: number; minMm: number; maxMm: number; atMm: number | null; standTooth: number | null } | null;
    reasons: ReasonCode[];
    teaches: boolean;
    note: string;
    /** The leaves with which it was set, where the adjuster has no scale. */
    feelerMm?: number[];
  };
  /** Put in for the work, or taken out again: then the entry names the one that put it in. */
  "loose-thing": { thing: string; state: "in" | "out"; where: string };
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
  "open-point": { text: string };
  /** Names the entry that opened it. */
  "point-closed": { text: string };
  /** What the meter shows; `total` over all meters the machine has had. */
  usage: { reading: number; unit: string; total: number; newMeter: boolean };
  change: { what: ChangedThing; text: string; warnings: string[] };
  attachment: { name: string; mediaType: string; sizeBytes: number; sha256: string; caption: string };
  /** A computation of the Bench kept on a stage: what went in and what came out. */
  computation: { tool: string; input: unknown; output: unknown; text: string };
  plan: { date: string | null; text: string };
};

/** What a signature puts its name to, as it stood then. */
export type SignedRecord = {
  asFound: RoundResult | null;
  asLeft: RoundResult | null;
  /** By feel only, where nothing was measured. */
  asLeftByFeel?: FeelSays;
  moves: number;
  clampsFirm: number;
  proofs: number;
};

export type Provisional =
  | "no-as-found"
  | "not-inside"
  | "no-check-round"
  | "things-left-in"
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
