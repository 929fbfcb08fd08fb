import { type Ringing, ringingOf, type Stretch } from "./ringing";
import { noiseFloor, type Peak, peaksOf, powerSpectrum, type Spectrum } from "./spectrum";
import { withoutSteadyTones } from "./steady-tones";
import { type Sound, toWorkingRate } from "./working-rate";

export type PluckQuestion = {
  /** What the span should sound at; of two that explain as much, the one nearer to it is taken. */
  expectedHz?: number | undefined;
  bandHz: readonly [lo: number, hi: number];
};

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

/** Of partials counted, and of the frequencies looked at. */
const mostPartials = 10;
const highestHz = 2900;

/** A partial that was found: which one, its peak, and what it is above the noise. */
type HeardPartial = { n: number; peak: Peak; above: number };
type Candidate = { hz: number; bend: number; partials: HeardPartial[]; score: number };

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
  const candidates = candidatesOf(clear, bandHz, widthHz, expectedHz);
  const best = candidates[0];
  if (!best) return none("nothing-in-band");
  const other = candidates.find(({ hz }) => Math.abs(Math.log(hz / best.hz)) > 0.03);
  const fades = fadingOf(heard, sampleRateHz, best);
  const halves = halvesAgree(heard, sampleRateHz, best, widthHz);
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
  return { frequencyHz: best.hz, confidence: confidence ** 0.6, peaks, doubts: [...new Set(doubts)], ringS };
}

/** Noise in the ring's spectrum: its own median, or what the quiet stretch has at that place, whichever is more. */
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

type Clear = { peak: Peak; above: number };

/** How much a peak counts: as many decibels as it stands above the noise, within bounds. */
const weightOf = (above: number): number => Math.min(40, 10 * Math.log10(above));

function candidatesOf(
  clear: readonly Clear[],
  [lo, hi]: readonly [number, number],
  widthHz: number,
  expectedHz: number | undefined,
): Candidate[] {
  const own = clear.map(({ peak }) => peak.hz);
  // Below a peak one is tried only where there is none of its own: the lowest partial itself tells more than what it would be by a higher one.
  const below = clear
    .slice(0, 10)
    .flatMap(({ peak }) => [2, 3, 4, 5].map((n) => peak.hz / n))
    .filter((hz) => own.every((known) => Math.abs(known - hz) > widthHz / 2 + hz * 0.01));
  const tried = [...own, ...below]
    .filter((hz) => hz >= lo && hz <= hi)
    .sort((a, b) => a - b)
    .filter((hz, i, list) => i === 0 || hz > (list[i - 1] as number) * 1.004);
  return tried
    .map((hz) => candidateAt(hz, clear, widthHz, expectedHz))
    .filter(({ partials, hz }) => partials.length > 0 && hz >= lo && hz <= hi)
    .sort((a, b) => b.score - a.score);
}

function candidateAt(hz: number, clear: readonly Clear[], widthHz: number, expectedHz: number | undefined): Candidate {
  let bend = 0;
  let at = hz;
  let partials = matched(at, bend, clear, widthHz);
  for (let round = 0; round < 2; round++) {
    ({ hz: at, bend } = refined(partials, at, widthHz));
    partials = matched(at, bend, clear, widthHz);
  }
  const total = clear.reduce((sum, { above }) => sum + weightOf(above), 0);
  const explained = partials.reduce((sum, { above }) => sum + weightOf(above), 0) / total;
  const highest = Math.max(1, ...partials.map(({ n }) => n));
  const has = (n: number) => partials.some((partial) => partial.n === n);
  let missing = 0;
  let wanted = 0;
  for (let n = 1; n <= highest; n++) {
    // Low ones are missed more.
    const counts = 1 / Math.sqrt(n);
    wanted += counts;
    if (!has(n)) missing += counts;
  }
  const nearby = expectedHz === undefined ? 0 : 0.1 * Math.exp(-((Math.log2(at / expectedHz) / 0.3) ** 2));
  return { hz: at, bend, partials, score: explained - 0.55 * (missing / wanted) - (has(1) ? 0 : 0.15) + nearby };
}

/** The clear peak nearest to each partial, where one lies near enough. */
function matched(hz: number, bend: number, clear: readonly Clear[], widthHz: number): HeardPartial[] {
  const partials: HeardPartial[] = [];
  for (let n = 1; n <= mostPartials && n * hz < highestHz; n++) {
    const at = n * hz * Math.sqrt((1 + bend * n * n) / (1 + bend));
    // Stiffness only sharpens; a wide peak may lie half its width off.
    const [under, over] = [
      at * 0.006 + widthHz * 0.25,
      at * (0.006 + (bend === 0 ? 0.0012 * n * n : 0.004)) + widthHz * 0.25,
    ];
    let found: Clear | null = null;
    for (const one of clear) {
      const off = one.peak.hz - at;
      if (off < -Math.min(under, hz * 0.25) || off > Math.min(over, hz * 0.3)) continue;
      if (!found || one.peak.power > found.peak.power) found = one;
    }
    if (found) partials.push({ n, ...found });
  }
  return partials;
}

/** The lowest partial and B from all that were found: (f_n/n)² = a·(1 + B·n²), a straight line over n², each by what it stands above noise. */
function refined(partials: readonly HeardPartial[], hz: number, widthHz: number): { hz: number; bend: number } {
  if (partials.length === 0) return { hz, bend: 0 };
  let [w, wx, wy, wxx, wxy] = [0, 0, 0, 0, 0];
  for (const { n, peak, above } of partials) {
    const [x, y] = [n * n, (peak.hz / n) ** 2];
    // By its noise (which counts less the higher it is), and by how little a real span keeps to the line: a thousandth for each partial on.
    const weight = 1 / (((0.3 * widthHz) / (n * hz)) ** 2 / above + (0.001 * (n - 1)) ** 2 + 1e-9);
    w += weight;
    wx += weight * x;
    wy += weight * y;
    wxx += weight * x * x;
    wxy += weight * x * y;
  }
  const spread = w * wxx - wx * wx;
  const slope = partials.length >= 3 && spread > 0 ? (w * wxy - wx * wy) / spread : 0;
  const limited = Math.min(Math.max(0, slope), (0.01 * wy) / w);
  const a = (wy - limited * wx) / w;
  return { hz: Math.sqrt(a + limited), bend: limited / a };
}

/** How much of the candidate's power lies in its odd partials; next to none, and it is an octave too low. */
const oddShare = ({ partials }: Candidate): number => {
  const power = (list: readonly HeardPartial[]) => list.reduce((sum, { peak }) => sum + peak.power, 0);
  return power(partials.filter(({ n }) => n % 2 === 1)) / power(partials);
};

/** What stands close beside the lowest partial, as a share of its power: a second pluck that was not noticed splits it, another belt lies beside it. */
function besideShare({ hz, partials }: Candidate, clear: readonly Clear[]): number {
  const lowest = partials.find(({ n }) => n === 1);
  if (!lowest) return 0;
  const beside = clear.filter(({ peak }) => peak !== lowest.peak && Math.abs(Math.log(peak.hz / hz)) < 0.26);
  return Math.max(0, ...beside.map(({ peak }) => peak.power)) / lowest.peak.power;
}

/** Of what rings, as a share in decibels, how much the candidate explains among peaks that count. */
function explainedShare({ partials }: Candidate, clear: readonly Clear[]): number {
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
