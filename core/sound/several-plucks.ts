/** Plucks of one span taken together. */
export type SeveralPlucks = {
  frequencyHz: number;
  /** Greatest less least, as a share of the value. */
  spread: number;
  /** Whether they lie as near together as a careful hand gets them. */
  alike: boolean;
};

/** Three plucks lie within 2 % of one another (handbook of belts: level of repeat). */
export const alikeWithin = 0.02;

/** The middle of several plucks: one that was heard an octave off does not move it. Null for none. */
export function severalPlucks(frequenciesHz: readonly number[]): SeveralPlucks | null {
  const sorted = [...frequenciesHz].sort((a, b) => a - b);
  const [low, high] = [sorted[0], sorted.at(-1)];
  if (low === undefined || high === undefined) return null;
  const middle = sorted.length >> 1;
  const frequencyHz =
    sorted.length % 2 === 1
      ? (sorted[middle] as number)
      : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2;
  const spread = (high - low) / frequencyHz;
  return { frequencyHz, spread, alike: spread <= alikeWithin };
}
