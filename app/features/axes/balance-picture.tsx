import type { BalancePosition } from "~/core/axes";
import { niceTicks } from "~/ui/band-gauge/layout";

/** What is left for the drive along the travel, going up and going down; from the top at the left to the bottom at the right. */
export function BalancePicture({
  positions,
  worstAtMm,
  balanceAtMm,
  figure,
}: {
  positions: readonly BalancePosition[];
  worstAtMm: number;
  balanceAtMm: number | null;
  figure: (value: number) => string;
}) {
  const travel = positions.at(-1)?.atMm || 1;
  const all = [0, ...positions.flatMap(({ upN, downN }) => [upN, downN])];
  const [bottom, top] = [Math.min(...all), Math.max(...all)];
  const x = (at: number) => 70 + (370 * at) / travel;
  const y = (force: number) => 24 + (170 * (top - force)) / (top - bottom || 1);
  const line = (of: (position: BalancePosition) => number) =>
    positions.map((position) => `${x(position.atMm)},${y(of(position))}`).join(" ");
  return (
    <svg
      viewBox="0 0 470 250"
      className="w-full bg-panel"
      role="img"
      aria-label="What the drive has to lift along the travel"
    >
      {niceTicks(bottom, top, 5).map((tick) => (
        <g key={tick}>
          <line x1="70" x2="440" y1={y(tick)} y2={y(tick)} className={tick === 0 ? "stroke-ink" : "stroke-rule"} />
          <text x="62" y={y(tick) + 5} textAnchor="end" fontSize="16" className="fill-mid figure">
            {figure(tick)}
          </text>
        </g>
      ))}
      {niceTicks(0, travel, 5).map((tick) => (
        <text key={tick} x={x(tick)} y="216" textAnchor="middle" fontSize="16" className="fill-mid figure">
          {figure(tick)}
        </text>
      ))}
      <polyline points={line(({ upN }) => upN)} className="fill-none stroke-ink" strokeWidth="3" />
      <polyline
        points={line(({ downN }) => downN)}
        className="fill-none stroke-ink"
        strokeWidth="3"
        strokeDasharray="3 5"
      />
      {balanceAtMm !== null && <circle cx={x(balanceAtMm)} cy={y(0)} r="6" className="fill-inside" />}
      <line x1={x(worstAtMm)} x2={x(worstAtMm)} y1={y(top)} y2={y(bottom)} className="stroke-near" strokeWidth="2" />
      <text x="70" y="242" fontSize="16" className="fill-mid">
        N over mm from the top. Line: up; dotted: down
      </text>
    </svg>
  );
}
