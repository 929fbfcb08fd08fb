import { z } from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { entryById } from "../data/queries/entries";
import { lockHead, machineById } from "../data/queries/machines";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, words } from "./input";

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
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const named = await entryById(db, value.namesEntry);
    const machine = named && (await machineById(db, person.workshopId, named.entry.machineId));
    if (!named || !machine) return refuse("no-such-entry", ["namesEntry"]);
    const chain = await lockHead(db, machine.id);
    const known = await entryById(db, value.id);
    if (known) return known.entry.namesEntry === value.namesEntry ? accept(known.entry) : refuse("id-taken", ["id"]);
    if (value.voids && !voidable.has(named.entry.kind)) return refuse("cannot-be-voided", ["voids"]);
    return accept(
      await appendEntry(db, chain, {
        id: value.id,
        machineId: machine.id,
        jobId: named.entry.jobId,
        stageId: named.entry.stageId,
        kind: "correction",
        body: { text: value.text, voids: value.voids },
        namesEntry: named.entry.id,
        madeBy: person.id,
        madeAt: new Date(value.madeAt).toISOString(),
        recordedAt: now.toISOString(),
        usage: null,
        geometryId: named.entry.geometryId,
        adjusterId: named.entry.adjusterId,
        limitsId: named.entry.limitsId,
        readings: [],
      }),
    );
  });
}

/** What can be said never to have counted. Isolation, going live and signatures happened, whatever is said of them later. */
const voidable: ReadonlySet<string> = new Set(["round", "move", "clamp", "proof"]);
