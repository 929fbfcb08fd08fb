import type { PullReading } from "~/core/frames";
import { niceTicks } from "~/ui/band-gauge/layout";

/** What tension pulls out of true, over the tension: as it stands, and as it stands once it is pre-set; between the limits, over the band. */
export function PullPicture({
  readings,
  way,
  line,
  preset,
  band,
  limit,
  unit,
  figure,
}: {
  readings: readonly PullReading[];
  way: "offsetMm" | "angleDeg";
  line: { slack: number; perN: number };
  /** Slack, stood off beforehand; null: nothing is pre-set. */
  preset: number | null;
  band: { lo: number; hi: number };
  limit: number;
  unit: string;
  figure: (value: number) => string;
}) {
  const most = Math.max(band.hi, ...readings.map(({ tensionN }) => tensionN));
  const from = (slack: number) => [slack, slack + line.perN * most];
  const values = [...readings.map((reading) => reading[way]), ...from(line.slack), ...from(preset ?? 0), limit, -limit];
  const [bottom, top] = [Math.min(...values), Math.max(...values)];
  const x = (tension: number) => 66 + (350 * tension) / (most || 1);
  const y = (value: number) => 180 - (160 * (value - bottom)) / (top - bottom || 1);
  const draw = (slack: number, className: string, dashed?: string) => (
    <line
      x1={x(0)}
      x2={x(most)}
      y1={y(slack)}
      y2={y(slack + line.perN * most)}
      className={className}
      strokeWidth="2"
      strokeDasharray={dashed}
    />
  );
  return (
    <svg
      viewBox="0 0 440 226"
      className="w-full bg-panel"
      role="img"
      aria-label={`Pulled out of true over tension, ${unit}`}
    >
      <rect
        x={x(band.lo)}
        width={Math.max(2, x(band.hi) - x(band.lo))}
        y={y(limit)}
        height={y(-limit) - y(limit)}
        className="fill-band stroke-rule"
      />
      {niceTicks(bottom, top, 4).map((tick) => (
        <text key={tick} x="60" y={y(tick) + 5} textAnchor="end" fontSize="15" className="fill-mid figure">
          {figure(tick)}
        </text>
      ))}
      {niceTicks(0, most, 4).map((tick) => (
        <text key={tick} x={x(tick)} y="200" textAnchor="middle" fontSize="15" className="fill-mid figure">
          {tick}
        </text>
      ))}
      {draw(line.slack, "stroke-ink")}
      {preset !== null && draw(preset, "stroke-now", "8 4")}
      {readings.map((reading, i) => (
        <circle
          key={i}
          cx={x(reading.tensionN)}
          cy={y(reading[way])}
          r="5"
          className="fill-panel stroke-ink"
          strokeWidth="2"
        />
      ))}
      <text x="66" y="222" fontSize="15" className="fill-mid">
        {unit} over N; filled: limits over the band{preset === null ? "" : "; dashed: pre-set"}
      </text>
    </svg>
  );
}
