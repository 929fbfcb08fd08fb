import * as z from "zod";
import { optionOutcomes } from "../core/logbook";
import { text, words } from "./input";

const over0 = z.number().gt(0).lte(1e9).nullable().default(null);
const said = text(200).trim().default("");

/** What people say of one way to drive a stage, or to build an assembly; null: not known. */
export const optionFields = z.object({
  name: words(60),
  /** Of which assembly of a machine; left out: of a stage. */
  assembly: words(80).optional(),
  motorRpm: over0,
  /** Below 0 where it turns the other way. */
  ratio: z
    .number()
    .gte(-1e6)
    .lte(1e6)
    .refine((value) => value !== 0, { params: { code: "is-zero" } })
    .nullable()
    .default(null),
  wheelDiameterMm: over0,
  scale: over0,
  motorTorqueNm: over0,
  efficiency: z.number().gt(0).lte(1).nullable().default(null),
  price: z.number().gte(0).lte(1e9).nullable().default(null),
  noise: said,
  room: said,
  effort: said,
  use: said,
  service: said,
  measuredRpm: over0,
  outcome: z.enum(optionOutcomes),
  why: text(400).trim().default(""),
});
