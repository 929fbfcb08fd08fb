import type { GreaseDue } from "~/core/greasing";

const rowPx = 40;

/** How much of its interval each point has used, with the day on which it is due; what is overdue goes beyond its end. */
export function IntervalPicture({
  points,
  used,
  when,
}: {
  points: readonly GreaseDue[];
  /** Share of its interval, of each. */
  used: readonly number[];
  when: (point: GreaseDue) => string;
}) {
  return (
    <svg
      viewBox={`0 0 440 ${points.length * rowPx + 12}`}
      className="w-full bg-panel"
      role="img"
      aria-label="How much of its interval each point has used"
    >
      {points.map((point, i) => {
        const y = 8 + i * rowPx;
        const share = Math.min(1.25, Math.max(0, used[i] ?? 0));
        return (
          <g key={point.id}>
            <text x="8" y={y + 19} fontSize="15" className="fill-ink">
              {point.id.length > 15 ? `${point.id.slice(0, 14)}…` : point.id}
            </text>
            <rect x="140" y={y + 4} width="160" height="20" className="fill-ground stroke-ink" strokeWidth="1.5" />
            <rect
              x="140"
              y={y + 8}
              width={160 * share}
              height="12"
              className={point.overdue ? "fill-outside" : "fill-ink"}
            />
            <text x="432" y={y + 19} textAnchor="end" fontSize="15" className="fill-mid figure">
              {when(point)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
