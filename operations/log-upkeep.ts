import { v5 } from "uuid";
import * as z from "zod";
import { lookFinds } from "../core/greasing";
import type { Bodies, Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { type Database, transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { insertPoint } from "../data/queries/open-points";
import { upkeepOf } from "../data/queries/upkeep";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text, words } from "./input";
import { refreshUpkeep } from "./refresh-upkeep";
import { trueTime } from "./true-time";

const head = { id, machineId: id, madeAt: instant, sentAt: instant.optional(), note: text(400).trim().default("") };
const upkeepInput = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("greased"),
    ...head,
    points: z
      .array(z.object({ id: words(60), grams: z.number().gt(0).lte(1e6).nullable().default(null) }))
      .min(1)
      .max(200),
    spread: z.boolean(),
  }),
  z.object({
    kind: z.literal("looked"),
    ...head,
    items: z
      .array(z.object({ id: words(60), found: z.enum(lookFinds), note: text(200).trim().default("") }))
      .min(1)
      .max(200),
  }),
]);

/**
 * Points of a machine that were greased, or things that were looked at between runs, without a job. Damage becomes an open point, so that a
 * job follows. What is not on the list, or is to be kept dry, is refused at its place.
 */
export async function logUpkeep({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(upkeepInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const submission = submissionOf(person.id, value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const chain = await lockHead(db, machine.id);
    const there = await alreadyThere(db, value.id, submission);
    if (there) return there;
    const body = await bodyOf(db, value);
    if (!body.ok) return body;
    const entry = await appendEntry(db, chain, {
      id: value.id,
      machineId: machine.id,
      kind: value.kind,
      body: body.value,
      madeBy: person.id,
      submission,
      madeAt: trueTime(value.madeAt, value.sentAt, now).madeAt,
      recordedAt: now,
    });
    if (entry.kind === "looked")
      for (const item of entry.body.items.filter(({ found }) => found === "damage"))
        await insertPoint(db, {
          id: v5(`damage ${item.id}`, entry.id),
          machineId: machine.id,
          stageId: null,
          code: "damage",
          text: [item.name, item.note].filter(Boolean).join(": "),
          openedEntry: entry.id,
          openedBy: person.id,
          openedAt: entry.madeAt,
        });
    await refreshUpkeep(db, machine.id, now);
    return accept(entry);
  });
}

async function bodyOf(
  db: Database,
  value: z.output<typeof upkeepInput>,
): Promise<Result<Bodies["greased"] | Bodies["looked"]>> {
  const list = (await upkeepOf(db, value.machineId))?.list ?? { grease: [], looks: [] };
  if (value.kind === "greased") {
    const points: Bodies["greased"]["points"] = [];
    for (const [i, { id: pointId, grams }] of value.points.entries()) {
      const known = list.grease.find((place) => place.id === pointId);
      if (!known) return refuse("not-listed", ["points", i]);
      if (known.mark !== "grease") return refuse("to-be-kept-dry", ["points", i], { name: known.name });
      points.push({ id: pointId, name: known.name, kind: known.kind, grams });
    }
    return accept({ points, spread: value.spread, note: value.note });
  }
  const items: Bodies["looked"]["items"] = [];
  for (const [i, { id: itemId, found, note }] of value.items.entries()) {
    const known = list.looks.find((place) => place.id === itemId);
    if (!known) return refuse("not-listed", ["items", i]);
    items.push({ id: itemId, name: known.name, found, note });
  }
  return accept({ items, note: value.note });
}
