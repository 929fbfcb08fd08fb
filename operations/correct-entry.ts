import * as z from "zod";
import { type Entry, isKind, voidable } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { type Database, transaction } from "../data/postgres";
import { moveAdjuster } from "../data/queries/adjuster-positions";
import { correctionsOf, entryById, lastUsage } from "../data/queries/entries";
import { keepUsage, lockHead, machineById } from "../data/queries/machines";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, words } from "./input";
import { refreshStanding } from "./refresh-standing";
import { refreshByMeter, refreshUpkeep } from "./refresh-upkeep";

const correctionInput = z.object({
  kind: z.literal("correction"),
  id,
  namesEntry: id,
  madeAt: instant,
  text: words(4000),
  voids: z.boolean(),
});

/** Corrects an entry by a new one beside it, on a signed job too. With `voids` the old one no longer counts; it stays visible. */
export async function correctEntry({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(correctionInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const named = await entryById(db, value.namesEntry);
    const machine = named && (await machineById(db, person.workshopId, named.machineId));
    if (!named || !machine) return refuse("no-such-entry", ["namesEntry"]);
    const chain = await lockHead(db, machine.id);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    if (value.voids && !voidable.has(named.kind)) return refuse("cannot-be-voided", ["voids"]);
    const { jobId, stageId, geometryId, adjusterId, limitsId } = named;
    const entry = await appendEntry(db, chain, {
      id: value.id,
      machineId: machine.id,
      jobId,
      stageId,
      kind: "correction",
      body: { text: value.text, voids: value.voids },
      namesEntry: named.id,
      madeBy: person.id,
      submission,
      madeAt: value.madeAt,
      recordedAt: now,
      geometryId,
      adjusterId,
      limitsId,
    });
    if (value.voids && (named.kind === "greased" || named.kind === "looked")) await refreshUpkeep(db, machine.id, now);
    if (value.voids && named.kind === "usage") await refreshByMeter(db, machine.id, now);
    if (value.voids && stageId) await refreshStanding(db, stageId);
    // The stop of one gear is none of the stage's adjuster.
    const movedIt = isKind("move")(named) && named.body.gear === undefined;
    if (value.voids && movedIt && adjusterId && !(await voidedBefore(db, named.id, entry.id)))
      await moveAdjuster(db, adjusterId, -named.body.amount);
    if (value.voids && isKind("usage")(named)) {
      const before = await lastUsage(db, machine.id);
      await keepUsage(db, machine.id, before?.reading ?? null, before?.total ?? null);
    }
    return accept(entry);
  });
}

/** Whether an earlier correction said already that it does not count: its amount was taken back then. */
const voidedBefore = async (db: Database, entryId: string, but: string): Promise<boolean> =>
  (await correctionsOf(db, [entryId])).some(
    (entry) => entry.id !== but && isKind("correction")(entry) && entry.body.voids,
  );
