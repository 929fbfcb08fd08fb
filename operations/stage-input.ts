import type * as z from "zod";
import { adjusterSchema as movableAdjuster } from "../calc";
import { accept, type Result, refuse } from "../core/quantity";
import type { Geometry, StageAdjuster, StageLimits } from "../core/records";
import {
  adjusterFields,
  type geometryFields,
  type limitsFields,
  type sideLimitsFields,
  stageFields,
} from "../core/records/stage";
import { checkElement, limitWays, type StageElement, sidesOf, type Unwise } from "../core/stages";
import { id } from "./input";

/** An adjuster that can move the centres. */
export const adjusterInput = adjusterFields.extend({ adjuster: movableAdjuster.nullable() });

export const stageInput = stageFields.extend({
  id,
  entryId: id,
  geometryId: id,
  adjusterId: id,
  adjuster: adjusterInput,
  limitsId: id,
});
export type StageInput = z.output<typeof stageInput>;

export const geometryRow = (rowId: string, revision: number, geometry: z.output<typeof geometryFields>): Geometry => ({
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
  { sourceKind, source, ...given }: z.output<typeof limitsFields>,
): LimitsRow => ({ id: rowId, revision, given, sourceKind, source });

/** What is unwise in a geometry, to be recorded; or the refusal of one that cannot be, with the nearest that works. */
export function checkGeometry({ element }: z.output<typeof geometryFields>, path: string[]): Result<Unwise[]> {
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
  limits: z.output<typeof limitsFields> | null,
  sides: readonly z.output<typeof sideLimitsFields>[],
): Result<null> {
  if (limits && !limitWays(element).includes(limits.quantity))
    return refuse("not-of-this-kind", ["limits", "quantity"]);
  const odd = sides.findIndex(({ quantity }) => !sidesOf(element).includes(quantity));
  return odd < 0 ? accept(null) : refuse("not-of-this-kind", ["sideLimits", odd, "quantity"]);
}
