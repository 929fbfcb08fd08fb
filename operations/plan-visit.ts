import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead } from "../data/queries/machines";
import { machineOfStage, stageById } from "../data/queries/stages";
import { keepNextDate } from "../data/queries/standings";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text } from "./input";

const planInput = z.object({
  id,
  stageId: id,
  date: z.iso.date().nullable(),
  text: text(400).trim(),
  madeAt: instant,
});

/** When a stage is to be looked at next, and what for; without a date, that nothing is planned. The next signature sets it anew. */
export async function planVisit({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(planInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machineId = await machineOfStage(db, person.workshopId, value.stageId);
    const stage = machineId && (await stageById(db, value.stageId));
    if (!machineId || !stage || stage.retiredAt) return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId,
      stageId: value.stageId,
      kind: "plan",
      body: { date: value.date, text: value.text },
      madeBy: person.id,
      submission,
      madeAt: value.madeAt,
      recordedAt: now,
    });
    await keepNextDate(db, value.stageId, value.date, value.text);
    return accept(entry);
  });
}
