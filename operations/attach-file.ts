import { createHash } from "node:crypto";
import { fileTypeFromBuffer } from "file-type";
import sharp from "sharp";
import * as z from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { insertAttachment } from "../data/queries/attachments";
import { entryById } from "../data/queries/entries";
import { lockHead, machineById } from "../data/queries/machines";
import { machineOfStage } from "../data/queries/stages";
import { alreadyThere, submissionOf } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text, words } from "./input";
import { transactionOn } from "./on-machine";
import { Busy, queueOf } from "./queue";
import { trueTime } from "./true-time";

export const mostFileBytes = 12_000_000;

const attachInput = z.object({
  id,
  machineId: id,
  stageId: id.nullable(),
  name: words(160),
  caption: text(400).trim(),
  /** The entry that it shows: a part as it came off. */
  names: id.nullable().default(null),
  madeAt: instant,
  sentAt: instant.optional(),
});

/** What may be kept, by the ending of its name. */
const typeOfEnding: Record<string, string> = {
  jpg: "image/jpeg",
  jpeg: "image/jpeg",
  png: "image/png",
  webp: "image/webp",
  pdf: "application/pdf",
  csv: "text/csv",
  txt: "text/plain",
};

/** More than any camera in a workshop has; a small file can claim far more and take all memory. */
const mostPixels = 40_000_000;
/** A picture of that size takes 160 MB while it is worked on. */
const oneAtATime = queueOf(1, 12);
const longestEdge = 2400;
const previewEdge = 360;

/**
 * A photograph or file of a machine. Its content must be what its name says. Photographs are made no longer than 2 400 pixels
 * and lose what the camera wrote into them (place, owner); what is kept is what was made of them, and the hash is of that.
 * Refused: `file-too-large`, `too-many-pixels`, `kind-not-kept`, `not-what-it-says` (facts: says, is), `picture-damaged`.
 */
export async function attachFile(
  { pool, person, now }: Context,
  input: unknown,
  content: Uint8Array,
): Promise<Result<Entry>> {
  const allowed = checkRole(person, mayWork);
  if (!allowed.ok) return allowed;
  const checked = checkInput(attachInput, input);
  if (!checked.ok) return checked;
  const { value } = checked;
  const file = await checkedFile(value.name, content);
  if (!file.ok) return file;
  const { mediaType, bytes, preview } = file.value;
  const submission = submissionOf(person.id, { ...value, content: createHash("sha256").update(content).digest("hex") });
  return transactionOn(pool, value.machineId, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    if (value.stageId && (await machineOfStage(db, person.workshopId, value.stageId)) !== machine.id)
      return refuse("no-such-stage", ["stageId"]);
    const head = await lockHead(db, machine.id);
    const known = await alreadyThere(db, value.id, submission);
    if (known) return known;
    const digest = createHash("sha256").update(bytes).digest();
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId: machine.id,
      stageId: value.stageId,
      kind: "attachment",
      // Where the entry itself was refused, the photograph is kept all the same.
      namesEntry: value.names && (await entryById(db, value.names))?.machineId === machine.id ? value.names : null,
      body: {
        name: value.name,
        mediaType,
        sizeBytes: bytes.length,
        sha256: digest.toString("hex"),
        caption: value.caption,
      },
      madeBy: person.id,
      submission,
      madeAt: trueTime(value.madeAt, value.sentAt, now).madeAt,
      recordedAt: now,
    });
    await insertAttachment(db, { entryId: entry.id, sha256: digest, mediaType, content: bytes, preview });
    return accept(entry);
  });
}

type CheckedFile = { mediaType: string; bytes: Buffer; preview: Buffer | null };

async function checkedFile(name: string, content: Uint8Array): Promise<Result<CheckedFile>> {
  if (content.length === 0) return refuse("empty-file", ["file"]);
  if (content.length > mostFileBytes)
    return refuse("file-too-large", ["file"], { megabytes: content.length / 1e6, most: mostFileBytes / 1e6 });
  const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? "";
  const says = typeOfEnding[ending];
  if (!says) return refuse("kind-not-kept", ["file"], { ending });
  const found = (await fileTypeFromBuffer(content))?.mime;
  const is = found ?? (isText(content) ? "text/plain" : "unknown");
  const fits = says.startsWith("text/") ? is === "text/plain" : is === says;
  if (!fits) return refuse("not-what-it-says", ["file"], { says: ending, is });
  if (!says.startsWith("image/")) return accept({ mediaType: says, bytes: Buffer.from(content), preview: null });
  try {
    return accept({ mediaType: "image/jpeg", ...(await oneAtATime(() => smaller(content))) });
  } catch (error) {
    if (error instanceof Busy) throw error;
    return refuse(/pixel limit/.test((error as Error).message) ? "too-many-pixels" : "picture-damaged", ["file"], {
      most: mostPixels / 1e6,
    });
  }
}

async function smaller(content: Uint8Array): Promise<{ bytes: Buffer; preview: Buffer }> {
  const picture = sharp(content, { limitInputPixels: mostPixels }).rotate();
  const within = (edge: number) =>
    picture
      .clone()
      .resize({ width: edge, height: edge, fit: "inside", withoutEnlargement: true })
      .jpeg({ quality: 82 })
      .toBuffer();
  const bytes = await within(longestEdge);
  return { bytes, preview: await within(previewEdge) };
}

/** UTF-8 without control characters other than tab and line ends. */
function isText(content: Uint8Array): boolean {
  try {
    const decoded = new TextDecoder("utf-8", { fatal: true }).decode(content);
    // biome-ignore lint/suspicious/noControlCharactersInRegex: control characters are what is looked for
    return !/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/.test(decoded);
  } catch {
    return false;
  }
}
