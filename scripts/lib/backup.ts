import { execFile } from "node:child_process";
import { createHash } from "node:crypto";
import {
  createReadStream,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { join } from "node:path";
import { promisify } from "node:util";
import { postgresBin } from "./cluster";
import { homeFolder } from "./database";

const run = promisify(execFile);

export const backupFolder = process.env.BACKUP_FOLDER ?? join(homeFolder, "backups");
const noteFile = join(backupFolder, "last-good.json");
const keptBackups = 7;
const everyMs = 24 * 3_600_000;
const lookMs = 10 * 60_000;

type Note = { at: string; file: string; sha256: string };

/**
 * The whole database in one file, photographs and files included: written beside its place, read through once, and only then called good. The
 * seven newest stay.
 *
 * @param url of the database's owner
 * @returns the file
 */
export async function backUp(url: string, now = new Date()): Promise<string> {
  mkdirSync(backupFolder, { recursive: true, mode: 0o700 });
  const name = `harmostat-${now.toISOString().replace(/[:.]/g, "-")}.dump`;
  const file = join(backupFolder, name);
  const making = `${file}.making`;
  const { address, env } = apartFromPassword(url);
  try {
    await run(
      join(postgresBin(), "pg_dump"),
      ["--format=custom", "--no-owner", "--no-acl", `--file=${making}`, address],
      { env },
    );
    // Reads every block of every table, so that a file that was cut is not called good.
    await run(join(postgresBin(), "pg_restore"), ["--file=/dev/null", making], { env });
    renameSync(making, file);
  } finally {
    rmSync(making, { force: true });
  }
  const note: Note = { at: now.toISOString(), file, sha256: await sha256Of(file) };
  writeFileSync(`${noteFile}.new`, JSON.stringify(note), { mode: 0o600 });
  renameSync(`${noteFile}.new`, noteFile);
  const older = readdirSync(backupFolder)
    .filter((found) => /^harmostat-.*\.dump$/.test(found))
    .sort()
    .slice(0, -keptBackups);
  for (const found of older) rmSync(join(backupFolder, found));
  return file;
}

/** Puts a backup into an empty database: all of it or nothing. */
export async function restore(url: string, file: string): Promise<void> {
  const { address, env } = apartFromPassword(url);
  await run(
    join(postgresBin(), "pg_restore"),
    ["--no-owner", "--no-acl", "--exit-on-error", "--single-transaction", `--dbname=${address}`, file],
    { env },
  );
}

/** When the last backup was made that was found good and is still there; null: none is known. */
export function lastGoodBackup(): string | null {
  try {
    const note = JSON.parse(readFileSync(noteFile, "utf8")) as Note;
    return existsSync(note.file) ? note.at : null;
  } catch {
    return null;
  }
}

/**
 * Backs up once a day while the app runs; one that fails is said and tried again soon. BACKUPS=off leaves it to somebody else.
 *
 * @returns how to stop it
 */
export function keepBackups(url: string): () => Promise<void> {
  if (process.env.BACKUPS === "off") return async () => {};
  let running: Promise<unknown> | null = null;
  const look = () => {
    const last = lastGoodBackup();
    if (running || (last && Date.now() - Date.parse(last) < everyMs)) return;
    running = backUp(url)
      .catch((error: Error) => console.error(`No backup was made: ${error.message}`))
      .finally(() => {
        running = null;
      });
  };
  const timer = setInterval(look, lookMs);
  const first = setTimeout(look, 60_000);
  return async () => {
    clearInterval(timer);
    clearTimeout(first);
    await running;
  };
}

/** A password in a command line is seen by everybody on the machine. */
function apartFromPassword(url: string): { address: string; env: NodeJS.ProcessEnv } {
  const address = new URL(url);
  const password = decodeURIComponent(address.password);
  address.password = "";
  return { address: address.toString(), env: { ...process.env, PGPASSWORD: password } };
}

const sha256Of = (file: string): Promise<string> =>
  new Promise((done, fail) => {
    const hash = createHash("sha256");
    createReadStream(file)
      .on("data", (piece) => hash.update(piece))
      .on("error", fail)
      .on("end", () => done(hash.digest("hex")));
  });
