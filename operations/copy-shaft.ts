import * as z from "zod";
import type { Entry } from "../core/logbook";
import { type Result, refuse } from "../core/quantity";
import { mirroredShaft, type Shaft, type ShaftPart } from "../core/shafts";
import { machineById } from "../data/queries/machines";
import { shaftById, shaftsOfMachine } from "../data/queries/shafts";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id } from "./input";
import { keepShaft } from "./keep-shaft";

const copyInput = z.object({
  entryId: id,
  revisionId: id,
  shaftId: id,
  /** The shaft that is copied, and to which machine. */
  sourceId: id,
  machineId: id,
  mirrored: z.boolean(),
});

/**
 * A shaft of one machine for another, as it is or for the other hand. A plane that meets another shaft goes along where the other machine
 * has a shaft of the same name with that part; else it is left out, to be said there anew.
 */
export async function copyShaft(context: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(context.person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(copyInput, input);
  if (!checked.ok) return checked;
  const { sourceId, mirrored, ...ids } = checked.value;
  const { pool, person } = context;
  const source = await shaftById(pool, person.workshopId, sourceId);
  if (!source) return refuse("no-shaft-here", ["sourceId"]);
  const [from, here, there] = await Promise.all([
    machineById(pool, person.workshopId, source.machineId),
    shaftsOfMachine(pool, source.machineId),
    shaftsOfMachine(pool, ids.machineId),
  ]);
  const twinOf = (shaftId: string) => {
    const met = here.find((shaft) => shaft.shaftId === shaftId);
    return there.find((shaft) => shaft.name === met?.name);
  };
  const shaft = mirrored ? mirroredShaft(source) : source;
  return keepShaft(context, {
    ...ids,
    seenRevision: 0,
    shaft: { ...shaft, parts: tiedAnew(shaft.parts, twinOf) },
    text: `${mirrored ? "Mirror image" : "Copy"} of that of ${from?.name ?? ""}, ${from?.tag ?? ""}, revision ${source.revision}`,
  });
}

/** Planes that meet another shaft, tied to its twin; left out where there is none. */
export const tiedAnew = (
  parts: readonly ShaftPart[],
  twinOf: (shaftId: string) => Pick<Shaft, "shaftId" | "parts"> | undefined,
): ShaftPart[] =>
  parts.map((part) => {
    const at = part.plane?.at;
    if (!part.plane || !at || "fromFaceMm" in at) return part;
    const twin = twinOf(at.shaftId);
    const met = twin?.parts.some(({ id: own }) => own === at.partId);
    return { ...part, plane: twin && met ? { ...part.plane, at: { shaftId: twin.shaftId, partId: at.partId } } : null };
  });
