import * as z from "zod";
import { type GuidePart, mirroredParts } from "../core/guides";
import type { Entry } from "../core/logbook";
import { type Result, refuse } from "../core/quantity";
import { guideById } from "../data/queries/guides";
import { machineById } from "../data/queries/machines";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id } from "./input";
import { keepGuide } from "./keep-guide";

const copyInput = z.object({
  entryId: id,
  revisionId: id,
  guideId: id,
  /** The guide that is copied, and to which machine. */
  sourceId: id,
  machineId: id,
  mirrored: z.boolean(),
});

/** A guide of one machine for another, as it is or for the other hand. Photographs stay with the machine that they show. */
export async function copyGuide(context: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(context.person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(copyInput, input);
  if (!checked.ok) return checked;
  const { sourceId, machineId, mirrored, ...ids } = checked.value;
  const { pool, person } = context;
  const source = await guideById(pool, person.workshopId, sourceId);
  if (!source) return refuse("no-such-guide", ["sourceId"]);
  const from = await machineById(pool, person.workshopId, source.machineId);
  return keepGuide(context, {
    ...ids,
    machineId,
    name: source.name,
    seenRevision: 0,
    parts: copiedParts(source.parts, mirrored),
    text: `${mirrored ? "Mirror image" : "Copy"} of that of ${from?.name ?? ""}, ${from?.tag ?? ""}, revision ${source.revision}`,
  });
}

/** As they are, or for the other hand. */
export const copiedParts = (parts: readonly GuidePart[], mirrored: boolean): GuidePart[] =>
  mirrored ? mirroredParts(parts) : parts.map((part) => ({ ...part, photographs: [] }));
