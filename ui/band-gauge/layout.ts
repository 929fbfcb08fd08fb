export type Span = { min: number; max: number };
export type Band = { lo: number; hi: number };

/** For what a scale is drawn: the limits; or, where there are none, what was read with room about it, and then no band is drawn. */
export function bandOrSpans(limits: Band | null, spans: readonly Span[]): Band & { drawn: boolean } {
  if (limits) return { lo: limits.lo, hi: limits.hi, drawn: true };
  const [least, most] = [Math.min(...spans.map(({ min }) => min)), Math.max(...spans.map(({ max }) => max))];
  if (spans.length === 0) return { lo: 0, hi: 1, drawn: false };
  const room = 0.5 * (most - least) || 0.1 * Math.abs(most) || 1;
  return { lo: least - room, hi: most + room, drawn: false };
}

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
