import type { Height, Rails } from "~/core/frames";

/** Seen from above: each point with what is shimmed under it, the higher the shim the larger its ring; rails as lines. */
export function FlatnessPicture({
  points,
  raiseMm,
  rails,
  figure,
}: {
  points: readonly Height[];
  raiseMm: readonly number[];
  rails: Rails | null;
  figure: (value: number) => string;
}) {
  const xs = points.map(({ xMm }) => xMm);
  const ys = points.map(({ yMm }) => yMm);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(310 / (right - left || 1), 250 / (high - low || 1));
  const height = Math.round((high - low) * scale) + 100;
  const x = (mm: number) => 65 + (mm - left) * scale;
  const y = (mm: number) => height - 50 - (mm - low) * scale;
  const most = Math.max(...raiseMm, 1e-9);
  const line = (indices: readonly number[]) => {
    const on = indices.flatMap((index) => points[index] ?? []);
    return on.map(({ xMm, yMm }) => `${x(xMm)},${y(yMm)}`).join(" ");
  };
  return (
    <svg
      viewBox={`0 0 440 ${height}`}
      className="w-full bg-panel"
      role="img"
      aria-label="The points from above, with what is shimmed under each"
    >
      {rails &&
        [rails.a, rails.b].map((rail, i) => (
          <polyline
            key={i}
            points={line(rail)}
            className="fill-none stroke-mid"
            strokeWidth="6"
            strokeLinecap="round"
          />
        ))}
      {points.map((point, i) => {
        const raise = raiseMm[i] ?? 0;
        return (
          <g key={i}>
            <circle
              cx={x(point.xMm)}
              cy={y(point.yMm)}
              r={5 + (18 * raise) / most}
              className="fill-band stroke-ink"
              strokeWidth="1.5"
            />
            <circle cx={x(point.xMm)} cy={y(point.yMm)} r="3" className="fill-ink" />
            <text x={x(point.xMm)} y={y(point.yMm) - 28} textAnchor="middle" fontSize="15" className="fill-ink figure">
              {raise < 0.0005 ? "0" : `+ ${figure(raise)}`}
            </text>
            <text x={x(point.xMm)} y={y(point.yMm) + 40} textAnchor="middle" fontSize="14" className="fill-mid figure">
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
