import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { StageTrend } from "~/core/logbook";
import type { JudgedQuantity } from "~/core/stages";
import { endWords } from "../words/ends";
import type { Spoken } from "../words/spoken";
import { day } from "../words/times";

const dateless = (reader: Reader, axis: StageTrend["axis"], at: string, unit: string): string =>
  axis === "time" ? day(reader, at) : `${formatNumber(reader, Number(at), 0)} ${unit}`;

/** What the trend says, in a sentence: when it leaves its limits, that it has left them, or that it does not seem to. */
export function trendNews(
  reader: Reader,
  trend: StageTrend,
  unit: string,
  limits: { lo: number; hi: number } | null,
  quantity: JudgedQuantity = "backlash",
  now?: string,
): string {
  const { drift, axis, points } = trend;
  const last = points[points.length - 1];
  if (!limits) return "How it went; without limits there is nothing for it to drift out of";
  if (last && (last.min < limits.lo || last.max > limits.hi)) return "It lies outside its limits already";
  if (!drift) return "It does not drift out by what was read so far";
  // A day that has gone by is no forecast any more.
  if (axis === "time" && now !== undefined && drift.at <= now)
    return `By its trend ${endWords[quantity][drift.limit]} since ${day(reader, drift.at)}: read it now`;
  return `It will be ${endWords[quantity][drift.limit]} about ${dateless(reader, axis, drift.at, unit)}`;
}

/** How surely something lies in its interval, never more than is so: 0.983 is 98 %. */
const surely = (reader: Reader, coverage: number): string =>
  `${formatNumber(reader, Math.floor(100 * coverage + 1e-9), 0)} %`;

/** The interval of the forecast. */
export function intervalWords(reader: Reader, trend: StageTrend, unit: string): string {
  const { drift, axis } = trend;
  if (!drift) return "";
  const latest = drift.latest === null ? "never" : dateless(reader, axis, drift.latest, unit);
  return `${surely(reader, drift.coverage)} between ${dateless(reader, axis, drift.earliest, unit)} and ${latest}`;
}

/** Slope of a line in words, with its interval: over a year, or over a thousand of the meter's units. */
export function slopeWords(
  reader: Reader,
  line: StageTrend["tightest"],
  axis: StageTrend["axis"],
  unit: string,
  of: Spoken,
): string {
  const [per, words] = axis === "time" ? [365.25, "a year"] : [1000, `a thousand ${unit}`];
  const f = (value: number) => of.figure(value * per, 1);
  return `${f(line.slope)} ${of.unit} ${words} (${surely(reader, line.coverage)}: ${f(line.slopeInterval[0])} to ${f(line.slopeInterval[1])})`;
}
