import type { ReasonCode } from "../advice";
import type { BandFit, Verdict } from "../limits";
import type { JudgedQuantity, MeasuredQuantity, PlaceWord, SideQuantity } from "../stages";
import type { FeelMethod, FeltAt, FeltJudged } from "./feel";

export type RoundPhase = "as-found" | "set" | "check";
export type ClampState = "eased" | "started" | "snug" | "firm" | "dressed";
export type Sense = "clockwise" | "counter-clockwise";

/** One value of a round, with what turns it into the quantity and what was known of the instrument that day. */
export type ReadingRecord = {
  ordinal: number;
  /** Tooth, link or place of the part that is read round (`Frame`), from 1 at the witness mark. */
  tooth: number;
  /** From 1. */
  turn: number;
  /** Cumulative, of the gear; may pass 360. */
  angleDeg: number;
  sense: Sense;
  quantity: MeasuredQuantity;
  typed: string;
  unit: string;
  /** The quantity that the stage is judged by, in its unit (`judgedUnit`): circumferential backlash at the working pitch circle, tension, sag … */
  value: number;
  struck: boolean;
  /** Ordinal of the first reading at the same position. */
  repeats: number | null;
  /** null for what is not read with an indicator. */
  indicatorRadiusMm: number | null;
  indicatorAngleDeg: number | null;
  /** What was held still: mm of deflection, N, or counted pitches. */
  held: number | null;
  instrumentId: string;
  /** Of the instrument, in the unit it shows. */
  resolution: number;
  expandedUncertainty: number;
  temperatureC: number | null;
  live: boolean;
};

export type RoundResult = {
  /** What it is judged by, and in what unit all its values are. */
  quantity: JudgedQuantity;
  count: number;
  min: number;
  max: number;
  mean: number;
  /** Least and greatest over the hunting cycle, fitted; null where the positions do not allow a fit. */
  worstMin: number | null;
  worstMax: number | null;
  tightTooth: number | null;
  expandedUncertainty: number;
  verdict: Verdict;
  /** Whether one setting can hold all of it; null: an earlier release judged it on a scale that did not hold for its quantity. */
  holds: BandFit | null;
  /** Of a switchable gear, which one was read. */
  gear?: string;
  /** Tooth counts that were in mesh: after a gear is exchanged the round is still that of the gear that was in. */
  teeth?: readonly [number, number];
  /** What was measured, and on what part: of a set of belts, places are counted on through all of them. */
  read?: { how: MeasuredQuantity; part: PlaceWord; belts: number };
  /** The earlier round that this one, read at the tight spot alone, was carried over from. */
  carriedFrom: string | null;
};

/** Words as they stood on the screen for whoever acknowledged them, and what they stand for. */
export type Said = { key: string; text: string };

/** How a run ended. */
export const runOutcomes = ["ran", "stalled", "stopped"] as const;
export type RunOutcome = (typeof runOutcomes)[number];
export const runWays = ["powered", "by-hand"] as const;
export type RunWay = (typeof runWays)[number];
export type RunDirection = "forwards" | "backwards";

/** What was to be proven and was not: a direction of a gear, null of a stage that has one. */
export type UnprovenRun = { gear: string | null; direction: RunDirection };

/** Shims as they lie in a stage, a size a line. */
export type LaidStack = { thicknessMm: number; count: number }[];

/** The shims before a move and after it, and those on the other side of the part where pieces were carried across. */
export type MovedStack = {
  was: LaidStack;
  now: LaidStack;
  other?: { was: LaidStack; now: LaidStack } | undefined;
};

/** What a revision or a change of a machine touched. */
export type ChangedThing =
  | "machine"
  | "stage"
  | "geometry"
  | "adjuster"
  | "limits"
  | "retired"
  | "in-service"
  | "drive-line"
  | "moved-along";

export type Bodies = {
  /** `firstBuild`: there is nothing as found. */
  "job-opened": { reason: string; firstBuild?: boolean };
  /** `lock` null: none was put on, and `noLock` says what was done instead. What was asked and not ticked stands apart. */
  isolated: { lock: string | null; noLock: Said | null; acknowledged: Said[]; notAcknowledged: Said[] };
  /** `saw`: what the app saw open then; `notKnown`: what nobody had said. */
  live: { acknowledged: Said[]; saw: string[]; notKnown: string[] };
  /** `overdue`: the day on which the calibration of its instrument had been due. */
  round: { phase: RoundPhase; result: RoundResult; overdue?: string };
  /** Something read beside the quantity that the stage is judged by, against limits of its own where it has any. */
  side: {
    quantity: SideQuantity;
    count: number;
    min: number;
    max: number;
    expandedUncertainty: number;
    limits: { lo: number | null; hi: number | null } | null;
    /** null: there are no limits to judge it by. */
    verdict: Verdict | null;
    note: string;
    overdue?: string;
  };
  /** `of`: places of the whole turn; null, and `judged` null, of entries that an earlier release judged by another table. */
  feel: {
    phase: RoundPhase;
    method: FeelMethod;
    gear: string | null;
    of: number | null;
    places: FeltAt[];
    judged: FeltJudged | null;
  };
  move: {
    amount: number;
    unit: string;
    direction: "apart" | "together" | "none";
    did: "so" | "otherwise";
    advised: { amount: number; min: number; max: number; at: number | null; standTooth: number | null } | null;
    reasons: ReasonCode[];
    teaches: boolean;
    note: string;
    /** The leaves with which it was set, where the adjuster has no scale. */
    feelerMm?: number[];
    /** The shims that lay in it, and those that lie in it now, where they were said one by one. */
    stack?: MovedStack;
  };
  /** Put in for the work, or taken out again: then the entry names the one that put it in. */
  "loose-thing": { thing: string; state: "in" | "out"; where: string };
  clamp: { clamp: number; of: number; pass: number; passes: number; state: ClampState; torqueNm: number | null };
  /** `outcome` null: nobody was asked how it ended. */
  proof: {
    way: RunWay;
    outcome: RunOutcome | null;
    direction: RunDirection;
    speed: "slow" | "working" | "fast";
    currentA: number | null;
    temperatureC: number | null;
    noise: string;
    /** Of a switchable gear, which one ran. */
    gear?: string;
  };
  note: { text: string };
  /** `saw`: the ids of the entries that the signer saw; null: nobody noted them. */
  signature: {
    record: SignedRecord;
    comment: string;
    nextDate: string | null;
    provisional: Provisional[];
    saw: string[] | null;
    unproven: UnprovenRun[];
    /** By what the signer showed that it is they; left out where nobody asked. */
    provenBy?: "pin" | "password";
  };
  /** Of a lead, beside the signature that it names. */
  countersignature: { comment: string; provenBy?: "password" };
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
  asLeftByFeel?: Pick<FeltJudged, "verdict" | "side">;
  moves: number;
  clampsFirm: number;
  proofs: number;
  /** What was read beside it, each as last read. */
  sides?: Bodies["side"][];
};

export type Provisional =
  | "no-as-found"
  | "not-inside"
  | "side-not-inside"
  | "no-check-round"
  | "things-left-in"
  | "clamps-not-firm"
  | "clamps-not-known"
  | "run-went-wrong"
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
  /** As the author was called then. */
  madeByName: string;
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
