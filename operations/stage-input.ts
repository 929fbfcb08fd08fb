import * as z from "zod";
import { adjusterSchema } from "../calc";
import { accept, type Result, refuse } from "../core/quantity";
import {
  checkElement,
  limitWays,
  measuredQuantities,
  type StageElement,
  sideQuantities,
  sidesOf,
  type Unwise,
} from "../core/stages";
import { elementSchema } from "../core/stages/schema";
import { adjusterMeans, type Geometry, type StageAdjuster, type StageLimits } from "../data/queries/stages";
import { id, text, words } from "./input";

export const clampPattern = z.object({
  points: z
    .array(z.object({ x: z.number().gte(-1e5).lte(1e5), y: z.number().gte(-1e5).lte(1e5) }))
    .min(1)
    .max(60),
  size: words(20),
  torqueNm: z.number().gt(0).lte(1e5),
  passes: z.number().int().gte(1).lte(6),
  compound: z.boolean(),
  threads: z.enum(["dry", "lubricated"]).optional(),
});

export const geometryInput = z.object({
  element: elementSchema,
  clamps: clampPattern,
  /** Cumulative angles of a stage that turns only so far. */
  arcDeg: z
    .tuple([z.number().gte(-3600).lte(3600), z.number().gte(-3600).lte(3600)])
    .refine(([from, to]) => from < to, { path: [0], params: { code: "window-upside-down" } })
    .nullable()
    .default(null),
  turnedBy: z.enum(["either", "input", "output", "power"]).default("either"),
});

export const adjusterInput = z.object({
  name: words(60),
  adjuster: adjusterSchema.nullable(),
  means: z.enum(adjusterMeans).nullable().default(null),
  alsoMoves: z
    .array(z.object({ stageId: id, perMm: z.number().gte(-100).lte(100) }))
    .max(20)
    .default([]),
  step: z.number().gt(0).lte(1000),
  positiveWord: words(40),
  negativeWord: words(40),
  hand: z.enum(["right", "left"]).nullable().default(null),
  hasScale: z.boolean().default(true),
  seenFrom: text(60).trim().default(""),
});

const source = {
  sourceKind: z.enum(["maker", "drawing", "standard", "house rule", "recommended"]),
  source: words(200),
};
const amount = z.number().gte(0).lte(1e7);

export const limitsInput = z
  .object({
    quantity: z.enum(measuredQuantities),
    held: z.number().gt(0).lte(1e6).nullable().default(null),
    lo: amount,
    aim: amount.nullable(),
    hi: amount,
    ...source,
  })
  .refine((limits) => limits.lo <= limits.hi, { path: ["lo"], params: { code: "window-upside-down" } })
  .refine((limits) => limits.aim === null || (limits.aim >= limits.lo && limits.aim <= limits.hi), {
    path: ["aim"],
    params: { code: "aim-outside" },
  });

export const sideLimitsInput = z
  .object({ id, quantity: z.enum(sideQuantities), lo: amount.nullable(), hi: amount.nullable(), ...source })
  .refine((limits) => limits.lo !== null || limits.hi !== null, { path: ["hi"], params: { code: "missing" } })
  .refine((limits) => limits.lo === null || limits.hi === null || limits.lo <= limits.hi, {
    path: ["lo"],
    params: { code: "window-upside-down" },
  });

export const stageInput = z.object({
  id,
  entryId: id,
  name: words(80),
  geometryId: id,
  geometry: geometryInput,
  adjusterId: id,
  adjuster: adjusterInput,
  limitsId: id,
  limits: limitsInput,
  sideLimits: z.array(sideLimitsInput).max(sideQuantities.length).default([]),
});
export type StageInput = z.output<typeof stageInput>;

export const geometryRow = (rowId: string, revision: number, geometry: z.output<typeof geometryInput>): Geometry => ({
  id: rowId,
  revision,
  ...geometry,
});

export const adjusterRow = (rowId: string, revision: number, input: z.output<typeof adjusterInput>): StageAdjuster => ({
  id: rowId,
  revision,
  ...input,
});

type LimitsRow = Pick<StageLimits, "id" | "revision" | "given" | "sourceKind" | "source">;
export const limitsRow = (
  rowId: string,
  revision: number,
  { sourceKind, source, ...given }: z.output<typeof limitsInput>,
): LimitsRow => ({ id: rowId, revision, given, sourceKind, source });

/** What is unwise in a geometry, to be recorded; or the refusal of one that cannot be, with the nearest that works. */
export function checkGeometry({ element }: z.output<typeof geometryInput>, path: string[]): Result<Unwise[]> {
  const checked = checkElement(element);
  return checked.ok ? checked : refuse(checked.refusal.code, [...path, ...checked.refusal.path], checked.refusal.facts);
}

/** The same of a whole new stage: its geometry, and whether its limits are of its kind. */
export function checkStage(stage: StageInput, path: string[] = []): Result<Unwise[]> {
  const warnings = checkGeometry(stage.geometry, [...path, "geometry", "element"]);
  if (!warnings.ok) return warnings;
  const fit = limitsFit(stage.geometry.element, stage.limits, stage.sideLimits);
  return fit.ok ? warnings : refuse(fit.refusal.code, [...path, ...fit.refusal.path], fit.refusal.facts);
}

/** Whether limits are about something that a stage of this kind is judged by or read for. */
export function limitsFit(
  element: StageElement,
  limits: z.output<typeof limitsInput> | null,
  sides: readonly z.output<typeof sideLimitsInput>[],
): Result<null> {
  if (limits && !limitWays(element).includes(limits.quantity))
    return refuse("not-of-this-kind", ["limits", "quantity"]);
  const odd = sides.findIndex(({ quantity }) => !sidesOf(element).includes(quantity));
  return odd < 0 ? accept(null) : refuse("not-of-this-kind", ["sideLimits", odd, "quantity"]);
}
