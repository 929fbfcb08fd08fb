import type { Random } from "./random";

/** A belt's span as the simulation has it, and how it is plucked and heard. */
export type PluckedString = {
  /** Of small swings, without stiffness. */
  stringHz: number;
  /** EI·π²/(T·L²): by how much stiffness raises the partials, f_n = n·f·√(1 + B·n²). */
  stiffness: number;
  /** Seconds in which the lowest partial falls to a thousandth, and how much faster the twentieth falls. */
  decayS: number;
  decayRise: number;
  /** How much a full pluck sharpens the pitch at first: the swing itself tightens the span. */
  sharpening: number;
  /** Along the span, 0 to 1. */
  pluckAt: number;
  hearAt: number;
  /** Seconds at which it is plucked, and how hard, the hardest 1. */
  plucks: readonly { atS: number; strength: number }[];
};

type Four = [number, number, number, number];

/** Points of the string: as many as the time step lets stand, so that waves keep their speed. */
const mostPoints = 96;

/** Loss of the whole string a second, and what grows with the square of a partial's number. */
function lossesOf({ decayS, decayRise }: PluckedString) {
  const all = 6.908 / decayS;
  return { all, rising: (all * decayRise) / (400 * Math.PI ** 2) };
}

/** How the string is cut up for a sampling rate: steps a sample, points, and the two numbers of the scheme. */
function gridOf(string: PluckedString, sampleRateHz: number) {
  const { stringHz, stiffness, sharpening } = string;
  const { rising } = lossesOf(string);
  // Length 1: c = 2·f, κ² = B·(c/π)²
  const c = 2 * stringHz;
  const kappa2 = stiffness * (c / Math.PI) ** 2;
  // Shorter steps than a wave goes in the time step make the scheme run away; losses and a pluck that sharpens want longer ones still.
  const least = (k: number) => {
    const wave = (c * k) ** 2 + 4 * rising * k;
    return Math.sqrt((wave + Math.sqrt(wave * wave + 16 * kappa2 * k * k)) / 2) * (1.002 + 1.6 * sharpening);
  };
  let over = 1;
  while (1 / least(1 / (sampleRateHz * over)) < 20) over++;
  const k = 1 / (sampleRateHz * over);
  const points = Math.min(mostPoints, Math.floor(1 / least(k)));
  return { over, k, points, lambda2: (c * k * points) ** 2, mu2: kappa2 * k * k * points ** 4 };
}

/**
 * What the simulated string's lowest partial really is: that of the scheme itself, which differs from the smooth string's by what cutting it
 * into points does. A sine with fixed ends is a mode of the scheme, so this is exact.
 */
export function lowestPartial(string: PluckedString, sampleRateHz: number): number {
  const { k, points, lambda2, mu2 } = gridOf(string, sampleRateHz);
  const s = 4 * Math.sin(Math.PI / (2 * points)) ** 2;
  return Math.acos(1 - (lambda2 * s + mu2 * s * s) / 2) / (2 * Math.PI * k);
}

/**
 * Sound of a plucked span by the wave equation of a stiff string with losses and fixed ends, stepped forward in time (finite differences,
 * explicit). Nothing here knows of harmonics, windows or spectra, so a reader of pitches can be tried against it.
 *
 * @param seconds how long
 * @returns what a microphone near `hearAt` hears (velocity), the loudest sample 1; silence before the first pluck
 * @source finite-difference string with frequency-dependent loss, as in texts on numerical sound synthesis
 */
export function pluckSound(string: PluckedString, sampleRateHz: number, seconds: number): Float64Array {
  const { over, k, points, lambda2, mu2 } = gridOf(string, sampleRateHz);
  const { all: loss, rising } = lossesOf(string);
  const sigma1 = rising * k * points * points;
  const sound = new Float64Array(Math.round(seconds * sampleRateHz));
  let [now, before, next] = [0, 0, 0].map(() => new Float64Array(points + 3)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  // Index 1 is one end, points + 1 the other; beyond them the string goes on upside down.
  const first = 1;
  const last = points + 1;
  const hear = Math.min(last - 1, Math.max(first + 1, first + Math.round(string.hearAt * points)));
  const starts = string.plucks.map(({ atS, strength }) => ({ step: Math.round(atS * sampleRateHz) * over, strength }));
  const damping = 1 + loss * k;
  // As much stretch wherever it is plucked, that of a triangle of height 1 at mid-span: 4.
  const height = 2 * Math.sqrt(string.pluckAt * (1 - string.pluckAt));
  let loudest = 0;
  let moving = false;
  for (let i = 0, step = 0; i < sound.length; i++) {
    let heard = 0;
    for (let part = 0; part < over; part++, step++) {
      for (const { step: at, strength } of starts) {
        if (at !== step) continue;
        moving = true;
        for (let p = first; p <= last; p++) {
          const x = (p - first) / points;
          const shape = x < string.pluckAt ? x / string.pluckAt : (1 - x) / (1 - string.pluckAt);
          now[p] = (now[p] as number) * 0.2 + strength * height * shape;
          before[p] = (before[p] as number) * 0.2 + strength * height * shape;
        }
      }
      if (!moving) continue;
      let stretch = 0;
      if (string.sharpening > 0)
        for (let p = first; p < last; p++) stretch += ((now[p + 1] as number) - (now[p] as number)) ** 2 * points;
      const pull = lambda2 * (1 + (2 * string.sharpening * stretch) / 4);
      now[first] = 0;
      now[last] = 0;
      now[first - 1] = -(now[first + 1] as number);
      now[last + 1] = -(now[last - 1] as number);
      let [a, b, u, d] = [now[first - 1], now[first], now[first + 1], now[first + 2]] as Four;
      let [bBefore, uBefore] = [before[first], before[first + 1]] as [number, number];
      for (let p = first + 1; p < last; p++) {
        const e = now[p + 2] as number;
        const dBefore = before[p + 1] as number;
        const bend = d - 2 * u + b;
        next[p] =
          (2 * u -
            (1 - loss * k) * uBefore +
            pull * bend -
            mu2 * (a - 4 * b + 6 * u - 4 * d + e) +
            2 * sigma1 * (bend - (dBefore - 2 * uBefore + bBefore))) /
          damping;
        a = b;
        b = u;
        u = d;
        d = e;
        bBefore = uBefore;
        uBefore = dBefore;
      }
      heard += (next[hear] as number) - (now[hear] as number);
      [before, now, next] = [now, next, before];
    }
    sound[i] = heard;
    loudest = Math.max(loudest, Math.abs(heard));
  }
  return loudest > 0 ? sound.map((value) => value / loudest) : sound;
}

/** What else a microphone hears in a works, for a sound of mean square 1. */
export type Surroundings = {
  /** dB of the pluck over the noise, both as mean squares; the pluck over its first half second. */
  signalToNoiseDb: number;
  /** 50 or 60, and how loud its hum is against the pluck (amplitude); 0 for none. */
  mainsHz: number;
  hum: number;
  /** Seconds of knocks, each a short crack. */
  knocksS: readonly number[];
};

/** The sound with noise, hum and knocks added; the loudest sample is `peak`. */
export function recordedIn(
  sound: Float64Array,
  sampleRateHz: number,
  { signalToNoiseDb, mainsHz, hum, knocksS }: Surroundings,
  random: Random,
  peak = 0.5,
): Float64Array {
  const start = sound.findIndex((value) => value !== 0);
  const heard = sound.subarray(Math.max(0, start), Math.max(0, start) + Math.round(sampleRateHz / 2));
  const meanSquare = heard.reduce((sum, value) => sum + value * value, 0) / Math.max(1, heard.length) || 1e-6;
  const noise = Math.sqrt(meanSquare / 10 ** (signalToNoiseDb / 10));
  const level = Math.sqrt(2 * meanSquare) * hum;
  const partials = [1, 2, 3, 4, 6].map((n) => ({
    step: (2 * Math.PI * mainsHz * n * (1 + 0.001 * (random() - 0.5))) / sampleRateHz,
    phase: 2 * Math.PI * random(),
    level: level * random() * (n === 1 ? 1 : 0.7),
  }));
  const out = new Float64Array(sound.length);
  // Half of the noise power hisses, half rumbles (noise through a slow filter).
  const slow = Math.exp((-2 * Math.PI * 150) / sampleRateHz);
  const rumbleGain = Math.sqrt((1 - slow * slow) / 2);
  let rumble = 0;
  const deviate = normalPairs(random);
  for (let i = 0; i < out.length; i++) {
    rumble = slow * rumble + deviate();
    let value = (sound[i] as number) + noise * (Math.SQRT1_2 * deviate() + rumbleGain * rumble);
    if (level > 0) for (const { step, phase, level: each } of partials) value += each * Math.sin(step * i + phase);
    out[i] = value;
  }
  for (const at of knocksS) {
    const from = Math.round(at * sampleRateHz);
    const length = Math.round(0.012 * sampleRateHz);
    for (let i = 0; i < length && from + i < out.length; i++)
      out[from + i] = (out[from + i] as number) + 1.5 * deviate() * Math.exp((-4 * i) / length);
  }
  const loudest = out.reduce((most, value) => Math.max(most, Math.abs(value)), 0) || 1;
  return out.map((value) => (value * peak) / loudest);
}

/** Normal deviates of sd 1, two from each pair of random numbers (Box and Muller). */
function normalPairs(random: Random): () => number {
  let kept: number | null = null;
  return () => {
    if (kept !== null) {
      const value = kept;
      kept = null;
      return value;
    }
    const size = Math.sqrt(-2 * Math.log(1 - random()));
    const angle = 2 * Math.PI * random();
    kept = size * Math.sin(angle);
    return size * Math.cos(angle);
  };
}
