import { statfsSync } from "node:fs";
import type { RequestHandler } from "express";
import { openHealthPool, sql } from "~/data/postgres";
import { one } from "~/data/postgres/ask";
import type { LogState } from "./log";

export type Health = { handler: RequestHandler; end: () => Promise<void> };

/** Free space below which the lead should hear of it. */
const littleBytes = 1_000_000_000;

/**
 * Whether the database answers, asked on a connection of its own, so that whoever waits for a lock elsewhere makes nobody ill; how much room is
 * left, whether the log is written, when the last backup was good and the last seal was set.
 */
export function healthOf(
  databaseUrl: string,
  home: string | undefined,
  log: () => LogState,
  backup: () => string | null,
): Health {
  const pool = openHealthPool(databaseUrl);
  const handler: RequestHandler = async (_request, response) => {
    const seen = await one(pool, sql`select (select max(at) from seal) as sealed_at`, (row) => ({
      sealedAt: (row.sealed_at?.toISOString() ?? null) as string | null,
    })).catch(() => null);
    const freeBytes = home ? freeOf(home) : null;
    response
      .status(seen ? 200 : 503)
      .set("Cache-Control", "no-store")
      .json({
        database: seen ? "up" : "down",
        disk: freeBytes === null ? null : { freeBytes, little: freeBytes < littleBytes },
        log: log(),
        lastBackupAt: backup(),
        lastSealAt: seen?.sealedAt ?? null,
      });
  };
  return { handler, end: () => pool.end() };
}

function freeOf(folder: string): number | null {
  try {
    const { bavail, bsize } = statfsSync(folder);
    return bavail * bsize;
  } catch {
    return null;
  }
}
