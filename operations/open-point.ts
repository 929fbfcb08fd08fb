import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { closePoints, insertPoint, openPointById } from "../data/queries/open-points";
import { machineOfStage } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text, words } from "./input";

const openInput = z.object({
  id,
  machineId: id,
  stageId: id.nullable(),
  text: words(400),
  by: z.iso.date().nullable().default(null),
  madeAt: instant,
});

/** Something that must not be forgotten, said in words. */
export async function openPoint({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(openInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    if (value.stageId && (await machineOfStage(db, person.workshopId, value.stageId)) !== machine.id)
      return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machine.id);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId: machine.id,
      stageId: value.stageId,
      kind: "open-point",
      body: value.by ? { text: value.text, by: value.by } : { text: value.text },
      madeBy: person.id,
      submission,
      madeAt: value.madeAt,
      recordedAt: now,
    });
    await insertPoint(db, {
      id: entry.id,
      machineId: machine.id,
      stageId: value.stageId,
      code: "said",
      text: value.text,
      openedEntry: entry.id,
      openedBy: person.id,
      openedAt: entry.madeAt,
      dueOn: value.by,
    });
    return accept(entry);
  });
}

const closeInput = z.object({ id, pointId: id, text: text(400).trim(), madeAt: instant });

/** Says that an open point is done, and how. Closing it twice is refused (`point-closed`). */
export async function closePoint({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(closeInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const found = await openPointById(db, value.pointId);
    const machine = found && (await machineById(db, person.workshopId, found.machineId));
    if (!found || !machine) return refuse("point-closed", ["pointId"]);
    const head = await lockHead(db, machine.id);
    const point = await openPointById(db, value.pointId);
    if (!point) return refuse("point-closed", ["pointId"]);
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId: machine.id,
      stageId: point.stageId,
      kind: "point-closed",
      body: { text: value.text },
      namesEntry: point.openedEntry,
      madeBy: person.id,
      submission,
      madeAt: value.madeAt,
      recordedAt: now,
    });
    await closePoints(db, [point.id], entry.id);
    return accept(entry);
  });
}
