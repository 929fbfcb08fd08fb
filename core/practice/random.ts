/** A source of numbers in [0, 1). */
export type Random = () => number;

/** Mulberry32: 32-bit state, period 2³², enough to make demo data and test cases that are the same every time. */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A normal deviate of mean 0 and the given standard deviation (Box–Muller). */
export const normalDeviate = (random: Random, sd: number): number =>
  sd * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
