import { leastSquares } from "../numerics";

export type WarmUpPoint = { minutes: number; tempC: number };
export type WarmUp = { finalC: number; timeConstantMinutes: number; passesLimitAtMinutes?: number };

/**
 * T = final − (final − T₀)·e^(−t/τ), all three fitted by variable projection: for a given τ the other two are linear, so only
 * τ is searched, on a log grid and then by golden section. Data shorter than about τ determine little.
 *
 * @param points four or more
 * @param limitC where given, the time at which it is passed, if it lies between the start and the final temperature
 * @returns null where the points do not determine a curve (all at one time)
 */
export function warmUp(points: readonly WarmUpPoint[], limitC?: number): WarmUp | null {
  const start = Math.min(...points.map((point) => point.minutes));
  const span = Math.max(...points.map((point) => point.minutes)) - start;
  if (span <= 0) return null;
  const linear = (tau: number) => {
    const rows = points.map((point) => [1, -Math.exp(-(point.minutes - start) / tau)]);
    const fitted = leastSquares(
      rows,
      points.map((point) => point.tempC),
    );
    if (!fitted) return null;
    const [finalC = 0, rise = 0] = fitted;
    const misfit = points.reduce((sum, point, i) => sum + (point.tempC - finalC - rise * (rows[i]?.[1] ?? 0)) ** 2, 0);
    return { finalC, rise, misfit };
  };
  const misfit = (logTau: number) => linear(Math.exp(logTau))?.misfit ?? Number.POSITIVE_INFINITY;
  const grid = Array.from(
    { length: gridSize },
    (_, i) => Math.log(span / 200) + (i * Math.log(40_000)) / (gridSize - 1),
  );
  const best = grid.reduce((a, b) => (misfit(b) < misfit(a) ? b : a));
  const step = Math.log(40_000) / (gridSize - 1);
  const tau = Math.exp(goldenSection(misfit, best - step, best + step));
  const fitted = linear(tau);
  if (!fitted) return null;
  const { finalC, rise } = fitted;
  const startC = finalC - rise;
  const passes = limitC !== undefined && startC < limitC && limitC < finalC;
  return {
    finalC,
    timeConstantMinutes: tau,
    ...(passes ? { passesLimitAtMinutes: start - tau * Math.log((finalC - limitC) / rise) } : {}),
  };
}

const gridSize = 120;

function goldenSection(f: (x: number) => number, from: number, to: number): number {
  const ratio = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [from, to];
  let [a, b] = [high - ratio * (high - low), low + ratio * (high - low)];
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < 80; i++) {
    if (fa < fb) {
      [high, b, fb] = [b, a, fa];
      a = high - ratio * (high - low);
      fa = f(a);
    } else {
      [low, a, fa] = [a, b, fb];
      b = low + ratio * (high - low);
      fb = f(b);
    }
  }
  return (low + high) / 2;
}
