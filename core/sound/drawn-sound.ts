import { powerSpectrum } from "./spectrum";
import { type Sound, toWorkingRate } from "./working-rate";

/** What is drawn of a recording: its wave as lowest and highest of each stretch, its spectrum in decibels below its loudest. */
export type DrawnSound = {
  seconds: number;
  wave: { low: number; high: number }[];
  spectrum: { hz: number; db: number }[];
};

const columns = 240;
const leastDb = -60;

/**
 * @param ringS the stretch that was listened to, whose spectrum is drawn; the whole where there was none
 * @param bandHz from where to where the spectrum is drawn, evenly in octaves
 */
export function drawnSound(
  recorded: Sound,
  ringS: readonly [number, number] | null,
  bandHz: readonly [number, number],
): DrawnSound {
  const { samples, sampleRateHz } = toWorkingRate(recorded);
  const per = Math.max(1, samples.length / columns);
  const loudest = samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0) || 1;
  const wave = Array.from({ length: Math.min(columns, samples.length) }, (_, k) => {
    let [low, high] = [0, 0];
    for (let i = Math.floor(k * per); i < Math.floor((k + 1) * per); i++) {
      low = Math.min(low, samples[i] as number);
      high = Math.max(high, samples[i] as number);
    }
    return { low: low / loudest, high: high / loudest };
  });
  const stretch = ringS
    ? samples.subarray(...(ringS.map((at) => Math.round(at * sampleRateHz)) as [number, number]))
    : samples;
  const { stepHz, power } = powerSpectrum(stretch.slice(0, 2 * sampleRateHz), sampleRateHz, "early");
  const [lo, hi] = [bandHz[0], Math.min(bandHz[1], (power.length - 2) * stepHz)];
  const bins = Array.from({ length: columns }, (_, k) => {
    const [from, to] = [k, k + 1].map((at) => lo * (hi / lo) ** (at / columns)) as [number, number];
    let most = 0;
    for (let i = Math.floor(from / stepHz); i <= Math.ceil(to / stepHz); i++) most = Math.max(most, power[i] ?? 0);
    return { hz: Math.sqrt(from * to), most };
  });
  const top = Math.max(1e-18, ...bins.map(({ most }) => most));
  return {
    seconds: samples.length / sampleRateHz,
    wave,
    spectrum: bins.map(({ hz, most }) => ({ hz, db: Math.max(leastDb, 10 * Math.log10(most / top + 1e-12)) })),
  };
}
