import { z } from "zod";
import { adjusterSchema, pairGeometry, pairSchema } from "../calc";
import { gearPair } from "../core/gears";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { insertMachine, machineById } from "../data/queries/machines";
import { insertAdjuster, insertGeometry, insertLimits, insertStage } from "../data/queries/stages";
import { type Context, checkRole } from "./context";
import { firstHash } from "./entry-hash";
import { checkInput, id, words } from "./input";

const clampPattern = z.object({
  points: z
    .array(z.object({ x: z.number(), y: z.number() }))
    .min(1)
    .max(60),
  size: words(20),
  torqueNm: z.number().gt(0),
  passes: z.number().int().gte(1).lte(6),
  compound: z.boolean(),
});

const stageInput = z.object({
  id,
  name: words(80),
  geometryId: id,
  pair: pairSchema,
  clamps: clampPattern,
  adjusterId: id,
  adjusterName: words(60),
  adjuster: adjusterSchema,
  step: z.number().gt(0),
  positiveWord: words(40),
  negativeWord: words(40),
  limitsId: id,
  limits: z
    .object({ loMm: z.number(), aimMm: z.number().nullable(), hiMm: z.number() })
    .refine((limits) => limits.loMm <= limits.hiMm, { path: ["loMm"], params: { code: "window-upside-down" } }),
  sourceKind: z.enum(["maker", "drawing", "standard", "house rule", "recommended"]),
  source: words(200),
});

const machineInput = z.object({
  id,
  name: words(80),
  tag: words(30),
  place: words(80),
  model: words(80),
  usageUnit: z.enum(["hours", "cycles", "starts"]),
  stages: z.array(stageInput).max(60),
});

/** A machine with its gear stages, each with the first revision of geometry, adjuster and limits. Only leads may. */
export async function addMachine(
  { pool, person, now }: Context,
  input: unknown,
): Promise<Result<{ machineId: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(machineInput, input);
  if (!checked.ok) return checked;
  const machine = checked.value;
  for (const [i, stage] of machine.stages.entries()) {
    const pair = gearPair(pairGeometry(stage.pair));
    if (!pair.ok) return refuse(pair.refusal.code, ["stages", i, "pair", ...pair.refusal.path], pair.refusal.facts);
  }
  return transaction(pool, async (db): Promise<Result<{ machineId: string }>> => {
    if (await machineById(db, person.workshopId, machine.id)) return accept({ machineId: machine.id });
    await insertMachine(db, { ...machine, workshopId: person.workshopId, headHash: firstHash(machine.id), at: now });
    for (const [position, stage] of machine.stages.entries()) {
      const revision = { stageId: stage.id, madeBy: person.id, from: now };
      await insertStage(db, { id: stage.id, machineId: machine.id, position, name: stage.name, at: now });
      await insertGeometry(db, revision, {
        id: stage.geometryId,
        revision: 1,
        pair: pairGeometry(stage.pair),
        clamps: stage.clamps,
      });
      await insertAdjuster(db, revision, {
        id: stage.adjusterId,
        revision: 1,
        name: stage.adjusterName,
        adjuster: stage.adjuster,
        step: stage.step,
        positiveWord: stage.positiveWord,
        negativeWord: stage.negativeWord,
      });
      await insertLimits(db, revision, {
        id: stage.limitsId,
        revision: 1,
        quantity: "circumferential-backlash",
        ...stage.limits,
        sourceKind: stage.sourceKind,
        source: stage.source,
      });
    }
    return accept({ machineId: machine.id });
  });
}
