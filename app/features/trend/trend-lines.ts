import type { StageTrend } from "~/core/logbook";

export type Line = "tightest" | "mean" | "loosest";
/** One row of the chart and of its table: what was read, the fitted line where it runs, and the forecast beyond the last round. */
export type TrendRow = {
  t: number;
  tightest?: number;
  mean?: number;
  loosest?: number;
  tightestFit?: number;
  loosestFit?: number;
  tightestAhead?: number;
  loosestAhead?: number;
};

/** How far ahead the forecast is drawn where nothing is crossed: a third of what was looked back on. */
const aheadShare = 0.33;

/** Rows for a chart: the rounds, the lines of the last segment, and both lines ahead until the limit is crossed. */
export function trendRows(trend: StageTrend, today?: number): { rows: TrendRow[]; from: number; to: number } {
  const ts = trend.points.map((point) => point.t);
  const first = Math.min(...ts);
  const last = Math.max(...ts);
  const begin = Math.max(first, ...trend.resets.filter((reset) => reset <= last));
  const crossing = trend.drift ? (trend.drift.limit === "lo" ? trend.tightest : trend.loosest).crossing : null;
  const reach = (last - first) * aheadShare || 1;
  const far = crossing ? Math.min(Math.max(crossing.t, last + reach * 0.3), last + 3 * reach) : last + reach;
  // Today lies in the picture where it is not far beyond what was read.
  const to = today !== undefined && today > far && today < last + 3 * reach ? today : far;
  const at = (line: "tightest" | "loosest", t: number) => trend[line].level + trend[line].slope * (t - last);
  const lines = (t: number) => ({ tightestFit: at("tightest", t), loosestFit: at("loosest", t) });
  const ahead = (t: number) => ({ tightestAhead: at("tightest", t), loosestAhead: at("loosest", t) });
  const read = trend.points.map(
    (point): TrendRow => ({
      t: point.t,
      tightest: point.min,
      mean: point.mean,
      loosest: point.max,
      ...(point.t >= begin ? lines(point.t) : {}),
      ...(point.t === last ? ahead(point.t) : {}),
    }),
  );
  return { rows: [...read, { t: to, ...ahead(to) }].sort((a, b) => a.t - b.t), from: first, to };
}
