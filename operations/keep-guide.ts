import * as z from "zod";
import { type GuidePart, guideOrder } from "../core/guides";
import { guideParts } from "../core/guides/schema";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { guideById, guidesOfMachine, insertGuide } from "../data/queries/guides";
import { lockHead, machineById } from "../data/queries/machines";
import { machineOfStage } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text, words } from "./input";

const keepInput = z.object({
  entryId: id,
  revisionId: id,
  guideId: id,
  machineId: id,
  stageId: id.nullable().default(null),
  name: words(80),
  /** 0: a new one. */
  seenRevision: z.int().gte(0),
  parts: guideParts,
  /** Why, or from what. */
  text: text(400).trim().default(""),
});

/**
 * A guide of a machine, or of one assembly of it, as a new revision. Ties that go round in a ring are refused with the parts in it
 * (`ties-in-ring`), ties to parts that are not in it at their place.
 */
export async function keepGuide({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const fits = checkGuide(value.parts);
  if (!fits.ok) return fits;
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    if (value.stageId && (await machineOfStage(db, person.workshopId, value.stageId)) !== machine.id)
      return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machine.id);
    const there = await alreadyThere(db, value.entryId, submission);
    if (there) return there;
    const before = await guideById(db, person.workshopId, value.guideId);
    if (before && before.machineId !== machine.id) return refuse("id-taken", ["guideId"]);
    if ((before?.revision ?? 0) !== value.seenRevision) return refuse("revised-meanwhile", ["parts"]);
    const others = await guidesOfMachine(db, machine.id);
    if (others.some((other) => other.guideId !== value.guideId && alike(other.name, value.name)))
      return refuse("guide-name-taken", ["name"], { name: value.name });
    const revision = value.seenRevision + 1;
    const { revisionId, guideId, machineId, stageId, name, parts } = value;
    await insertGuide(db, {
      id: revisionId,
      guideId,
      machineId,
      stageId,
      name,
      revision,
      parts,
      madeBy: person.id,
      at: now,
    });
    const entry = await appendEntry(db, head, {
      id: value.entryId,
      machineId,
      stageId,
      kind: "change",
      body: {
        what: "guide",
        text: [`${name}, ${parts.length} parts, revision ${revision}`, value.text].filter(Boolean).join(". "),
        warnings: [],
      },
      madeBy: person.id,
      submission,
      madeAt: now.toISOString(),
      recordedAt: now,
    });
    return accept(entry);
  });
}

const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Whether the ties of a guide can be kept; refusals name the part or the ring. */
export function checkGuide(parts: readonly GuidePart[]): Result<null> {
  const order = guideOrder(parts);
  if (!order.ok) return order;
  const nameOf = (partId: string) => parts.find((part) => part.id === partId)?.name ?? partId;
  const ring = order.value.conflicts[0];
  return ring ? refuse("ties-in-ring", ["parts"], { names: ring.map(nameOf).join(" → ") }) : accept(null);
}
