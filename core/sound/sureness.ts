import { type Candidate, type ClearPeak, type HeardPartial, refined } from "./pitch-candidates";
import { peaksOf, powerSpectrum } from "./spectrum";

/** What speaks against a reading. */
export const pluckDoubts = [
  "silent",
  "nothing-rings",
  "nothing-in-band",
  "weak",
  "two-pitches",
  "does-not-fade",
  "unclear",
] as const;
export type PluckDoubt = (typeof pluckDoubts)[number];

/** A ring that was listened to: its sound, what stands clear in it, how wide a peak is. */
type Heard = { samples: Float64Array; sampleRateHz: number; clear: readonly ClearPeak[]; widthHz: number };

/**
 * How sure the best of the candidates is, 0 to 1, and what speaks against it. Each share goes from nothing to all over a range that was
 * found on simulated plucks in noise, so that of those called sure two in a thousand are wrong at ten decibels.
 *
 * @param candidates best first
 */
export function surenessOf(
  candidates: readonly [Candidate, ...Candidate[]],
  { samples, sampleRateHz, clear, widthHz }: Heard,
): { confidence: number; doubts: PluckDoubt[] } {
  const [best] = candidates;
  const other = candidates.find(({ hz }) => Math.abs(Math.log(hz / best.hz)) > 0.03);
  const fades = fadingOf(samples, sampleRateHz, best);
  const halves = halvesAgree(samples, sampleRateHz, best, widthHz);
  const loudness = best.partials.reduce((sum, { above }) => sum + above, 0);
  const explained = explainedShare(best, clear);
  const lead = best.score - (other?.score ?? 0);
  const doubts: PluckDoubt[] = [];
  const share = (value: number, none: number, full: number, doubt: PluckDoubt): number => {
    const kept = Math.min(1, Math.max(0, (value - none) / (full - none)));
    if (kept < 0.5) doubts.push(doubt);
    return kept;
  };
  const confidence =
    share(10 * Math.log10(loudness), 9, 21, "weak") *
    share(explained, 0.35, 0.75, "two-pitches") *
    share(lead, 0, 0.12, "unclear") *
    share(fades, 0.05, 0.35, "does-not-fade") *
    share(halves, 0.014, 0.004, "unclear") *
    share((0.35 * widthHz) / (best.hz * Math.sqrt(loudness)), 0.005, 0.0016, "unclear") *
    share(oddShare(best), 0.004, 0.03, "unclear") *
    share(-besideShare(best, clear), -0.5, -0.08, "two-pitches");
  return { confidence: confidence ** 0.6, doubts: [...new Set(doubts)] };
}

/** How much of the candidate's power lies in its odd partials; next to none, and it is an octave too low. */
const oddShare = ({ partials }: Candidate): number => {
  const power = (list: readonly HeardPartial[]) => list.reduce((sum, { peak }) => sum + peak.power, 0);
  return power(partials.filter(({ n }) => n % 2 === 1)) / power(partials);
};

/** What stands close beside the lowest partial, as a share of its power: a second pluck that was not noticed splits it, another belt lies beside it. */
function besideShare({ hz, partials }: Candidate, clear: readonly ClearPeak[]): number {
  const lowest = partials.find(({ n }) => n === 1);
  if (!lowest) return 0;
  const beside = clear.filter(({ peak }) => peak !== lowest.peak && Math.abs(Math.log(peak.hz / hz)) < 0.26);
  return Math.max(0, ...beside.map(({ peak }) => peak.power)) / lowest.peak.power;
}

/** Of what rings, as a share in decibels, how much the candidate explains among peaks that count. */
function explainedShare({ partials }: Candidate, clear: readonly ClearPeak[]): number {
  const weigh = (list: readonly { above: number }[]) => list.reduce((sum, { above }) => sum + Math.sqrt(above), 0);
  return weigh(partials) / weigh(clear);
}

/** Share of the partials' power that is gone in the second half of the ring: 0 for a steady tone. */
function fadingOf(heard: Float64Array, sampleRateHz: number, { partials }: Candidate): number {
  const half = heard.length >> 1;
  const power = (samples: Float64Array) =>
    partials.reduce((sum, { peak }) => sum + toneMeanSquare(samples, (2 * Math.PI * peak.hz) / sampleRateHz), 0);
  const [early, late] = [power(heard.subarray(0, half)), power(heard.subarray(half))];
  return early > 0 ? 1 - late / early : 0;
}

function toneMeanSquare(samples: Float64Array, turn: number): number {
  let [c, s] = [0, 0];
  const length = samples.length;
  const [stepC, stepS] = [Math.cos(turn), Math.sin(turn)];
  const [slowC, slowS] = [Math.cos((2 * Math.PI) / length), Math.sin((2 * Math.PI) / length)];
  let [tc, ts, wc, ws] = [1, 0, 1, 0];
  for (let i = 0; i < length; i++) {
    const value = (samples[i] as number) * (1 - wc);
    c += value * tc;
    s += value * ts;
    [tc, ts] = [tc * stepC - ts * stepS, ts * stepC + tc * stepS];
    [wc, ws] = [wc * slowC - ws * slowS, ws * slowC + wc * slowS];
  }
  return (c * c + s * s) / length ** 2;
}

/** By how much the pitch of the earlier and the later two thirds of the ring differ, as a share of it. */
function halvesAgree(heard: Float64Array, sampleRateHz: number, best: Candidate, widthHz: number): number {
  const part = Math.floor((heard.length * 2) / 3);
  const pitch = (samples: Float64Array): number => {
    const spectrum = powerSpectrum(samples, sampleRateHz, "early");
    const near = best.partials.flatMap(({ n, peak, above }) => {
      const [found] = peaksOf(spectrum, peak.hz - widthHz * 0.75, peak.hz + widthHz * 0.75);
      return found ? [{ n, peak: found, above }] : [];
    });
    return refined(near, best.hz, widthHz).hz;
  };
  return Math.abs(pitch(heard.subarray(0, part)) / pitch(heard.subarray(heard.length - part)) - 1);
}
