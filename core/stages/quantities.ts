import type { Dimension } from "../quantity";

/** What a stage is judged by, all in the units of `judgedUnit`. */
export const judgedQuantities = [
  "backlash",
  "lost-motion",
  "tension",
  "sag",
  "elongation",
  "shaft-offset",
  "gap",
  "switch-to-buffer",
  "switch-to-buffer-angle",
] as const;
export type JudgedQuantity = (typeof judgedQuantities)[number];

/** What can be held to a stage and read. */
export const measuredQuantities = [
  "circumferential-backlash",
  "normal-backlash",
  "tip-clearance",
  "angular-backlash",
  "tension",
  "span-frequency",
  "span-force",
  "span-deflection",
  "sag",
  "hand-movement",
  "elongation",
  "rim-swing",
  "shaft-offset",
  "gap",
  "end-float",
  "runout",
  "offset",
  "angle",
  "hub-gap",
  "run-clearance",
  "switch-to-buffer",
  "switch-to-buffer-angle",
] as const;
export type MeasuredQuantity = (typeof measuredQuantities)[number];

/** Read beside the quantity that a stage is judged by, each with limits of its own where somebody gave them. */
export const sideQuantities = [
  "end-float",
  "elongation",
  "runout",
  "offset",
  "angle",
  "hub-gap",
  "run-clearance",
] as const;
export type SideQuantity = (typeof sideQuantities)[number];

/** `factor` turns the canonical value of the dimension into the unit in which the quantity is kept. */
export type QuantityUnit = {
  unit: string;
  dimension: Dimension;
  bare: string;
  factor: number;
  digits: number;
  /** Below 0 is the other side of where it is read from. */
  signed?: true;
};

const mm: QuantityUnit = { unit: "mm", dimension: "length", bare: "mm", factor: 1, digits: 2 };
const newton: QuantityUnit = { unit: "N", dimension: "force", bare: "N", factor: 1, digits: 1 };
const arcmin: QuantityUnit = { unit: "arcmin", dimension: "angle", bare: "arcmin", factor: 60, digits: 1 };

/** How what is measured is typed and kept. Elongation is typed as the length of the counted pitches. */
export const measuredUnit: Record<MeasuredQuantity, QuantityUnit> = {
  "circumferential-backlash": mm,
  "normal-backlash": mm,
  "tip-clearance": mm,
  "angular-backlash": arcmin,
  tension: newton,
  "span-frequency": { unit: "Hz", dimension: "frequency", bare: "Hz", factor: 1, digits: 1 },
  "span-force": newton,
  "span-deflection": mm,
  sag: { ...mm, digits: 1 },
  "hand-movement": { ...mm, digits: 1 },
  elongation: mm,
  "rim-swing": mm,
  "shaft-offset": mm,
  gap: mm,
  "end-float": mm,
  runout: mm,
  offset: mm,
  angle: { unit: "°", dimension: "angle", bare: "deg", factor: 1, digits: 2 },
  "hub-gap": mm,
  "run-clearance": { ...mm, digits: 1 },
  "switch-to-buffer": { ...mm, digits: 1, signed: true },
  "switch-to-buffer-angle": { unit: "°", dimension: "angle", bare: "deg", factor: 1, digits: 1, signed: true },
};

/** What an instrument's own figures, of angles in arcminutes, are in the unit of a measured quantity. */
export const perFigure = (quantity: MeasuredQuantity): number => (measuredUnit[quantity].unit === "°" ? 1 / 60 : 1);

export const judgedUnit: Record<JudgedQuantity, { unit: string; digits: number }> = {
  backlash: { unit: "mm", digits: 2 },
  "lost-motion": { unit: "arcmin", digits: 1 },
  tension: { unit: "N", digits: 0 },
  sag: { unit: "mm", digits: 1 },
  elongation: { unit: "%", digits: 2 },
  "shaft-offset": { unit: "mm", digits: 2 },
  gap: { unit: "mm", digits: 2 },
  "switch-to-buffer": { unit: "mm", digits: 1 },
  "switch-to-buffer-angle": { unit: "°", digits: 1 },
};

export const sideUnit: Record<SideQuantity, { unit: string; digits: number }> = {
  "end-float": { unit: "mm", digits: 2 },
  elongation: { unit: "%", digits: 2 },
  runout: { unit: "mm", digits: 2 },
  offset: { unit: "mm", digits: 1 },
  angle: { unit: "°", digits: 2 },
  "hub-gap": { unit: "mm", digits: 2 },
  "run-clearance": { unit: "mm", digits: 1 },
};

/** Of two values the one that is tighter: the greater tension, the lesser backlash, sag, gap or way to the buffer. */
export const isTighter = (quantity: JudgedQuantity, a: number, b: number): boolean =>
  quantity === "tension" ? a > b : a < b;

/** The end at which a strand reads slack, and the other at which it reads too tight; null: what is read tells neither. */
export const slackEndOf = (quantity: JudgedQuantity): "lo" | "hi" | null =>
  quantity === "tension" ? "lo" : quantity === "sag" ? "hi" : null;

/** A worn chain only gets longer, and no offset is too little: their lower limit says nothing. */
export const onlyUpper = (quantity: JudgedQuantity): boolean =>
  quantity === "elongation" || quantity === "shaft-offset";

/** Its two ends are set each by itself: how far they read apart says nothing of whether both can be held. */
export const setApart = (quantity: JudgedQuantity): boolean =>
  quantity === "switch-to-buffer" || quantity === "switch-to-buffer-angle";

/** Where between its limits it is to come: as given, else the middle; null where only the upper one counts and nobody gave any. */
export const aimOf = (
  quantity: JudgedQuantity,
  { lo, aim, hi }: { lo: number; aim: number | null; hi: number },
): number | null => aim ?? (onlyUpper(quantity) ? null : (lo + hi) / 2);

/** The aim of limits, else their middle: where a stage is thought of while it is set. null where there are no limits. */
export const middleOf = (limits: { lo: number; aim: number | null; hi: number } | null): number | null =>
  limits && (limits.aim ?? (limits.lo + limits.hi) / 2);
