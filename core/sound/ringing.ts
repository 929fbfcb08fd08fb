import type { Sound } from "./working-rate";

/** A stretch of sound, by samples. */
export type Stretch = { from: number; to: number };

export type Ringing = {
  /** Stretches that ring, each from its attack on, the one with most sound in it first. */
  rings: Stretch[];
  /** Before the first sound and after the last ring, where only what always sounds is heard. */
  quiet: Stretch[];
};

const hopS = 0.004;
/** What a pluck needs at least to be told from a knock. */
const leastRingS = 0.07;
const mostRingS = 1.5;

/**
 * Where a recording rings: a sudden rise, then a stretch that stays above what is always heard. A knock rises too and is over in hundredths
 * of a second; a second hit begins a new ring.
 *
 * @returns the rings and the quiet stretches, or null where nothing rises above what is always heard
 */
export function ringingOf({ samples, sampleRateHz }: Sound): Ringing | null {
  const hop = Math.max(1, Math.round(hopS * sampleRateHz));
  const energy = frames(samples, hop);
  if (energy.length < 12) return null;
  const smooth = smoothed(energy, 3);
  const slow = smoothed(energy, 9);
  const sorted = [...slow].sort((a, b) => a - b);
  const floor = (sorted[Math.floor(sorted.length * 0.12)] ?? 0) + 1e-14;
  const most = Math.max(...smooth);
  const strikes = bothStrikes(strikesOf(smooth, floor, most), strikesOfHiss(samples, hop));
  if (strikes.length === 0) return null;
  const hops = (seconds: number) => Math.max(1, Math.round(seconds / hopS));
  const rings = strikes.map((strike, i) => {
    const from = strike + 1;
    const next = strikes[i + 1] ?? energy.length;
    const limit = Math.min(next - 2, from + hops(mostRingS));
    let to = from;
    // Above the floor, and not yet a three-hundredth of what it began with.
    const least = Math.max(floor * 1.35, (slow[Math.min(from + 4, slow.length - 1)] ?? 0) / 300);
    while (to < limit && (slow[to] as number) > least) to++;
    to = Math.max(to, Math.min(limit, from + hops(leastRingS)));
    const sound = energy.slice(from, to).reduce((sum, one) => sum + Math.max(0, one - floor), 0);
    return { from, to, sound };
  });
  const lasting = rings.filter(({ from, to }) => (to - from) * hopS >= leastRingS * 0.8);
  if (lasting.length === 0) return null;
  const ends = (frame: number) => frame * hop;
  const firstStrike = strikes[0] as number;
  const lastRing = rings.at(-1) as (typeof rings)[number];
  const quiet = [
    { from: 0, to: ends(Math.max(0, firstStrike - 4)) },
    { from: ends(Math.min(energy.length, lastRing.to + hops(0.1))), to: samples.length },
  ].filter(({ from, to }) => (to - from) / sampleRateHz >= 0.15);
  return {
    rings: lasting
      .sort((a, b) => b.sound - a.sound)
      .map(({ from, to }) => ({ from: ends(from), to: Math.min(samples.length, ends(to)) })),
    quiet,
  };
}

function frames(samples: Float64Array, hop: number): Float64Array {
  const out = new Float64Array(Math.floor(samples.length / hop));
  for (let k = 0; k < out.length; k++) {
    let sum = 0;
    for (let i = k * hop; i < (k + 1) * hop; i++) sum += (samples[i] as number) ** 2;
    out[k] = sum / hop;
  }
  return out;
}

function smoothed(values: Float64Array, half: number): Float64Array {
  const sums = new Float64Array(values.length + 1);
  for (const [i, value] of values.entries()) sums[i + 1] = (sums[i] as number) + value;
  return values.map((_, i) => {
    const [from, to] = [Math.max(0, i - half), Math.min(values.length, i + half + 1)];
    return ((sums[to] as number) - (sums[from] as number)) / (to - from);
  });
}

/** A second hit on a low string hardly raises its energy, but begins anew what fades first: it is heard in what is left without the low. */
function strikesOfHiss(samples: Float64Array, hop: number): number[] {
  const steep = samples.map((value, i) => value - 2 * (samples[i - 1] ?? value) + (samples[i - 2] ?? value));
  const energy = smoothed(frames(steep, hop), 2);
  const sorted = [...energy].sort((a, b) => a - b);
  const floor = (sorted[Math.floor(sorted.length * 0.3)] ?? 0) + 1e-14;
  return strikesOf(energy, floor * 1.25, Math.max(...energy));
}

/** Of both lists in order, nothing within 60 ms of one of the first. */
function bothStrikes(first: readonly number[], second: readonly number[]): number[] {
  const far = (at: number) => first.every((one) => Math.abs(one - at) * hopS > 0.06);
  return [...first, ...second.filter(far)].sort((a, b) => a - b);
}

/**
 * Frames at which the energy rises above all that was heard in the tenth of a second before; a slow swing rises and falls with every half of
 * its period, but never above itself.
 */
function strikesOf(energy: Float64Array, floor: number, most: number): number[] {
  const [near, far] = [Math.round(0.016 / hopS), Math.round(0.11 / hopS)];
  const found: number[] = [];
  for (let i = 0; i < energy.length; i++) {
    const here = energy[i] as number;
    if (here < Math.max(floor * 1.5, most * 0.04)) continue;
    let earlier = floor * 0.9;
    for (let j = Math.max(0, i - far); j < i - near; j++) earlier = Math.max(earlier, energy[j] as number);
    if (i > near && here < 1.6 * earlier) continue;
    if (i <= near && here < 3 * floor) continue;
    let at = i;
    while (at + 1 < energy.length && at < i + 2 * near && (energy[at + 1] as number) > (energy[at] as number)) at++;
    const last = found.at(-1);
    if (last === undefined || at - last > 0.06 / hopS) found.push(at);
    i = at + near;
  }
  return found;
}
