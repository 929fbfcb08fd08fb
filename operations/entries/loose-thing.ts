import * as z from "zod";
import type { Bodies, JobRecord } from "../../core/logbook";
import { accept, type Result, refuse } from "../../core/quantity";
import { id, text, words } from "../input";

export const looseThingInput = z.discriminatedUnion("state", [
  z.object({ kind: z.literal("loose-thing"), state: z.literal("in"), thing: words(80), where: text(120).trim() }),
  z.object({ kind: z.literal("loose-thing"), state: z.literal("out"), names: id }),
]);

/** Something put in for the work, or the same taken out again. */
export function buildLooseThing(
  input: z.output<typeof looseThingInput>,
  { things }: JobRecord,
): Result<Bodies["loose-thing"]> {
  if (input.state === "in") return accept({ thing: input.thing, state: "in", where: input.where });
  const known = things.find((thing) => thing.entry === input.names);
  return known ? accept({ thing: known.thing, state: "out", where: known.where }) : refuse("already-out", ["names"]);
}
