import * as z from "zod";
import { adjusterSchema } from "../advice/schema";
import type { ProofPlan } from "../proving";
import { text, words } from "../schemas";
import { measuredQuantities, sideQuantities, stageKinds } from "../stages";
import { elementSchema } from "../stages/schema";
import { adjusterMeans } from "./adjuster-means";
import { machineId, stageId } from "./ids";

/** Clamp screws where they are, mm from the middle of the moving part; numbered from 1 in this order. */
export const clampPattern = z.object({
  points: z.array(z.object({ x: z.number().gte(-1e5).lte(1e5), y: z.number().gte(-1e5).lte(1e5) })).max(60),
  /** Empty: nobody said. */
  size: text(20).trim().default(""),
  /** Full torque; null: not known. */
  torqueNm: z.number().gt(0).lte(1e5).nullable().default(null),
  passes: z.number().int().gte(1).lte(6),
  compound: z.boolean(),
  /** For which threads the torque was given; left out where nobody said. */
  threads: z.enum(["dry", "lubricated"]).optional(),
});
export type ClampPattern = z.output<typeof clampPattern>;

const turnedBy = z.enum(["either", "input", "output", "power"]);
export type TurnedBy = z.output<typeof turnedBy>;

const revision = { id: z.uuid(), revision: z.number().int().gte(1) };

/** What people say of a stage's geometry. */
export const geometryFields = z.object({
  element: elementSchema,
  clamps: clampPattern,
  /** A stage that turns only part of a turn: cumulative gear angles from the witness mark. */
  arcDeg: z
    .tuple([z.number().gte(-3600).lte(3600), z.number().gte(-3600).lte(3600)])
    .refine(([from, to]) => from < to, { path: [0], params: { code: "window-upside-down" } })
    .nullable()
    .default(null),
  /** From which end it can be turned for reading. */
  turnedBy: turnedBy.default("either"),
});
export type Geometry = z.output<typeof geometryFields> & { id: string; revision: number };

/** Stages of the machine that the same move sets as well: how far their centres part a mm of this one's. */
export const alsoMoves = z.array(z.object({ stageId, perMm: z.number().gte(-100).lte(100) })).max(20);

export const adjusterFields = z.object({
  name: words(60),
  /** null: nothing on this stage can be adjusted. */
  adjuster: adjusterSchema.nullable(),
  means: z.enum(adjusterMeans).nullable().default(null),
  alsoMoves: alsoMoves.default([]),
  /** The smallest amount a hand can set, in the adjuster's unit. */
  step: z.number().gt(0).lte(1000),
  positiveWord: words(40),
  negativeWord: words(40),
  /** Of a screw. */
  hand: z.enum(["right", "left"]).nullable().default(null),
  /** False where a hand cannot set an amount: the advice then ends in a feeler. */
  hasScale: z.boolean().default(true),
  /** From where the words for its directions are meant. */
  seenFrom: text(60).trim().default(""),
});
export type StageAdjuster = z.output<typeof adjusterFields> & { id: string; revision: number };

const sourceKind = z.enum(["maker", "drawing", "standard", "house rule", "recommended"]);
export type SourceKind = z.output<typeof sourceKind>;
const source = { sourceKind, source: words(200) };
const amount = z.number().gte(0).lte(1e7);

const given = z.object({
  quantity: z.enum(measuredQuantities),
  /** What is held still where it is read: mm, N or pitches. */
  held: z.number().gt(0).lte(1e6).nullable().default(null),
  lo: amount,
  aim: amount.nullable(),
  hi: amount,
});
/** Limits as they were given. */
export type GivenLimits = z.output<typeof given>;

export const limitsFields = given
  .extend(source)
  .refine((limits) => limits.lo <= limits.hi, { path: ["lo"], params: { code: "window-upside-down" } })
  .refine((limits) => limits.aim === null || (limits.aim >= limits.lo && limits.aim <= limits.hi), {
    path: ["aim"],
    params: { code: "aim-outside" },
  });

const limitsRecord = z.object({
  ...revision,
  given,
  /** In the unit of the quantity that the stage is judged by. */
  lo: z.number(),
  aim: z.number().nullable(),
  hi: z.number(),
  sourceKind,
  source: z.string(),
  effectiveFrom: z.iso.datetime(),
});
export type StageLimits = z.output<typeof limitsRecord>;

/** Limits of something read beside it; one end may be open. */
export const sideLimitsFields = z
  .object({
    id: z.uuid().toLowerCase(),
    quantity: z.enum(sideQuantities),
    lo: amount.nullable(),
    hi: amount.nullable(),
    ...source,
  })
  .refine((limits) => limits.lo !== null || limits.hi !== null, { path: ["hi"], params: { code: "missing" } })
  .refine((limits) => limits.lo === null || limits.hi === null || limits.lo <= limits.hi, {
    path: ["lo"],
    params: { code: "window-upside-down" },
  });
export type SideLimits = z.output<typeof sideLimitsFields> & { revision: number; effectiveFrom: string };

export const stageRecord = z.object({
  id: stageId,
  machineId,
  /** In the drive line, from 0. */
  position: z.number().int().gte(0),
  name: words(80),
  kind: z.enum(stageKinds),
  retiredAt: z.iso.datetime().nullable(),
});
export type Stage = z.output<typeof stageRecord> & {
  geometry: Geometry;
  adjuster: StageAdjuster;
  /** null: nobody has said them yet; what is read is kept and not judged. */
  limits: StageLimits | null;
  sideLimits: SideLimits[];
  /** What proves it: its own plan, and that of its machine; one kept by an earlier release has none. */
  plans?: readonly ProofPlan[];
};

/** What people say of a whole stage. */
export const stageFields = z.object({
  name: words(80),
  geometry: geometryFields,
  adjuster: adjusterFields,
  /** null: not known yet. */
  limits: limitsFields.nullable(),
  sideLimits: z.array(sideLimitsFields).max(sideQuantities.length).default([]),
});

/** The parts of it that are revised each by itself. */
export const stageParts = {
  geometry: stageFields.pick({ geometry: true }),
  adjuster: stageFields.pick({ adjuster: true }),
  limits: stageFields.pick({ limits: true, sideLimits: true }),
  stage: stageFields.pick({ name: true }),
};
