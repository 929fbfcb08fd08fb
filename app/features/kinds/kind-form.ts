import type { ReactNode } from "react";
import type { Reader } from "~/app/features/words/reader";
import type { AdjusterMeans } from "~/core/records";
import type { Elements, MeasuredQuantity, StageKind } from "~/core/stages";
import type { Reading, Texts } from "../form/field-readers";
import { type Read, TextReader } from "../form/text-reader";
import type { MovedPart } from "../stage-form/adjuster-picture";

export type Figure = readonly [name: string, value: string];

/** Limits by a rule, given in a quantity (its usual one where none is named), with the rule in words. */
export type RuleLimits = { quantity: MeasuredQuantity | null; lo: number; hi: number; source: string };

/** How a kind of stage is entered, and what of it is shown while one types. */
export type KindForm<K extends StageKind> = {
  Fields: () => ReactNode;
  /** As far as its fields can be read; what is wrong with one is noted at its name. */
  read: (read: Reading) => Elements[K];
  /** The fields of one that is there already. */
  texts: (reader: Reader, element: Elements[K]) => Texts;
  /** What follows from it, each with its formula or source where it is not plain. */
  figures: (reader: Reader, element: Elements[K]) => readonly Figure[];
  /** Its drawing, where what is drawn can be moved by hand; left out: as it is. */
  Drawn?: (props: { element: Elements[K]; label: string }) => ReactNode;
  /** Whether it is turned by hand for reading: not at all, a whole turn, or perhaps a part of one. */
  turned: "no" | "whole" | "arc";
  /** In what its limits are usually given. */
  usualLimits: MeasuredQuantity;
  /** Asks for what the rule for its limits has to know; null: nothing. */
  AskedFor: ((props: { element: Elements[K] }) => ReactNode) | null;
  /** Recommends limits in a way of its own; null: by its rule. */
  Recommend: ((props: { element: Elements[K] }) => ReactNode) | null;
  /** Limits by the element alone, for a stage that has none yet, in a way of its own; null: by its rule. */
  byRule: ((element: Elements[K]) => RuleLimits | null) | null;
  /** Said where no limits can be recommended. */
  noRule: string;
  /** What adjusters are found on it, the usual first. */
  means: readonly AdjusterMeans[];
  /** The part that its adjuster moves, for the picture; null: it is not drawn. */
  moved: (texts: Texts) => MovedPart | null;
  /** What its adjuster's directions do, where that is not what the kind always does. */
  ways: (texts: Texts) => readonly [apart: string, together: string] | null;
  shims: {
    /** What a mm of them moves. */
    label: string;
    /** The part that stands, the one that moves, and what lies between. */
    drawn: readonly [still: string, part: string, between: string];
    remark: string;
  };
};

/** The element that the fields of its kind describe, as far as they can be read; whether it has a geometry is another question. */
export function readKind<E>(form: { read: (read: Reading) => E }, texts: Texts): Read<E> {
  const read = new TextReader(texts);
  return read.done(form.read(read));
}
