import { createHash } from "node:crypto";
import { fileTypeFromBuffer } from "file-type";
import sharp from "sharp";
import { z } from "zod";
import type { Entry } from "../core/logbook";
import { accept, type Result, refuse } from "../core/quantity";
import { transaction } from "../data/postgres";
import { insertAttachment } from "../data/queries/attachments";
import { lockHead, machineById } from "../data/queries/machines";
import { alreadyThere } from "./already-there";
import { appendEntry } from "./append-entry";
import { type Context, checkRole, mayWork } from "./context";
import { checkInput, id, instant, text, words } from "./input";

export const mostFileBytes = 12_000_000;

const attachInput = z.object({
  id,
  machineId: id,
  stageId: id.nullable(),
  name: words(160),
  caption: text(400).trim(),
  madeAt: instant,
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

const longestEdge = 2400;
const previewEdge = 360;

/**
 * A photograph or file of a machine. Its content must be what its name says. Photographs are made no longer than 2 400 pixels
 * and lose what the camera wrote into them (place, owner); what is kept is what was made of them, and the hash is of that.
 * Refused: `file-too-large`, `kind-not-kept`, `not-what-it-says` (facts: says, is), `picture-damaged`.
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
  return transaction(pool, async (db): Promise<Result<Entry>> => {
    const machine = await machineById(db, person.workshopId, value.machineId);
    if (!machine) return refuse("no-such-machine", ["machineId"]);
    const head = await lockHead(db, machine.id);
    const known = await alreadyThere(db, value.id, (entry) => entry.machineId === machine.id);
    if (known) return known;
    const digest = createHash("sha256").update(bytes).digest();
    const entry = await appendEntry(db, head, {
      id: value.id,
      machineId: machine.id,
      stageId: value.stageId,
      kind: "attachment",
      body: {
        name: value.name,
        mediaType,
        sizeBytes: bytes.length,
        sha256: digest.toString("hex"),
        caption: value.caption,
      },
      madeBy: person.id,
      madeAt: value.madeAt,
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
    const picture = sharp(content, { limitInputPixels: 200_000_000 }).rotate();
    const within = (edge: number) =>
      picture
        .clone()
        .resize({ width: edge, height: edge, fit: "inside", withoutEnlargement: true })
        .jpeg({ quality: 82 })
        .toBuffer();
    const [bytes, preview] = await Promise.all([within(longestEdge), within(previewEdge)]);
    return accept({ mediaType: "image/jpeg", bytes, preview });
  } catch {
    return refuse("picture-damaged", ["file"]);
  }
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
