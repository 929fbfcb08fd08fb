import type { EdgeGaps } from "~/core/frames";

const perMm = 20;

/** A straight edge across both wheels, from above; the gaps are drawn so many times as large that they can be seen. */
export function EdgePicture({ fixed, movable }: { fixed: EdgeGaps | null; movable: EdgeGaps }) {
  const gaps = [movable.nearMm, movable.farMm, fixed?.nearMm ?? 0, fixed?.farMm ?? 0];
  const most = Math.max(...gaps.map(Math.abs), 0.1);
  const scale = Math.min(perMm, 50 / most);
  const edgeY = 60;
  const wheel = (x: number, half: number, leftGap: number, rightGap: number, name: string) => {
    const [a, b] = [edgeY + leftGap * scale, edgeY + rightGap * scale];
    return (
      <g>
        <polygon
          points={`${x - half},${a} ${x + half},${b} ${x + half - (b - a) / 6},${b + 46} ${x - half - (b - a) / 6},${a + 46}`}
          className="fill-band stroke-ink"
          strokeWidth="1.5"
        />
        <line
          x1={x - (b - a) / 3}
          y1={(a + b) / 2 - 14}
          x2={x + (b - a) / 6}
          y2={(a + b) / 2 + 96}
          className="stroke-mid"
          strokeWidth="1"
          strokeDasharray="10 3 2 3"
        />
        <text x={x} y={214} textAnchor="middle" fontSize="16" className="fill-ink">
          {name}
        </text>
      </g>
    );
  };
  return (
    <svg
      viewBox="0 0 440 226"
      className="w-full bg-panel"
      role="img"
      aria-label="The straight edge across both wheels, from above"
    >
      {wheel(110, 60, fixed?.farMm ?? 0, fixed?.nearMm ?? 0, "fixed")}
      {wheel(320, 75, movable.nearMm, movable.farMm, "movable")}
      <rect x="20" y={edgeY - 12} width="400" height="12" className="fill-ink" />
      <text x="20" y="36" fontSize="15" className="fill-mid">
        edge; gaps are drawn larger than they are
      </text>
    </svg>
  );
}
