import type { Sound } from "./working-rate";

export type Recorded = Sound & {
  /** Share of the samples that stand at the top of what the recorder can write. */
  clippedShare: number;
};

/** Longer is not listened to; a pluck is over in seconds. */
export const mostSeconds = 60;

/**
 * One channel of a recording: the one in which most happens. A mean of two would take away what two microphones hear the other way round.
 * What lies beyond a minute is left out.
 */
export function oneChannel(channels: readonly Float64Array[], sampleRateHz: number): Recorded {
  const most = Math.round(mostSeconds * sampleRateHz);
  const cut = channels.map((samples) => samples.subarray(0, most));
  const swing = (samples: Float64Array) => {
    const mean = samples.reduce((sum, value) => sum + value, 0) / Math.max(1, samples.length);
    return samples.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  };
  const samples = cut.reduce((best, one) => (swing(one) > swing(best) ? one : best));
  return { samples, sampleRateHz, clippedShare: clippedOf(samples) };
}

/** Samples at the loudest of all, where several in a row stand there: a sine touches its peak, a clipped one lies on it. */
function clippedOf(samples: Float64Array): number {
  const loudest = samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  if (loudest < 0.1) return 0;
  let flat = 0;
  for (let i = 2; i < samples.length; i++) {
    const [a, b, c] = [samples[i - 2], samples[i - 1], samples[i]] as [number, number, number];
    if (Math.abs(c) >= 0.999 * loudest && a === b && b === c) flat++;
  }
  return flat / samples.length;
}
