import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from "recharts";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { daysToIso, type StageTrend } from "~/core/logbook";
import { type Band, bandOrSpans, niceTicks } from "~/ui/band-gauge/layout";
import type { Spoken } from "../words/spoken";
import { shortDay } from "../words/times";
import { trendRows } from "./trend-lines";

/** Tightest, mean and loosest over time or usage, with the limits, the moves and where the lines lead. */
export function TrendChart({
  trend,
  limits,
  unit,
  spoken,
  today,
}: {
  trend: StageTrend;
  limits: Band | null;
  unit: string;
  spoken: Spoken;
  /** On its axis; null: over usage there is no today. */
  today: number | null;
}) {
  const reader = useWords();
  const { rows, from, to } = trendRows(trend, today ?? undefined);
  const values = rows.flatMap(({ t: _, ...row }) => Object.values(row));
  const { lo, hi, drawn } = bandOrSpans(
    limits,
    values.map((value) => ({ min: value, max: value })),
  );
  const spread = hi - lo;
  const low = Math.max(Math.min(lo, ...values), lo - 1.5 * spread) - 0.12 * spread;
  const high = Math.min(Math.max(hi, ...values), hi + 1.5 * spread) + 0.12 * spread;
  const tick = (t: number) =>
    trend.axis === "time"
      ? `${shortDay(reader, daysToIso(t))} ${daysToIso(t).slice(2, 4)}`
      : formatNumber(reader, t, 0);
  const crossing = trend.drift && (trend.drift.limit === "lo" ? trend.tightest : trend.loosest).crossing;
  return (
    <div className="h-80 bg-panel pt-3 pr-3" aria-hidden="true" data-picture="trend">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={rows} accessibilityLayer={false} margin={{ top: 8, right: 16, bottom: 4, left: 4 }}>
          <CartesianGrid stroke="var(--room-rule)" strokeOpacity={0.5} vertical={false} />
          {drawn && <ReferenceArea y1={lo} y2={hi} fill="var(--room-band)" fillOpacity={1} ifOverflow="hidden" />}
          {drawn && <ReferenceLine y={lo} stroke="var(--room-band-line)" strokeWidth={2} />}
          {drawn && <ReferenceLine y={hi} stroke="var(--room-band-line)" strokeWidth={2} />}
          {trend.resets
            .filter((reset) => reset >= from)
            .map((reset) => (
              <ReferenceLine key={reset} x={reset} stroke="var(--room-ink)" strokeDasharray="2 4" />
            ))}
          {today !== null && today >= from && today <= to && (
            <ReferenceLine
              x={today}
              stroke="var(--room-ink)"
              strokeWidth={2}
              label={{ value: "today", position: "insideTopLeft", fill: "var(--room-ink)", fontSize: 16 }}
            />
          )}
          {crossing && crossing.latest !== null && (
            <ReferenceArea
              x1={Math.max(crossing.earliest, from)}
              x2={Math.min(crossing.latest, to)}
              y1={low}
              y2={high}
              fill="var(--room-now)"
              fillOpacity={0.1}
              ifOverflow="hidden"
            />
          )}
          <XAxis
            dataKey="t"
            type="number"
            domain={[from, to]}
            tickFormatter={tick}
            tickCount={6}
            stroke="var(--room-mid)"
            fontSize={14}
            unit={trend.axis === "time" ? "" : ` ${unit}`}
          />
          <YAxis
            type="number"
            domain={[low, high]}
            ticks={niceTicks(low / spoken.per, high / spoken.per, 5).map((value) => value * spoken.per)}
            interval={0}
            allowDataOverflow
            tickFormatter={(value: number) => spoken.figure(value)}
            stroke="var(--room-mid)"
            fontSize={14}
            width={54}
          />
          {(["tightest", "loosest"] as const).map((line) => (
            <Line
              key={line}
              dataKey={line}
              stroke="none"
              dot={{ r: 5, fill: "var(--room-ink)", stroke: "var(--room-ink)" }}
              isAnimationActive={false}
            />
          ))}
          <Line
            dataKey="mean"
            stroke="none"
            dot={{ r: 3.5, fill: "var(--room-panel)", stroke: "var(--room-ink)", strokeWidth: 1.5 }}
            isAnimationActive={false}
          />
          {(["tightestFit", "loosestFit"] as const).map((line) => (
            <Line
              key={line}
              dataKey={line}
              stroke="var(--room-ink)"
              strokeWidth={2}
              dot={false}
              connectNulls
              isAnimationActive={false}
            />
          ))}
          {(["tightestAhead", "loosestAhead"] as const).map((line) => (
            <Line
              key={line}
              dataKey={line}
              stroke="var(--room-now)"
              strokeWidth={2.5}
              strokeDasharray="8 5"
              dot={false}
              connectNulls
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
