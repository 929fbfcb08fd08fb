/** A noise timed: how often it came, and what that may be off by, as a part of it. */
export type Timing = { perMinute: number; toleranceShare: number };

/**
 * What a second timing at another speed tells: that it goes with the speed (then both together say better how often, at the first speed), that
 * it stays as it was, so that nothing which turns with this motor makes it, neither, or nothing, where the speeds were too alike to tell.
 */
export type TwoTimings = { find: "goes-with-it"; heard: Timing } | { find: "stays" | "neither" | "too-alike" };

/**
 * @param speedRatio second speed of the motor over the first
 * @source common practice; both timings weighed by the inverse squares of their tolerances, as in any least squares text
 */
export function twoTimings(first: Timing, second: Timing, speedRatio: number): TwoTimings {
  const tolerance = Math.hypot(first.toleranceShare, second.toleranceShare);
  const near = (a: number, b: number) => Math.abs(a / b - 1) <= tolerance + 1e-12;
  const atFirst = second.perMinute / speedRatio;
  const [goes, stays] = [near(atFirst, first.perMinute), near(second.perMinute, first.perMinute)];
  if (goes && stays) return { find: "too-alike" };
  if (stays) return { find: "stays" };
  if (!goes) return { find: "neither" };
  const weights = [first, second].map(({ toleranceShare }) => 1 / Math.max(1e-6, toleranceShare) ** 2);
  const [w1 = 1, w2 = 1] = weights;
  return {
    find: "goes-with-it",
    heard: {
      perMinute: (w1 * first.perMinute + w2 * atFirst) / (w1 + w2),
      toleranceShare: 1 / Math.sqrt(w1 + w2),
    },
  };
}
