import type { ReactNode } from "react";
import type { Reader } from "~/app/features/words/reader";
import type { Elements, StageKind } from "~/core/stages";
import type { Stage } from "~/data/queries/stages";

type Span = { min: number; max: number };

/** What a kind of stage shows beyond what all of them do. */
export type KindPanes<K extends StageKind> = {
  /** Under the next move: what is read, to scale. null: the round is enough. */
  read:
    | ((props: {
        element: Elements[K];
        limits: { lo: number; hi: number };
        now: Span | null;
        then: Span | null;
      }) => ReactNode)
    | null;
  /** The same move by another part of it. null: there is none. */
  otherMember: ((reader: Reader, props: { stage: Stage; element: Elements[K]; changeMm: number }) => ReactNode) | null;
  /** Its axes lie across the sheet or it hides its insides: drawn over its neighbours. */
  onTop: boolean;
  /** Shims on its two sides are set together. */
  bothSides: boolean;
  /** Other gears may be looked for in its place. */
  swaps: boolean;
};

export const plainPanes = { read: null, otherMember: null, onTop: false, bothSides: true, swaps: false } as const;
