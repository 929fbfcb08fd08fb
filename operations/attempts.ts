import { RateLimiterPostgres, type RateLimiterRes } from "rate-limiter-flexible";
import { type Result, refuse } from "../core/quantity";
import { type Database, none, type Pool, sql } from "../data/postgres";

/** So many tries fail without a wait; after that each waits twice as long as the one before. */
export type Limit = { key: string; free: number };

const rememberSeconds = 3600;
const longestWaitSeconds = 900;

type Limiters = { failed: RateLimiterPostgres; waits: RateLimiterPostgres };
const known = new WeakMap<Pool, Limiters>();

/** Counts stand in the database, so that several processes count together. */
function limitersOf(pool: Pool): Limiters {
  const made = known.get(pool);
  if (made) return made;
  const common = {
    storeClient: pool,
    storeType: "client",
    tableName: "attempt",
    tableCreated: true,
    clearExpiredByTimeout: false,
  };
  const limiters = {
    failed: new RateLimiterPostgres({ ...common, keyPrefix: "failed", points: 1_000_000, duration: rememberSeconds }),
    waits: new RateLimiterPostgres({ ...common, keyPrefix: "waits", points: 1, duration: longestWaitSeconds }),
  };
  known.set(pool, limiters);
  return limiters;
}

/**
 * Lets somebody try, unless too many tries failed under one of the keys: then only after a wait that doubles from a second to a quarter of an
 * hour, and is told (`too-many-tries`, facts: seconds). Nobody is shut out for good. A try counts as failed until it succeeds, so that many sent
 * at once are limited as well; one that is not let through does not count. Success clears the first key alone, which is the trier's own.
 */
export async function limited<T>(
  pool: Pool,
  limits: readonly Limit[],
  work: () => Promise<Result<T>>,
): Promise<Result<T>> {
  const { failed, waits } = limitersOf(pool);
  for (const { key } of limits) {
    const wait = await waits.get(key);
    if (wait && wait.consumedPoints > 0) return tooMany(wait);
  }
  for (const { key, free } of limits) {
    const { consumedPoints } = await failed.penalty(key);
    if (consumedPoints <= free) continue;
    const seconds = Math.min(2 ** (consumedPoints - free - 1), longestWaitSeconds);
    try {
      // The first of many that come at once begins the wait and is tried; the others wait.
      await waits.consume(key, 1, { customDuration: seconds });
    } catch (error) {
      if (error instanceof Error) throw error;
      await failed.reward(key);
      return tooMany(error as RateLimiterRes);
    }
  }
  const result = await work();
  if (!result.ok) return result;
  // It did not fail after all; what others failed at from the same place stays counted.
  const [own, ...shared] = limits;
  await Promise.all(shared.map(({ key }) => failed.reward(key)));
  if (own) await Promise.all([failed.delete(own.key), waits.delete(own.key)]);
  return result;
}

const tooMany = (wait: RateLimiterRes): Result<never> =>
  refuse("too-many-tries", [], { seconds: Math.max(1, Math.ceil(wait.msBeforeNext / 1000)) });

/** Clears away what has run out. */
export const forgetOldAttempts = (db: Database): Promise<void> =>
  none(db, sql`delete from attempt where expire < ${Date.now()}`);
