import { type UnitId, unitById } from "../quantity";

/** The units in which an instrument of each dimension may show, the usual one first. */
export const instrumentUnits = {
  length: ["mm", "in"],
  angle: ["arcmin", "deg"],
  force: ["N", "lbf", "kgf"],
  frequency: ["Hz"],
  current: ["A"],
  temperature: ["C"],
} as const satisfies Record<string, readonly UnitId[]>;

export type InstrumentDimension = keyof typeof instrumentUnits;
export const instrumentDimensions = Object.keys(instrumentUnits) as InstrumentDimension[];

export type Shown = {
  id: UnitId;
  symbol: string;
  dimension: InstrumentDimension;
  /** From a figure in this unit to how it is kept, and back. */
  kept: (shown: number) => number;
  shown: (kept: number) => number;
};

/**
 * In which unit an instrument's figures are typed and shown; one that it does not know stands for the usual one. They are kept
 * in mm, arcminutes, N, Hz, A and °C. These are steps and uncertainties: a temperature's have no zero to count from.
 */
export function shownIn({ dimension, unit }: { dimension: InstrumentDimension; unit: string }): Shown {
  const units: readonly UnitId[] = instrumentUnits[dimension];
  const id = units.find((known) => known === unit) ?? (units[0] as UnitId);
  const { symbol, factor } = unitById(id);
  const per = factor * (dimension === "angle" ? 60 : 1);
  return {
    id,
    symbol,
    dimension,
    kept: (shown) => Number((shown * per).toPrecision(12)),
    shown: (kept) => Number((kept / per).toPrecision(9)),
  };
}

/** Every way an instrument may show. */
export const everyShown: readonly Shown[] = instrumentDimensions.flatMap((dimension) =>
  instrumentUnits[dimension].map((unit) => shownIn({ dimension, unit })),
);
