import { randomBytes } from "node:crypto";
import {
  closeSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readFileSync,
  renameSync,
  unlinkSync,
  writeSync,
} from "node:fs";
import { dirname } from "node:path";

/**
 * A secret in a file of its own, readable by its owner only: made once, and there whole or not at all. Of several processes that
 * start together one makes it, and all take that one.
 */
export function keptSecret(file: string, make: () => string): string {
  const known = contentOf(file);
  if (known) return known;
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const making = `${file}.${process.pid}.${randomBytes(4).toString("hex")}`;
  const handle = openSync(making, "wx", 0o600);
  try {
    writeSync(handle, make());
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  try {
    // An empty one is what a cut left behind; linking fails where somebody was quicker.
    if (known === "") renameSync(making, file);
    else linkSync(making, file);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== "EEXIST") throw error;
  }
  try {
    unlinkSync(making);
  } catch {
    // Renamed already.
  }
  return contentOf(file) || keptSecret(file, make);
}

/** Null where there is none. */
function contentOf(file: string): string | null {
  try {
    return readFileSync(file, "utf8");
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === "ENOENT") return null;
    throw error;
  }
}
