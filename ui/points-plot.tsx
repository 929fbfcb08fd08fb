import { niceTicks } from "./band-gauge/layout";

export type PlotPoint = { x: number; y: number };
/** `fit`: what was fitted; `bound`: between which it may lie; `ahead`: what it should come to; `limit`: not to be passed. */
export type PlotLine = { kind: "fit" | "bound" | "ahead" | "limit"; points: readonly PlotPoint[] };

const strokes: Record<PlotLine["kind"], { className: string; width: number; dash?: string }> = {
  fit: { className: "stroke-ink", width: 2 },
  bound: { className: "stroke-mid", width: 1, dash: "6 4" },
  ahead: { className: "stroke-now", width: 2.5, dash: "8 5" },
  limit: { className: "stroke-outside", width: 2, dash: "2 4" },
};

/** What was read as points, what was made of it as lines, over one axis each. `from`: a value that the upright axis holds in any case. */
export function PointsPlot({
  points,
  lines,
  label,
  axes,
  from,
  figure,
}: {
  points: readonly PlotPoint[];
  lines: readonly PlotLine[];
  label: string;
  /** Below, in words: "A over N". */
  axes: string;
  from?: number;
  figure: (value: number, decimals: number) => string;
}) {
  const all = [...points, ...lines.flatMap((line) => line.points)];
  const xs = all.map(({ x }) => x);
  const ys = [...all.map(({ y }) => y), ...(from === undefined ? [] : [from])];
  const [least, most] = spanOf(xs);
  const [bottom, top] = spanOf(ys);
  const x = (value: number) => 60 + (350 * (value - least)) / (most - least);
  const y = (value: number) => 190 - (170 * (value - bottom)) / (top - bottom);
  const ticksX = niceTicks(least, most, 5);
  const ticksY = niceTicks(bottom, top, 4);
  return (
    <svg viewBox="0 0 440 236" className="w-full bg-panel" role="img" aria-label={label}>
      {ticksX.map((tick) => (
        <text key={tick} x={x(tick)} y="210" textAnchor="middle" fontSize="15" className="fill-mid figure">
          {figure(tick, decimalsOf(ticksX))}
        </text>
      ))}
      {ticksY.map((tick) => (
        <g key={tick}>
          <line x1="60" x2="420" y1={y(tick)} y2={y(tick)} className="stroke-rule" strokeWidth="1" />
          <text x="54" y={y(tick) + 5} textAnchor="end" fontSize="15" className="fill-mid figure">
            {figure(tick, decimalsOf(ticksY))}
          </text>
        </g>
      ))}
      {lines.map(({ kind, points: path }, i) => (
        <polyline
          key={`${kind} ${i}`}
          points={path.map((point) => `${x(point.x)},${y(point.y)}`).join(" ")}
          className={`fill-none ${strokes[kind].className}`}
          strokeWidth={strokes[kind].width}
          strokeDasharray={strokes[kind].dash}
        />
      ))}
      {points.map((point, i) => (
        <circle
          key={`${point.x} ${i}`}
          cx={x(point.x)}
          cy={y(point.y)}
          r="5"
          className="fill-panel stroke-ink"
          strokeWidth="2"
        />
      ))}
      <text x="60" y="232" fontSize="15" className="fill-mid">
        {axes}
      </text>
    </svg>
  );
}

/** From the least to the greatest; a single value has half a unit on either side. */
function spanOf(values: readonly number[]): [number, number] {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  return least < most ? [least, most] : [least - 0.5, most + 0.5];
}

/** Decimals that a step between marks asks for. */
function decimalsOf(ticks: readonly number[]): number {
  const step = Math.abs((ticks[1] ?? 1) - (ticks[0] ?? 0));
  return step >= 1 ? 0 : step >= 0.1 ? 1 : step >= 0.01 ? 2 : 3;
}
