import { chmodSync, mkdirSync, readdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import { type Logger, pino } from "pino";
import { createStream, type RotatingFileStream } from "rotating-file-stream";

export type LogState = { writes: boolean; lost: number };
export type ServerLog = { log: Logger; state: () => LogState; end: () => void };

const tryAgainMs = 30_000;
/** Lines that wait to be written; beyond that they are lost rather than the server stopped. */
const mostWaitingBytes = 1_000_000;

/**
 * The server's log in a folder that only its owner may look into: never more than six files of 10 MB. A log that cannot be written (a full
 * disk) never stops the server: lines are lost and counted, and after a while it is tried again. Without a folder it goes to standard output.
 */
export function openLog(folder: string | undefined): ServerLog {
  if (!folder) return { log: pino(), state: () => ({ writes: true, lost: 0 }), end: () => {} };
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  chmodSync(folder, 0o700);
  let stream: RotatingFileStream | null = null;
  let failedAt = 0;
  let lost = 0;
  const open = (): RotatingFileStream => {
    const made = createStream("server.log", { path: folder, size: "10M", maxFiles: 5, mode: 0o600 });
    const fail = () => {
      failedAt = Date.now();
      if (stream === made) stream = null;
    };
    made.on("error", fail);
    made.on("warning", fail);
    return made;
  };
  const writable = {
    write(line: string): void {
      if (!stream && Date.now() - failedAt > tryAgainMs) stream = open();
      if (!stream || stream.writableLength > mostWaitingBytes) lost++;
      else stream.write(line);
    },
  };
  stream = open();
  return { log: pino({}, writable), state: () => ({ writes: stream !== null, lost }), end: () => stream?.end() };
}

/** Logs of an earlier release held the cookies of sessions, readable by anybody. */
export function removeOldLogs(home: string): void {
  for (const name of readdirSync(home)) if (/^server\.log/.test(name)) rmSync(join(home, name), { force: true });
}
