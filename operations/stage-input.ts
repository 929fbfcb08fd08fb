import { z } from "zod";
import { adjusterSchema, pairGeometry, pairSchema } from "../calc";
import { gearPair, type PairGeometry, type Unwise, unwiseIn } from "../core/gears";
import { accept, type Result, refuse } from "../core/quantity";
import type { Geometry, StageAdjuster, StageLimits } from "../data/queries/stages";
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
});

const measure = z.number().gt(0).lte(1e5).nullable();

export const geometryInput = z.object({
  pair: pairSchema,
  clamps: clampPattern,
  /** Cumulative gear angles of a stage that turns only so far. */
  arcDeg: z
    .tuple([z.number().gte(-3600).lte(3600), z.number().gte(-3600).lte(3600)])
    .refine(([from, to]) => from < to, { path: [0], params: { code: "window-upside-down" } })
    .nullable()
    .default(null),
  turnedBy: z.enum(["either", "input", "output", "power"]).default("either"),
  parts: z
    .object({
      materials: z.tuple([text(60).trim(), text(60).trim()]).optional(),
      boresMm: z.tuple([measure, measure]).optional(),
      keywaysMm: z.tuple([measure, measure]).optional(),
      gearModuleMm: z.number().gt(0).lte(1000).optional(),
    })
    .default({}),
});

export const adjusterInput = z.object({
  name: words(60),
  adjuster: adjusterSchema,
  step: z.number().gt(0).lte(1000),
  positiveWord: words(40),
  negativeWord: words(40),
  hand: z.enum(["right", "left"]).nullable().default(null),
  hasScale: z.boolean().default(true),
  seenFrom: text(60).trim().default(""),
});

export const limitsInput = z
  .object({
    loMm: z.number().gte(0).lte(1000),
    aimMm: z.number().gte(0).lte(1000).nullable(),
    hiMm: z.number().gte(0).lte(1000),
    sourceKind: z.enum(["maker", "drawing", "standard", "house rule", "recommended"]),
    source: words(200),
  })
  .refine((limits) => limits.loMm <= limits.hiMm, { path: ["loMm"], params: { code: "window-upside-down" } })
  .refine((limits) => limits.aimMm === null || (limits.aimMm >= limits.loMm && limits.aimMm <= limits.hiMm), {
    path: ["aimMm"],
    params: { code: "aim-outside" },
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
});
export type StageInput = z.output<typeof stageInput>;

export const geometryRow = (
  rowId: string,
  revision: number,
  { pair, ...rest }: z.output<typeof geometryInput>,
): Geometry => ({ id: rowId, revision, pair: pairGeometry(pair), ...rest });

export const adjusterRow = (rowId: string, revision: number, input: z.output<typeof adjusterInput>): StageAdjuster => ({
  id: rowId,
  revision,
  ...input,
});

export const limitsRow = (
  rowId: string,
  revision: number,
  input: z.output<typeof limitsInput>,
): Omit<StageLimits, "effectiveFrom"> => ({ id: rowId, revision, quantity: "circumferential-backlash", ...input });

/** What is unwise in a geometry, to be recorded; or the refusal of one that cannot be. The adjuster must be able to move it. */
export function checkGeometry({ pair, parts }: z.output<typeof geometryInput>, path: string[]): Result<Unwise[]> {
  const geometry: PairGeometry = pairGeometry(pair);
  const mesh = gearPair(geometry);
  if (!mesh.ok) return refuse(mesh.refusal.code, [...path, "pair", ...mesh.refusal.path], mesh.refusal.facts);
  return accept(unwiseIn(geometry, parts));
}
