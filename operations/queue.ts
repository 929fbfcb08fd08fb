import pLimit from "p-limit";

/** So much waits already that one more would wait too long. */
export class Busy extends Error {}

/**
 * Dear work one or a few at a time, and no more in line than can be served soon: whoever comes then is told at once (`Busy`).
 *
 * @param atOnce how many run together
 * @param inLine how many may wait behind them
 */
export function queueOf(atOnce: number, inLine: number): <T>(work: () => Promise<T>) => Promise<T> {
  const limit = pLimit(atOnce);
  return async (work) => {
    if (limit.activeCount >= atOnce && limit.pendingCount >= inLine) throw new Busy("too many in line");
    return limit(work);
  };
}
