import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { keepUsage, lockHead, machineById } from "../data/queries/machines";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant } from "./input";
import { transactionOn } from "./on-machine";
import { refreshByMeter } from "./refresh-upkeep";
import { trueTime } from "./true-time";

const usageInput = z.object({
  id,
  machineId: id,
  madeAt: instant,
  sentAt: instant.optional(),
  reading: z.number().gte(0).lte(1e12),
  /** Said after the question why the meter shows less than last time: it is a new one, which began at this figure. */
  newMeterFrom: z.number().gte(0).lte(1e12).nullable().default(null),
});

/**
 * What a machine's usage meter shows. One that runs backwards is refused with the last reading (`meter-backwards`), until it is
 * said that the meter is new; the total then goes on. A reading typed wrong is corrected in the logbook like any other entry.
 */
export async function logUsage({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(usageInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, checked.value);
  return transactionOn(pool, value.machineId, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machine.id);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const { meterReading: last, usageTotal } = (await machineById(db, person.workshopId, machine.id)) ?? machine;
    const newMeter = value.newMeterFrom !== null;
    if (!newMeter && last !== null && value.reading < last)
      return refuse("meter-backwards", ["reading"], { last, reading: value.reading, unit: machine.usageUnit });
    const from = value.newMeterFrom ?? last ?? 0;
    if (value.reading < from) return refuse("below-new-meter", ["newMeterFrom"], { reading: value.reading });
    // A first reading stands for all the machine has run.
    const total = usageTotal === null ? value.reading : usageTotal + value.reading - from;
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId: machine.id,
      kind: "usage",
      body: { reading: value.reading, unit: machine.usageUnit, total, newMeter },
      madeBy: person.id,
      submission,
      madeAt: trueTime(value.madeAt, value.sentAt, now).madeAt,
      recordedAt: now,
    });
    await keepUsage(db, machine.id, value.reading, total);
    await refreshByMeter(db, machine.id, now);
    return accept(entry);
  });
}
