import * as z from "zod";
import { upkeepList } from "../core/greasing/schema";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { insertUpkeep, upkeepOf } from "../data/queries/upkeep";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id } from "./input";
import { refreshUpkeep } from "./refresh-upkeep";

const keepInput = z.object({
  entryId: id,
  revisionId: id,
  machineId: id,
  /** 0: a new one. */
  seenRevision: z.int().gte(0),
  list: upkeepList,
});

/** What of a machine is greased and looked at, and how often, as a new revision. */
export async function keepUpkeep({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  for (const [name, rows] of Object.entries(value.list))
    for (const [i, row] of rows.entries())
      if (rows.findIndex((other) => other.id === row.id) !== i) return refuse("id-twice", ["list", name, i, "id"]);
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machine.id);
    const there = await alreadyThere(db, value.entryId, submission);
    if (there) return there;
    const before = await upkeepOf(db, machine.id);
    if ((before?.revision ?? 0) !== value.seenRevision) return refuse("revised-meanwhile", ["list"]);
    const revision = value.seenRevision + 1;
    const { list, revisionId } = value;
    await insertUpkeep(db, { id: revisionId, revision, list, machineId: machine.id, madeBy: person.id, at: now });
    const entry = await appendEntry(db, head, {
      id: value.entryId,
      machineId: machine.id,
      kind: "change",
      body: {
        what: "upkeep",
        text: `${list.grease.length} places of grease, ${list.looks.length} to look at, revision ${revision}`,
        warnings: [],
      },
      madeBy: person.id,
      submission,
      madeAt: now.toISOString(),
      recordedAt: now,
    });
    await refreshUpkeep(db, machine.id, now);
    return accept(entry);
  });
}
