import { candidatesOf, highestHz } from "./pitch-candidates";
import { type Ringing, ringingOf, type Stretch } from "./ringing";
import { noiseFloor, peaksOf, powerSpectrum, type Spectrum } from "./spectrum";
import { withoutSteadyTones } from "./steady-tones";
import { type PluckDoubt, surenessOf } from "./sureness";
import { type Sound, toWorkingRate } from "./working-rate";

export type PluckQuestion = {
  /** What the span should sound at; of two that explain as much, the one nearer to it is taken. */
  expectedHz?: number | undefined;
  bandHz: readonly [lo: number, hi: number];
};

export type Pluck = {
  /** Of the span's lowest partial; null where nothing sounds like a pluck. */
  frequencyHz: number | null;
  /** 0 to 1; below 0.5 it is no pluck that one can rely on. */
  confidence: number;
  /** Strongest first, the level relative to the strongest. */
  peaks: { hz: number; level: number }[];
  doubts: PluckDoubt[];
  /** Steady tones that were taken out. */
  tonesHz: number[];
  /** The stretch that was listened to, s from the beginning. */
  ringS: [from: number, to: number] | null;
};

/** Less sure than this, it is no pluck that one can rely on. */
const sureFrom = 0.5;

/** The pitch that one can rely on; null where there is none. */
export const surePitch = ({ frequencyHz, confidence }: Pick<Pluck, "frequencyHz" | "confidence">): number | null =>
  confidence >= sureFrom ? frequencyHz : null;

/**
 * Pitch of a plucked span from its sound: the lowest partial of what rings and fades.
 *
 * The strongest peak alone is often wrong: plucked or heard near a third or a quarter the second partial is louder than the first, a
 * small microphone hardly hears low ones, and hum is louder than all. So every peak, and every peak divided by small whole numbers, is tried
 * as the pitch, by how much of what rings its partials explain and how many of them are missing; a stiff belt's partials lie ever
 * sharper, f·n·√(1 + B·n²), and B is found with them. What does not fade is no pluck.
 *
 * @returns the pitch with its confidence, and what speaks against it
 * @source the string with stiffness (handbooks of acoustics); harmonic sums after the usual texts on pitch
 */
export function hearPluck(recorded: Sound, { expectedHz, bandHz }: PluckQuestion): Pluck {
  const nothing = (doubt: PluckDoubt): Pluck => ({
    frequencyHz: null,
    confidence: 0,
    peaks: [],
    doubts: [doubt],
    tonesHz: [],
    ringS: null,
  });
  const working = toWorkingRate(recorded);
  if (working.samples.length < working.sampleRateHz * 0.1) return nothing("nothing-rings");
  const loudest = working.samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
  if (loudest < 2e-4) return nothing("silent");
  const ringing = ringingOf(working);
  if (!ringing) return nothing("nothing-rings");
  const { sound, tonesHz } = withoutSteadyTones(working, ringing.quiet);
  return { ...bestOf(sound, ringing, { expectedHz, bandHz }), tonesHz };
}

/** Surer than this, nothing else is listened to. */
const sureEnough = 0.92;
/** What a part of the ring has to last, in periods of the pitch found. */
const leastPeriods = 6;

/** Rings that are listened to: what is not among the loudest few is no pluck that one meant. */
const mostRings = 3;

/**
 * Of the rings the surest; and where that leaves doubts, the part of it that is surer: a second hit that was not noticed spoils what it
 * lies in.
 */
function bestOf(sound: Sound, { rings, quiet }: Ringing, question: PluckQuestion): Listened {
  const hear = (stretch: Stretch) => listen(sound, stretch, quiet, question);
  const surer = (a: Listened, b: Listened) => (b.confidence > a.confidence ? b : a);
  const [first, ...others] = rings.slice(0, mostRings) as [Stretch, ...Stretch[]];
  let best = hear(first);
  for (const ring of others) if (best.confidence < sureEnough) best = surer(best, hear(ring));
  if (best.confidence >= sureEnough || !best.ringS) return best;
  const [from, to] = best.ringS.map((at) => Math.round(at * sound.sampleRateHz)) as [number, number];
  const parts = [
    [0, 0.5],
    [0.3, 0.7],
    [0.5, 1],
  ] as const;
  for (const [a, b] of parts) {
    const part = { from: Math.round(from + a * (to - from)), to: Math.round(from + b * (to - from)) };
    const seconds = (part.to - part.from) / sound.sampleRateHz;
    if (seconds < 0.06 || best.confidence >= sureEnough) continue;
    const heard = hear(part);
    if (heard.frequencyHz !== null && seconds * heard.frequencyHz > leastPeriods) best = surer(best, heard);
  }
  return best;
}

type Listened = Omit<Pluck, "tonesHz">;

function listen(
  sound: Sound,
  ring: Stretch,
  quiet: readonly Stretch[],
  { expectedHz, bandHz }: PluckQuestion,
): Listened {
  const { samples, sampleRateHz } = sound;
  const heard = samples.subarray(ring.from, ring.to);
  const spectrum = powerSpectrum(heard, sampleRateHz, "early");
  const floor = noiseOf(spectrum, sound, quiet, heard.length);
  const all = peaksOf(spectrum, Math.max(6, bandHz[0] * 0.8), highestHz);
  const strongest = all[0]?.power ?? 0;
  const peaks = all.slice(0, 12).map(({ hz, power }) => ({ hz, level: power / strongest }));
  const clear = all
    .filter(({ hz, power }) => power > 8 * floor(hz) && power > strongest * 4e-4)
    .slice(0, 24)
    .map((peak) => ({ peak, above: peak.power / floor(peak.hz) }));
  const ringS: Pluck["ringS"] = [ring.from / sampleRateHz, ring.to / sampleRateHz];
  const none = (doubt: PluckDoubt) => ({ frequencyHz: null, confidence: 0, peaks, doubts: [doubt], ringS });
  if (clear.length === 0) return none("weak");
  const widthHz = (2 * sampleRateHz) / heard.length;
  const [best, ...others] = candidatesOf(clear, bandHz, widthHz, expectedHz);
  if (!best) return none("nothing-in-band");
  const sureness = surenessOf([best, ...others], { samples: heard, sampleRateHz, clear, widthHz });
  return { frequencyHz: best.hz, peaks, ringS, ...sureness };
}

/** Noise in the ring's spectrum: its own median, or less where the quiet stretch has less at that place. */
function noiseOf(spectrum: Spectrum, { samples, sampleRateHz }: Sound, quiet: readonly Stretch[], length: number) {
  // Wide beside a peak, which a short ring makes wide.
  const own = noiseFloor(spectrum, 40, Math.max(160, (16 * sampleRateHz) / length));
  const [longest] = [...quiet].sort((a, b) => b.to - b.from - (a.to - a.from));
  if (!longest) return own;
  const stretch = samples.subarray(longest.from, longest.to);
  const still = noiseFloor(powerSpectrum(stretch, sampleRateHz));
  // The power of a sine stays with the length, that of noise falls with it.
  const scale = stretch.length / length;
  return (hz: number) => Math.min(own(hz), Math.max(still(hz) * scale, own(hz) * 0.1));
}
