import type { Stretch } from "./ringing";
import { noiseFloor, peaksOf, powerSpectrum } from "./spectrum";
import type { Sound } from "./working-rate";

/** Above what is noise, as powers. */
const leastAbove = 14;
const mostTones = 10;

/**
 * Takes out what sounds steadily: mains hum, a motor that runs on. It is found where nothing rings, before the pluck or after it, and taken
 * away with the phase that it has there, so that a pluck of the same pitch stays. Subtracting spectra would take that away as well.
 *
 * @returns the sound without them, and their frequencies
 */
export function withoutSteadyTones(sound: Sound, quiet: readonly Stretch[]): { sound: Sound; tonesHz: number[] } {
  const { sampleRateHz } = sound;
  if (quiet.length === 0) return { sound, tonesHz: [] };
  const longest = quiet.reduce((a, b) => (b.to - b.from > a.to - a.from ? b : a));
  const rest = sound.samples.slice();
  const tonesHz: number[] = [];
  const widthHz = (2 * sampleRateHz) / (longest.to - longest.from);
  // What stands beside a loud one is seen when that is gone.
  for (let pass = 0; pass < 2; pass++) {
    const spectrum = powerSpectrum(rest.subarray(longest.from, longest.to), sampleRateHz);
    const floor = noiseFloor(spectrum);
    const found: number[] = [];
    for (const { hz, power } of peaksOf(spectrum, 8, 2500)) {
      if (power < leastAbove * floor(hz) || found.length + tonesHz.length >= mostTones) continue;
      if (found.some((known) => Math.abs(known - hz) < widthHz)) continue;
      if (tonesHz.some((known) => Math.abs(known - hz) < widthHz / 3)) continue;
      takeOut(rest, quiet, hz, sampleRateHz);
      found.push(hz);
    }
    tonesHz.push(...found);
    if (found.length === 0) break;
  }
  return { sound: { samples: rest, sampleRateHz }, tonesHz };
}

/** Fits a sine to the quiet stretches and takes it away everywhere. */
function takeOut(samples: Float64Array, quiet: readonly Stretch[], hz: number, sampleRateHz: number): void {
  const turn = (2 * Math.PI * hz) / sampleRateHz;
  const [stepC, stepS] = [Math.cos(turn), Math.sin(turn)];
  /** Cosine and sine from sample to sample, by turning. */
  const along = (from: number, to: number, at: (i: number, c: number, s: number) => void) => {
    let [c, s] = [Math.cos(turn * from), Math.sin(turn * from)];
    for (let i = from; i < to; i++) {
      at(i, c, s);
      [c, s] = [c * stepC - s * stepS, s * stepC + c * stepS];
    }
  };
  let [cc, cs, ss, cy, sy] = [0, 0, 0, 0, 0];
  for (const { from, to } of quiet)
    along(from, to, (i, c, s) => {
      const y = samples[i] as number;
      cc += c * c;
      cs += c * s;
      ss += s * s;
      cy += c * y;
      sy += s * y;
    });
  const det = cc * ss - cs * cs;
  if (det <= 1e-12 * cc * ss) return;
  const [a, b] = [(cy * ss - sy * cs) / det, (sy * cc - cy * cs) / det];
  along(0, samples.length, (i, c, s) => {
    samples[i] = (samples[i] as number) - a * c - b * s;
  });
}
