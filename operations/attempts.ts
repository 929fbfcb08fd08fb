import { accept, type Result, refuse } from "../core/quantity";
import { type Pool, transaction } from "../data/postgres";
import {
  attemptsSince,
  forgetAttempts,
  forgetOldAttempts,
  lockAttempts,
  noteAttempt,
} from "../data/queries/failed-attempts";

const windowMinutes = 15;

export type Limit = { key: string; most: number };

/**
 * Lets somebody try while fewer than so many tries failed under each of the keys within a quarter of an hour. A try counts as failed
 * until it succeeds, so that many sent at once are limited as well; one that is not let through does not count.
 */
export async function limited<T>(
  pool: Pool,
  now: Date,
  limits: readonly Limit[],
  work: () => Promise<Result<T>>,
): Promise<Result<T>> {
  const since = new Date(now.getTime() - windowMinutes * 60_000);
  // Who is over the limit already waits for nobody.
  for (const { key, most } of limits)
    if ((await attemptsSince(pool, key, since)) >= most)
      return refuse("too-many-tries", [], { minutes: windowMinutes });
  const may = await transaction(pool, async (db) => {
    // Always in the same order, so that two never wait for each other.
    for (const { key, most } of [...limits].sort((a, b) => (a.key < b.key ? -1 : 1))) {
      await lockAttempts(db, key);
      if ((await attemptsSince(db, key, since)) >= most) return false;
    }
    for (const { key } of limits) await noteAttempt(db, key, now);
    await forgetOldAttempts(db, since);
    return true;
  });
  if (!may) return refuse("too-many-tries", [], { minutes: windowMinutes });
  const result = await work();
  if (!result.ok) return result;
  await forgetAttempts(
    pool,
    limits.map(({ key }) => key),
  );
  return accept(result.value);
}
