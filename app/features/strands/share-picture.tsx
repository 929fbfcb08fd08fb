import type { StrandShare } from "~/core/belts";
import { strandVerdict } from "~/core/limits";

/** Strands side by side, each as thick as what it carries, and how far it stands from the mean. */
export function SharePicture({
  strands,
  limitPercent,
  uncertaintyPercent,
  figure,
}: {
  strands: readonly StrandShare[];
  limitPercent: number;
  /** Of one tension. */
  uncertaintyPercent: number;
  figure: (value: number) => string;
}) {
  const most = Math.max(limitPercent * 1.6, ...strands.map(({ deviationPercent }) => Math.abs(deviationPercent)));
  const x = (percent: number) => 300 + (150 * percent) / most;
  const height = 44 * strands.length;
  return (
    <svg
      viewBox={`0 0 540 ${height + 34}`}
      className="w-full bg-panel"
      role="img"
      aria-label="What each strand carries"
    >
      <rect
        x={x(-limitPercent)}
        width={x(limitPercent) - x(-limitPercent)}
        y="4"
        height={height}
        className="fill-band stroke-band-line"
      />
      <line x1={x(0)} x2={x(0)} y1="4" y2={height + 4} className="stroke-band-line" strokeWidth="2" />
      {strands.map(({ id, share, deviationPercent }, i) => {
        const y = 26 + 44 * i;
        const out = strandVerdict(deviationPercent, limitPercent, uncertaintyPercent) === "does-not-conform";
        return (
          <g key={id}>
            <text x="8" y={y + 6} fontSize="17" className="fill-ink">
              {id.length > 12 ? `${id.slice(0, 11)}…` : id}
            </text>
            <text x="124" y={y + 6} fontSize="16" className="fill-mid figure" textAnchor="end">
              {figure(100 * share)} %
            </text>
            <line
              x1={x(0)}
              x2={x(deviationPercent)}
              y1={y}
              y2={y}
              className={out ? "stroke-outside" : "stroke-ink"}
              strokeWidth={Math.max(2, 40 * share)}
            />
            <text x="532" y={y + 6} fontSize="16" textAnchor="end" className="fill-ink figure">
              {deviationPercent > 0 ? "+" : ""}
              {figure(deviationPercent)} %
            </text>
          </g>
        );
      })}
      <text x="8" y={height + 26} fontSize="16" className="fill-mid">
        From the mean; filled: within ± {figure(limitPercent)} %
      </text>
    </svg>
  );
}
