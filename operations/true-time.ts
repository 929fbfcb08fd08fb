const toleranceMs = 120_000;

/**
 * When something was done, by the server's clock. A tablet says what its own clock showed as it sent; where that is off by more
 * than two minutes, the difference is taken off, so that entries made without a network keep their distances. Nothing was
 * done after now.
 *
 * @param madeAt by the tablet's clock, ISO 8601
 * @param sentAt the tablet's clock on sending; left out where the server itself says `madeAt`
 * @returns ISO 8601, and by how many seconds the tablet's clock runs ahead (0 within the tolerance)
 */
export function trueTime(
  madeAt: string,
  sentAt: string | undefined,
  now: Date,
): { madeAt: string; aheadSeconds: number } {
  const ahead = sentAt === undefined ? 0 : Date.parse(sentAt) - now.getTime();
  const off = Math.abs(ahead) > toleranceMs ? ahead : 0;
  return {
    madeAt: new Date(Math.min(Date.parse(madeAt) - off, now.getTime())).toISOString(),
    aheadSeconds: Math.round(off / 1000),
  };
}
