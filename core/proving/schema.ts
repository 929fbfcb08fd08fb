import * as z from "zod";
import { finite, notNegative, positive, text, words } from "../schemas";
import { loadKinds, runDirections, runMoves, runQuantities, runSpeeds } from "./vocabulary";

/** Records of a proof plan: what they hold, and with that the types. */

/** Driven against: a known weight, a brake arm on a scale (force times arm), or what is said. */
export const runLoad = z.discriminatedUnion("kind", [
  z.object({ kind: z.literal(loadKinds[0]), kg: positive }),
  z.object({ kind: z.literal(loadKinds[1]), forceN: positive, armMm: positive }),
  z.object({ kind: z.literal(loadKinds[2]), text: words(60) }),
]);
export type RunLoad = z.output<typeof runLoad>;

export const planRun = z.object({
  id: z.uuid(),
  /** Words of the workshop's own; empty: it is called by what it is. */
  name: text(80).trim().default(""),
  move: z.enum(runMoves),
  direction: z.enum(runDirections).nullable().default(null),
  speed: z.enum(runSpeeds).nullable().default(null),
  /** Of a switchable gear. */
  gear: text(40).trim().nullable().default(null),
  load: runLoad.nullable().default(null),
  /** So long at least; null: as long as it takes. */
  minutes: positive.nullable().default(null),
  required: z.boolean().default(true),
});
export type PlanRun = z.output<typeof planRun>;

/** Limits, or so far around what the same run read last time. */
export const planLimit = z
  .object({
    /** null: every run under power. */
    run: z.uuid().nullable().default(null),
    of: z.enum(runQuantities),
    /** Of a temperature: where; empty: anywhere. */
    place: text(60).trim().default(""),
    lo: finite.nullable().default(null),
    hi: finite.nullable().default(null),
    aroundLast: z
      .object({ by: notNegative, unit: z.enum(["percent", "own"]) })
      .nullable()
      .default(null),
  })
  .refine(({ lo, hi, aroundLast }) => lo !== null || hi !== null || aroundLast !== null, {
    path: ["hi"],
    params: { code: "one-limit" },
  })
  .refine(({ lo, hi }) => lo === null || hi === null || lo <= hi, {
    path: ["lo"],
    params: { code: "window-upside-down" },
  });
export type PlanLimit = z.output<typeof planLimit>;

const meter = z.object({ of: z.enum(runQuantities), expandedUncertainty: notNegative });

/** What proves a stage, or a machine as a whole. */
export const proofPlanFields = z.object({
  runs: z.array(planRun).min(1).max(40),
  limits: z.array(planLimit).max(80).default([]),
  /** ± of what it is read with, k = 2; of what is not here nobody said, and the figure is taken as read. */
  meters: z.array(meter).max(runQuantities.length).default([]),
  /** A bench supply gives no more: a reading there hides the rest. null: none, or not known. */
  supplyLimitA: positive.nullable().default(null),
  /** Currents of both directions may differ by so much of their mean; null: said, not judged. */
  asymmetryPercent: positive.nullable().default(null),
  /** What the motor turns at, where it is not the drive line's; null: as the drive line has it, at working speed. */
  motorRpm: z
    .object({
      slow: positive.nullable().default(null),
      working: positive.nullable().default(null),
      fast: positive.nullable().default(null),
    })
    .nullable()
    .default(null),
});
export type ProofPlanFields = z.output<typeof proofPlanFields>;

/** One revision of it; of a stage, or with no stage of its machine. */
export const proofPlanRevision = proofPlanFields.extend({
  id: z.uuid(),
  machineId: z.uuid(),
  stageId: z.uuid().nullable(),
  revision: z.int().gte(1),
});
export type ProofPlan = z.output<typeof proofPlanRevision>;
