import FFT from "fft.js";

/** Power at evenly spaced frequencies. */
export type Spectrum = {
  /** Hz from one place to the next. */
  stepHz: number;
  power: Float64Array;
};

/** A rise in a spectrum, its frequency and power between two places by a parabola through three (of the logarithms). */
export type Peak = { hz: number; power: number };

/** Tables of sines are made once for each size. */
const transforms = new Map<number, FFT>();
function transformOf(size: number): FFT {
  const known = transforms.get(size);
  if (known) return known;
  const made = new FFT(size);
  transforms.set(size, made);
  return made;
}

/**
 * How a stretch is faded in and out. "even" is the raised cosine (Hann). A pluck is loudest where it begins, and a window that is least there
 * throws most of it away: "early" rises in an eighth of the stretch and falls over the rest.
 */
export type Fade = "even" | "early";

function fadeAt(fade: Fade, i: number, length: number): number {
  const x = (i + 0.5) / length;
  if (fade === "even") return 0.5 - 0.5 * Math.cos(2 * Math.PI * x);
  const rise = 1 / 8;
  return 0.5 - 0.5 * Math.cos(Math.PI * (x < rise ? x / rise : (1 - x) / (1 - rise)));
}

/**
 * Power spectrum of a stretch of sound, at least twice as fine as the stretch by itself would give,
 * so that a parabola finds a peak within a hundredth of its width. Scaled so that a sine of amplitude 1 has power 1.
 */
export function powerSpectrum(samples: Float64Array, sampleRateHz: number, fade: Fade = "even"): Spectrum {
  const size = 2 ** Math.ceil(Math.log2(Math.max(16, samples.length * 2)));
  const fft = transformOf(size);
  const input = new Float64Array(size);
  const length = samples.length;
  for (let i = 0; i < length; i++) input[i] = (samples[i] as number) * fadeAt(fade, i, length);
  const out: number[] = fft.createComplexArray();
  fft.realTransform(out, input);
  const power = new Float64Array(size / 2);
  const scale = (4 / length) ** 2;
  for (let i = 0; i < power.length; i++)
    power[i] = scale * ((out[2 * i] as number) ** 2 + (out[2 * i + 1] as number) ** 2);
  return { stepHz: sampleRateHz / size, power };
}

/** Peaks between two frequencies, the strongest first. */
export function peaksOf({ stepHz, power }: Spectrum, fromHz: number, toHz: number): Peak[] {
  const found: Peak[] = [];
  const to = Math.min(power.length - 2, Math.floor(toHz / stepHz));
  for (let i = Math.max(1, Math.ceil(fromHz / stepHz)); i <= to; i++) {
    const here = power[i] as number;
    if (here > (power[i - 1] as number) && here >= (power[i + 1] as number)) found.push(peakAt(power, i, stepHz));
  }
  return found.sort((a, b) => b.power - a.power);
}

function peakAt(power: Float64Array, i: number, stepHz: number): Peak {
  const [a, b, c] = [i - 1, i, i + 1].map((at) => Math.log((power[at] as number) + 1e-300)) as [number, number, number];
  const bend = a - 2 * b + c;
  const off = bend === 0 ? 0 : (a - c) / (2 * bend);
  return { hz: (i + off) * stepHz, power: Math.exp(b - ((a - c) * off) / 4) };
}

/**
 * What is noise at each frequency: the median of the powers round it, wide enough that peaks do not count. Given every `everyHz`; the mean
 * of noise is its median divided by ln 2.
 */
export function noiseFloor({ stepHz, power }: Spectrum, everyHz = 40, overHz = 160): (hz: number) => number {
  const last = Math.floor((power.length * stepHz) / everyHz);
  const floors: number[] = [];
  for (let k = 0; k <= last; k++) {
    const from = Math.max(0, Math.floor((k * everyHz - overHz / 2) / stepHz));
    const to = Math.min(power.length, Math.ceil((k * everyHz + overHz / 2) / stepHz));
    // Neighbours tell the same under a fine grid: some eighty of them are enough.
    const stride = Math.max(1, Math.floor((to - from) / 80));
    const near = new Float64Array(Math.max(0, Math.ceil((to - from) / stride)));
    for (let k = 0; k < near.length; k++) near[k] = power[from + k * stride] as number;
    near.sort();
    floors.push((near[near.length >> 1] ?? 0) / Math.LN2);
  }
  return (hz) => {
    const at = Math.min(last, Math.max(0, hz / everyHz));
    const k = Math.min(last - 1, Math.floor(at));
    const [a, b] = [floors[Math.max(0, k)] ?? 0, floors[Math.max(0, k) + 1] ?? floors[last] ?? 0];
    return a + (b - a) * (at - Math.max(0, k)) + 1e-18;
  };
}
