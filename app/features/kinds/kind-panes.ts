import type { ReactNode } from "react";
import type { Reader } from "~/app/features/words/reader";
import type { PrintMove } from "~/core/prints";
import type { Refusal } from "~/core/quantity";
import type { Stage, StoreItem } from "~/core/records";
import type { CountingReading } from "~/core/rounds";
import type { Elements, StageKind } from "~/core/stages";

/** What lies on either side, mm, null where nobody has said; and by how much this side is to change. */
export type Shims = { hereMm: number | null; otherMm: number | null; changeMm: number };

type Span = { min: number; max: number };

export type BesideProps<K extends StageKind> = {
  stage: Stage;
  element: Elements[K];
  /** What was read, place by place; none while nothing is. */
  counting: readonly CountingReading[];
  /** Of one reading; 0 while nothing is read. */
  expandedUncertainty: number;
  /** Of the draft: what is typed stays until it is logged. */
  texts: Readonly<Record<string, string>>;
  onText: (name: string, text: string) => void;
  /** Logs a move of the adjuster, with what was read. */
  onMove: (amount: number, note: string) => Refusal | null;
  /** Clamps that are to be eased before it is moved. */
  easeFirst: ReactNode;
};

/** What a kind of stage shows beyond what all of them do. */
export type KindPanes<K extends StageKind> = {
  /** The part itself as it stands, over the places that were read: what is plucked, where the shims lie. null: the round is drawn in it. */
  part:
    | ((props: {
        element: Elements[K];
        limits: { lo: number; hi: number } | null;
        now: Span | null;
        then: Span | null;
        shims: Shims | null;
        counting: readonly CountingReading[];
      }) => ReactNode)
    | null;
  /** Under the next move: what is read, to scale. null: the round is enough. */
  read:
    | ((props: {
        element: Elements[K];
        limits: { lo: number; hi: number } | null;
        now: Span | null;
        then: Span | null;
      }) => ReactNode)
    | null;
  /** The same move by another part of it. null: there is none. */
  otherMember: ((reader: Reader, props: { stage: Stage; element: Elements[K]; changeMm: number }) => ReactNode) | null;
  /** What is set beside what it is judged by, under the next move. null: nothing is. */
  beside: ((props: BesideProps<K>) => ReactNode) | null;
  /** After a print: how its members are moved together. null: the moves that the print names are enough. */
  byPrint: ((props: ByPrintProps<K>) => ReactNode) | null;
};

export type ByPrintProps<K extends StageKind> = {
  stage: Stage;
  element: Elements[K];
  /** What the print asks for. */
  moves: readonly PrintMove["what"][];
  /** As last read in this job; null: it was not. */
  backlashMm: number | null;
  stock: readonly StoreItem[];
  texts: Readonly<Record<string, string>>;
  onText: (name: string, text: string) => void;
  /** Logs how far the adjuster was moved, 0 where it was not, with what else was. */
  onMoved: (amount: number, note: string) => void;
};

export const noPanes = { part: null, read: null, otherMember: null, beside: null, byPrint: null } as const;
