import { firstOverlap, layPath, type PathPulley, runningSense } from "~/core/belts";
import { pathLine } from "~/core/stages";

/** Pulleys with the belt round them, to scale; without a path only the pulleys. */
export function PathDrawing({ pulleys, label }: { pulleys: readonly PathPulley[]; label: string }) {
  const sense = runningSense(pulleys);
  const laid = firstOverlap(pulleys) === null ? layPath(pulleys, sense) : null;
  const left = Math.min(...pulleys.map((p) => p.x - p.pitchDiameterMm / 2));
  const right = Math.max(...pulleys.map((p) => p.x + p.pitchDiameterMm / 2));
  const top = Math.min(...pulleys.map((p) => -p.y - p.pitchDiameterMm / 2));
  const bottom = Math.max(...pulleys.map((p) => -p.y + p.pitchDiameterMm / 2));
  const pad = 0.06 * Math.max(right - left, bottom - top);
  // Clockwise running is drawn as its mirror image, since the line is laid counter-clockwise.
  const line = laid && (sense === 1 ? pathLine({ laid, pulleys: [...pulleys] }) : null);
  return (
    <svg
      viewBox={`${left - pad} ${top - pad} ${right - left + 2 * pad} ${bottom - top + 2 * pad}`}
      className="w-full max-h-96 bg-panel"
      role="img"
      aria-label={label}
    >
      {pulleys.map((p, i) => (
        <g key={`${i + 1}`}>
          <circle
            cx={p.x}
            cy={-p.y}
            r={p.pitchDiameterMm / 2}
            className="fill-ground stroke-ink"
            strokeWidth="1.3"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={p.x}
            y={-p.y}
            dy="0.35em"
            textAnchor="middle"
            fontSize={0.45 * pad + 0.2 * p.pitchDiameterMm}
            className="fill-mid figure"
          >
            {i + 1}
          </text>
        </g>
      ))}
      {line && <path d={line} className="fill-none stroke-ink" strokeWidth="3" vectorEffect="non-scaling-stroke" />}
      {laid &&
        sense === -1 &&
        laid.spans.map((span) => (
          <path
            key={span.from}
            d={`M${span.start[0]} ${-span.start[1]}L${span.end[0]} ${-span.end[1]}`}
            className="fill-none stroke-ink"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
          />
        ))}
    </svg>
  );
}
