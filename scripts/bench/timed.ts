export const frameMs = 1000 / 60;

/** Median and 95th of a hundred runs, ms, after some to warm up. */
export function timed(once: () => unknown): { median: number; slow: number } {
  for (let i = 0; i < 30; i++) once();
  const times = Array.from({ length: 100 }, () => {
    const before = performance.now();
    once();
    return performance.now() - before;
  }).sort((a, b) => a - b);
  return { median: times[50] ?? 0, slow: times[95] ?? 0 };
}
