import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import type { Shaft, ShaftFields } from "../core/shafts";
import { shaftFields } from "../core/shafts/schema";
import { transaction } from "../data/postgres";
import { lockHead, machineById } from "../data/queries/machines";
import { insertShaft, shaftById, shaftsOfMachine } from "../data/queries/shafts";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, text } from "./input";

const keepInput = z.object({
  entryId: id,
  revisionId: id,
  shaftId: id,
  machineId: id,
  /** 0: a new one. */
  seenRevision: z.int().gte(0),
  shaft: shaftFields,
  /** Why, or from what. */
  text: text(400).trim().default(""),
});

/** A shaft of a machine as a new revision: its parts between the faces, where their planes must stand, the end float wanted. */
export async function keepShaft({ pool, person, now }: Context, input: unknown): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { entryId, revisionId, shaftId, machineId, seenRevision, shaft, text: why } = checked.value;
  const fits = checkShaft(shaft);
  if (!fits.ok) return fits;
  const submission = submissionOf(person.id, checked.value);
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machine.id);
    const there = await alreadyThere(db, entryId, submission);
    if (there) return there;
    const before = await shaftById(db, person.workshopId, shaftId);
    if (before && before.machineId !== machine.id) return refuse("id-taken", ["shaftId"]);
    if ((before?.revision ?? 0) !== seenRevision) return refuse("revised-meanwhile", ["shaft", "parts"]);
    const others = (await shaftsOfMachine(db, machine.id)).filter((other) => other.shaftId !== shaftId);
    if (others.some((other) => alike(other.name, shaft.name)))
      return refuse("shaft-name-taken", ["shaft", "name"], { name: shaft.name });
    const stray = planesAstray(shaft, others);
    if (stray !== null) return refuse("no-such-part", ["shaft", "parts", stray, "plane"]);
    const revision = seenRevision + 1;
    await insertShaft(db, { ...shaft, id: revisionId, shaftId, machineId, revision, madeBy: person.id, at: now });
    return accept(
      await appendEntry(db, head, {
        id: entryId,
        machineId,
        kind: "change",
        body: {
          what: "shaft",
          text: [`${shaft.name}, ${shaft.parts.length} parts, revision ${revision}`, why].filter(Boolean).join(". "),
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

const alike = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Whether a shaft can be kept by itself: names once, a float whose ends are in order, parts that go between its faces as they are drawn. */
export function checkShaft({ parts, endFloat, lengthMm }: ShaftFields): Result<null> {
  const twice = parts.findIndex(({ name, id: own }, i) =>
    parts.slice(0, i).some((other) => alike(other.name, name) || other.id === own),
  );
  if (twice >= 0) return refuse("id-twice", ["shaft", "parts", twice, "name"]);
  if (endFloat.loMm > endFloat.hiMm) return refuse("window-upside-down", ["shaft", "endFloat", "loMm"]);
  const widths = parts.reduce((sum, { widthMm }) => sum + (widthMm ?? 0), 0);
  if (lengthMm !== null && widths > lengthMm + 1e-9)
    return refuse("shaft-overlaps-faces", ["shaft", "lengthMm"], { widthsMm: widths, lengthMm });
  return accept(null);
}

/** Of a part whose plane meets one that is not there, its place in the list. */
function planesAstray({ parts }: ShaftFields, others: readonly Shaft[]): number | null {
  const stray = parts.findIndex(({ plane }) => {
    if (!plane || "fromFaceMm" in plane.at) return false;
    const { shaftId, partId } = plane.at;
    return !others.find((other) => other.shaftId === shaftId)?.parts.some(({ id: own }) => own === partId);
  });
  return stray < 0 ? null : stray;
}
