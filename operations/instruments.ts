import { createHash } from "node:crypto";
import { fileTypeFromBuffer } from "file-type";
import * as z from "zod";
import { accept, type Result, refuse } from "../core/quantity";
import * as ids from "../core/records/ids";
import { instrumentFields } from "../core/records/instrument";
import { transaction } from "../data/postgres";
import { insertCertificate, insertInstrument, lockInstrument, updateInstrument } from "../data/queries/instruments";
import { mostFileBytes } from "./attach-file";
import { type Context, checkRole } from "./context";
import { checkInput, id, words } from "./input";

const keepInput = z.intersection(
  z.object({ id: ids.instrumentId, seenRevision: z.int().gte(0), retired: z.boolean().default(false) }),
  instrumentFields,
);

/**
 * Enters an instrument, or changes one (`seenRevision` 0: a new one). Readings keep the figures they were taken with. Leads and
 * technicians may not differ on what a caliper is worth: only leads may.
 */
export async function keepInstrument({ pool, person, now }: Context, input: unknown): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(keepInput, input);
  if (!checked.ok) return checked;
  const { seenRevision, retired, ...instrument } = checked.value;
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const before = await lockInstrument(db, person.workshopId, instrument.id);
    if (!before && seenRevision > 0) return refuse("no-such-instrument", ["id"]);
    if (before && seenRevision === 0) return accept({ id: instrument.id });
    if (before && before.revision !== seenRevision) return refuse("changed-meanwhile", []);
    if (!before) await insertInstrument(db, person.workshopId, instrument);
    else {
      const retiredAt = retired ? new Date(before.retiredAt ?? now) : null;
      await updateInstrument(db, { ...instrument, retiredAt });
    }
    return accept({ id: instrument.id });
  });
}

const certificateInput = z.object({ id, instrumentId: ids.instrumentId, name: words(160) });

/** The certificate of an instrument's calibration, a PDF. Only leads may. */
export async function keepCertificate(
  { pool, person, now }: Context,
  input: unknown,
  content: Uint8Array,
): Promise<Result<{ id: string }>> {
  const allowed = checkRole(person, ["lead"]);
  if (!allowed.ok) return allowed;
  const checked = checkInput(certificateInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  if (content.length === 0) return refuse("empty-file", ["file"]);
  if (content.length > mostFileBytes)
    return refuse("file-too-large", ["file"], { megabytes: content.length / 1e6, most: mostFileBytes / 1e6 });
  const is = (await fileTypeFromBuffer(content))?.mime ?? "unknown";
  if (is !== "application/pdf") return refuse("not-a-pdf", ["file"], { is });
  return transaction(pool, async (db): Promise<Result<{ id: string }>> => {
    const instrument = await lockInstrument(db, person.workshopId, value.instrumentId);
    if (!instrument) return refuse("no-such-instrument", ["instrumentId"]);
    await insertCertificate(db, {
      ...value,
      sha256: createHash("sha256").update(content).digest(),
      content: Buffer.from(content),
      madeBy: person.id,
      at: now,
    });
    return accept({ id: value.id });
  });
}
