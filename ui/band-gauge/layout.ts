export type Span = { min: number; max: number };
export type GaugeScale = { at: (value: number) => number; from: number; to: number; ticks: number[] };

/**
 * A linear scale that shows the band and everything on it, with the band never less than a fifth of the width. Values beyond
 * stand at the end of the scale.
 * @param per how much one of the unit is that is written on it: its ticks are round in that
 */
export function gaugeScale(lo: number, hi: number, spans: readonly Span[], width: number, per = 1): GaugeScale {
  const band = hi - lo || Math.abs(hi) || 1;
  const least = Math.min(lo, ...spans.map((s) => s.min));
  const most = Math.max(hi, ...spans.map((s) => s.max));
  const from = Math.max(least, lo - 2 * band) - 0.12 * band;
  const to = Math.min(most, hi + 2 * band) + 0.12 * band;
  const at = (value: number) => (width * (Math.min(to, Math.max(from, value)) - from)) / (to - from);
  return { at, from, to, ticks: niceTicks(from / per, to / per, 6).map((tick) => tick * per) };
}

/** Round figures (1, 2, 4, 5 × 10ⁿ) within a range, about `count` of them. */
export function niceTicks(from: number, to: number, count: number): number[] {
  const rough = (to - from) / count;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 4, 5, 10].find((m) => m * power >= rough) ?? 10) * power;
  const first = Math.ceil(from / step - 1e-9);
  const last = Math.floor(to / step + 1e-9);
  return Array.from({ length: last - first + 1 }, (_, i) => Number(((first + i) * step).toPrecision(12)));
}
