import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { machineFields } from "../core/records/machine";
import { transaction } from "../data/postgres";
import { openJobs } from "../data/queries/jobs";
import { lockHead, machineById, markRetired, updateMachine } from "../data/queries/machines";
import { nameIsFree } from "./add-machine";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole } from "./context";
import { checkInput, id, text } from "./input";

const editInput = machineFields.extend({ machineId: id, entryId: id });

/** Changes what is known of a machine; the logbook says what changed. Only leads may. */
export async function editMachine({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(editInput, input);
  if (!checked.ok) return checked;
  const { machineId, entryId, ...fields } = checked.value;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const before = await machineById(db, person.workshopId, machineId);
    if (!before) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, entryId, submission);
    if (known) return known;
    const free = await nameIsFree(db, person.workshopId, machineId, fields);
    if (!free.ok) return free;
    const changed = (Object.keys(fields) as (keyof typeof fields)[]).filter((key) => fields[key] !== before[key]);
    if (changed.length === 0) return refuse("nothing-changed", []);
    await updateMachine(db, machineId, fields);
    return accept(
      await appendEntry(db, head, {
        id: entryId,
        machineId,
        kind: "change",
        body: {
          what: "machine",
          text: changed.map((key) => `${fieldWords[key]}: ${before[key] || "–"} → ${fields[key] || "–"}`).join("; "),
          warnings: [],
        },
        madeBy: person.id,
        submission,
        madeAt: now.toISOString(),
        recordedAt: now,
      }),
    );
  });
}

const fieldWords: Record<keyof z.output<typeof machineFields>, string> = {
  name: "Name",
  tag: "Tag",
  site: "Site",
  hall: "Hall",
  place: "Place",
  model: "Model",
  serial: "Serial number",
  usageUnit: "Usage counted in",
  units: "Units",
  air: "Compressed air",
  heaviestKg: "Heaviest part to lift, kg",
};

const retireInput = z.object({ machineId: id, entryId: id, retired: z.boolean(), text: text(400).trim() });

/** Takes a machine out of service, or back into it. Its logbook stays; a job that is open has to be signed first. Only leads may. */
export async function retireMachine({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(retireInput, input);
  if (!checked.ok) return checked;
  const { machineId, entryId, retired, text: why } = checked.value;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machineId);
    const known = await alreadyThere(db, entryId, submission);
    if (known) return known;
    const [job] = await openJobs(db, [machineId]);
    if (retired && job) return refuse("job-open", [], { by: job.openedByName });
    if (!retired) {
      const free = await nameIsFree(db, person.workshopId, machineId, machine);
      if (!free.ok) return free;
    }
    await markRetired(db, machineId, retired ? now : null);
    return accept(
      await appendEntry(db, head, {
        id: entryId,
        machineId,
        kind: "change",
        body: { what: retired ? "retired" : "in-service", text: why, warnings: [] },
        madeBy: person.id,
        submission,
        madeAt: now.toISOString(),
        recordedAt: now,
      }),
    );
  });
}
