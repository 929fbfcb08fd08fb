import { type ForceSweep, lineThrough, type SweepPoint } from "~/core/shifting";
import { niceTicks } from "~/ui/band-gauge/layout";

/** Current over force, with the fitted line and the slopes between which it may lie. */
export function SweepPicture({
  points,
  sweep,
  unit,
  figure,
}: {
  points: readonly SweepPoint[];
  sweep: ForceSweep;
  unit: string;
  figure: (value: number, decimals: number) => string;
}) {
  const line = lineThrough(points);
  if (!line) return null;
  const forces = points.map(({ force }) => force);
  const [least, most] = [Math.min(...forces), Math.max(...forces)];
  const middle = forces.reduce((sum, force) => sum + force, 0) / forces.length;
  const at = (slope: number) => (force: number) => line.at(middle) + slope * (force - middle);
  const lines = [sweep.slope, ...sweep.slopeInterval].map(at);
  const values = [...points.map(({ currentA }) => currentA), ...lines.flatMap((f) => [f(least), f(most)])];
  const top = Math.max(...values);
  const bottom = Math.min(0, ...values);
  const x = (force: number) => 60 + (350 * (force - least)) / (most - least);
  const y = (current: number) => 190 - (170 * (current - bottom)) / (top - bottom || 1);
  const ticksX = niceTicks(least, most, 5);
  const ticksY = niceTicks(bottom, top, 4);
  const decimals = (ticks: readonly number[]) => ((ticks[1] ?? 1) - (ticks[0] ?? 0) < 1 ? 2 : 0);
  return (
    <svg
      viewBox="0 0 440 236"
      className="w-full bg-panel"
      role="img"
      aria-label="Current over force, with the fitted line"
    >
      {ticksX.map((tick) => (
        <text key={tick} x={x(tick)} y="210" textAnchor="middle" fontSize="15" className="fill-mid figure">
          {figure(tick, decimals(ticksX))}
        </text>
      ))}
      {ticksY.map((tick) => (
        <g key={tick}>
          <line x1="60" x2="420" y1={y(tick)} y2={y(tick)} className="stroke-rule" strokeWidth="1" />
          <text x="54" y={y(tick) + 5} textAnchor="end" fontSize="15" className="fill-mid figure">
            {figure(tick, decimals(ticksY))}
          </text>
        </g>
      ))}
      {lines.map((f, i) => (
        <line
          key={i}
          x1={x(least)}
          x2={x(most)}
          y1={y(f(least))}
          y2={y(f(most))}
          className={i === 0 ? "stroke-ink" : "stroke-mid"}
          strokeWidth={i === 0 ? 2 : 1}
          strokeDasharray={i === 0 ? undefined : "6 4"}
        />
      ))}
      {points.map(({ force, currentA }, i) => (
        <circle key={i} cx={x(force)} cy={y(currentA)} r="5" className="fill-panel stroke-ink" strokeWidth="2" />
      ))}
      <text x="60" y="232" fontSize="15" className="fill-mid">
        A over {unit}
      </text>
    </svg>
  );
}
