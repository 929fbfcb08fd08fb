import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { machineOfStage, stageById } from "../data/queries/stages";
import { keepNextVisit } from "../data/queries/standings";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text } from "./input";
import { usageDay } from "./refresh-upkeep";

const planInput = z.object({
  id,
  stageId: id,
  date: z.iso.date().nullable(),
  /** When the machine has run so much more, in what its meter counts; from what it last showed. */
  afterUsage: z.number().gt(0).lte(1e9).nullable().default(null),
  text: text(400).trim(),
  madeAt: instant,
});

/**
 * When a stage is to be looked at next, by day or after so much running, and what for; without either, that nothing is planned. The next
 * signature sets it anew. A machine whose meter was never read has nothing to count from (`meter-never-read`).
 */
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
    const machine = value.afterUsage === null ? null : await machineById(db, person.workshopId, machineId);
    if (machine && machine.usageTotal === null) return refuse("meter-never-read", ["afterUsage"]);
    const usage = value.afterUsage === null ? null : (machine?.usageTotal ?? 0) + value.afterUsage;
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId,
      stageId: value.stageId,
      kind: "plan",
      body: { date: value.date, text: value.text, ...(usage === null ? {} : { atUsage: usage }) },
      madeBy: person.id,
      submission,
      madeAt: value.madeAt,
      recordedAt: now,
    });
    const usageOn = usage === null ? null : await usageDay(db, machineId, usage);
    await keepNextVisit(db, value.stageId, { date: value.date, usage, usageOn }, value.text);
    return accept(entry);
  });
}
