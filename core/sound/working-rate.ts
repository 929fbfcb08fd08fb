/** Sound as the reader takes it: one channel, without a constant part. */
export type Sound = { samples: Float64Array; sampleRateHz: number };

/** Above twice this nothing is wanted. */
const leastRateHz = 6000;

/**
 * Brings a recording down to the rate that is worked at, by a whole factor, with what lies above half of it filtered out first (a windowed
 * sinc); else it would come back as tones that are not there.
 */
export function toWorkingRate({ samples, sampleRateHz }: Sound): Sound {
  const factor = Math.max(1, Math.floor(sampleRateHz / leastRateHz));
  if (factor === 1) return { samples: withoutMean(samples), sampleRateHz };
  const half = 8 * factor;
  const taps = Float64Array.from({ length: 2 * half + 1 }, (_, i) => {
    const x = (i - half) / factor;
    const sinc = x === 0 ? 1 : Math.sin(0.9 * Math.PI * x) / (0.9 * Math.PI * x);
    return sinc * (0.5 + 0.5 * Math.cos((Math.PI * (i - half)) / (half + 1)));
  });
  const gain = taps.reduce((sum, tap) => sum + tap, 0);
  const out = new Float64Array(Math.floor(samples.length / factor));
  for (let i = 0; i < out.length; i++) {
    let sum = 0;
    const from = i * factor - half;
    const start = Math.max(0, -from);
    const end = Math.min(taps.length, samples.length - from);
    for (let t = start; t < end; t++) sum += (taps[t] as number) * (samples[from + t] as number);
    out[i] = sum / gain;
  }
  return { samples: withoutMean(out), sampleRateHz: sampleRateHz / factor };
}

function withoutMean(samples: Float64Array): Float64Array {
  const mean = samples.reduce((sum, value) => sum + value, 0) / Math.max(1, samples.length);
  return samples.map((value) => value - mean);
}
