import * as z from "zod";
import { finite, notNegative, positive, text, words } from "../schemas";
import { shaftHolds, shaftPartKinds } from "./vocabulary";

/** Records of a shaft: what they hold, and with that the types. */

const partId = words(60);

/** Where a plane of a part must stand: so far from the left face, or in one plane with that of a part of another shaft. */
const planeTarget = z.union([z.object({ fromFaceMm: finite }), z.object({ shaftId: z.uuid(), partId })]);
export type PlaneTarget = z.output<typeof planeTarget>;

export const shaftPart = z.object({
  id: partId,
  name: words(80),
  kind: z.enum(shaftPartKinds).default("other"),
  /** As it is written or drawn; null: not known until it is measured. */
  widthMm: positive.nullable().default(null),
  plane: z
    .object({
      /** From the part's own left side; null: its middle. */
      onPartMm: finite.nullable().default(null),
      at: planeTarget,
      toleranceMm: notNegative,
    })
    .nullable()
    .default(null),
  hold: z.enum(shaftHolds).default("nothing"),
  /** Flats of set screws, or how the key lies: "0° and 90°". */
  clocking: text(80).trim().default(""),
  /** Which way round: "cap to the left". */
  facing: text(80).trim().default(""),
});
export type ShaftPart = z.output<typeof shaftPart>;

export const shaftParts = z.array(shaftPart).min(1).max(60);

/** What a shaft is, without whose it is. */
export const shaftFields = z.object({
  name: words(80),
  leftFace: words(60),
  rightFace: words(60),
  /** Face to face, as drawn; null: not known until it is measured. */
  lengthMm: positive.nullable().default(null),
  /** Of the shaft, so that spacers are sought that go on it; null: not known. */
  diameterMm: positive.nullable().default(null),
  /** Where the left face stands on the machine, measured as those of its other shafts are; null: not known. */
  leftFaceAtMm: finite.nullable().default(null),
  endFloat: z.object({ loMm: notNegative, hiMm: notNegative }),
  parts: shaftParts,
});
export type ShaftFields = z.output<typeof shaftFields>;

/** One revision of a shaft, as it lies with its machine. */
export const shaftRevision = shaftFields.extend({
  id: z.uuid(),
  shaftId: z.uuid(),
  machineId: z.uuid(),
  revision: z.int().gte(1),
});
export type Shaft = z.output<typeof shaftRevision>;
