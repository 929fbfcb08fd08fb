import * as z from "zod";
import { instrumentDimensions, instrumentUnits } from "../practice";
import { text, words } from "../schemas";
import { instrumentId } from "./ids";

const day = z.iso.date();

/** What people say of an instrument, as its certificate has it. */
const said = z.object({
  name: words(80),
  kind: words(60),
  /** Of what it shows. */
  dimension: z.enum(instrumentDimensions),
  /** One step, in the canonical unit of the dimension, angles in arcminutes. */
  resolution: z.number().gt(0).lte(1e6),
  expandedUncertainty: z.number().gte(0).lte(1e6),
  coverage: z.number().gt(0).lte(10).default(2),
  /** Thicknesses of a feeler set; empty for what has no leaves. */
  leavesMm: z.array(z.number().gt(0).lte(100)).max(60).default([]),
  serial: text(80).trim().default(""),
  /** In which it shows; empty: the usual one of its dimension. */
  unit: text(20).trim().default(""),
  /** Days; null where nobody has said. */
  calibratedOn: day.nullable().default(null),
  dueOn: day.nullable().default(null),
});

export const instrumentFields = said
  .refine(({ dimension, unit }) => unit === "" || (instrumentUnits[dimension] as readonly string[]).includes(unit), {
    params: { code: "not-understood" },
    path: ["unit"],
  })
  .refine(({ calibratedOn, dueOn }) => !calibratedOn || !dueOn || calibratedOn <= dueOn, {
    params: { code: "due-before-calibrated" },
    path: ["dueOn"],
  });

export const instrumentRecord = said.extend({
  id: instrumentId,
  retiredAt: z.iso.datetime().nullable(),
  revision: z.number().int(),
});
export type Instrument = z.output<typeof instrumentRecord>;

/** What one needs to enter one; the rest may come later. */
export type NewInstrument = Omit<Instrument, "serial" | "unit" | "calibratedOn" | "dueOn" | "retiredAt" | "revision"> &
  Partial<Pick<Instrument, "serial" | "unit" | "calibratedOn" | "dueOn">>;
