import type { MeasuredQuantity } from "../stages";
import type { Bodies } from "./schema";
import type { Sense } from "./vocabulary";

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
/** An entry as its hash covers it: what an earlier release wrote has a body and readings of its own shape. */
export type WrittenEntry = Omit<Envelope, "madeByName" | "readings"> & {
  kind: EntryKind;
  body: object;
  madeByName?: string;
  readings: readonly object[];
};
export type Entry = { [K in EntryKind]: EntryOf<K> }[EntryKind];

export const isKind =
  <K extends EntryKind>(kind: K) =>
  <T extends Entry>(entry: T): entry is Extract<T, { kind: K }> =>
    entry.kind === kind;
