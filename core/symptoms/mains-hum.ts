/** Twice the frequency of the mains, a minute: what transformers, chokes and motors hum at, whatever the drive does (magnetostriction; common practice). */
const mainsHums = [
  { mainsHz: 50, perMinute: 6000 },
  { mainsHz: 60, perMinute: 7200 },
] as const;

/** Which mains a timed noise may come from; null: none. */
export const mainsHum = (heard: { perMinute: number; toleranceShare: number } | null): number | null =>
  (heard &&
    mainsHums.find(({ perMinute }) => Math.abs(heard.perMinute / perMinute - 1) <= heard.toleranceShare)?.mainsHz) ||
  null;
