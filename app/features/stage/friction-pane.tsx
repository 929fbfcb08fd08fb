import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { TightAgainstCurrent } from "~/core/logbook";
import { niceTicks } from "~/ui/band-gauge/layout";
import type { StageUnit } from "../words/quantity";
import { day } from "../words/times";

/** Tightness against friction: how a strand was left, and what its drive drew, job by job. */
export function FrictionPane({
  found: { points, perUnitA },
  spoken,
}: {
  found: TightAgainstCurrent;
  spoken: StageUnit;
}) {
  const reader = useWords();
  const a = (value: number, digits = 2) => formatNumber(reader, value, digits);
  const [x, xTicks] = scale(
    points.map(({ tight }) => tight),
    70,
    440,
  );
  const [y, yTicks] = scale(
    points.map(({ currentA }) => currentA),
    170,
    20,
  );
  return (
    <section aria-labelledby="friction">
      <h2 id="friction" className="text-xl font-bold">
        Tightness against friction
      </h2>
      <svg
        viewBox="0 0 460 220"
        className="w-full bg-panel"
        role="img"
        aria-label={`Running current over ${spoken.name}, ${points.length} jobs`}
      >
        {yTicks.map((tick) => (
          <g key={tick}>
            <line x1="70" x2="440" y1={y(tick)} y2={y(tick)} className="stroke-rule" />
            <text x="62" y={y(tick) + 5} textAnchor="end" fontSize="15" className="fill-mid figure">
              {a(tick)}
            </text>
          </g>
        ))}
        {xTicks.map((tick) => (
          <text key={tick} x={x(tick)} y="194" textAnchor="middle" fontSize="15" className="fill-mid figure">
            {spoken.figure(tick)}
          </text>
        ))}
        {points.map(({ madeAt, tight, currentA }, i) => (
          <circle
            key={madeAt}
            cx={x(tight)}
            cy={y(currentA)}
            r="7"
            className={i === points.length - 1 ? "fill-now" : "fill-ink"}
          >
            <title>{`${day(reader, madeAt)}: ${spoken.said(tight)}, ${a(currentA)} A`}</title>
          </circle>
        ))}
        <text x="70" y="214" fontSize="15" className="fill-mid">
          A over {spoken.unit}; the last job in colour
        </text>
      </svg>
      <p className="text-mid">
        {perUnitA === null
          ? "Five jobs with a round and a current tell how much of the current is tightness."
          : `${a(Math.abs(100 * perUnitA))} A ${perUnitA < 0 ? "less" : "more"} for ${spoken.said(100)} (Theil–Sen).`}{" "}
        Tight enough for no clunk at a fast reversal, and no tighter: more only loads the bearings.
      </p>
    </section>
  );
}

/** Where values are drawn, with a little room to both sides, and round figures among them. */
function scale(values: readonly number[], from: number, to: number): [at: (value: number) => number, ticks: number[]] {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const room = Math.max(0.15 * (most - least), 0.01 * Math.abs(most), 1e-3);
  const [lo, hi] = [least - room, most + room];
  return [(value) => from + ((to - from) * (value - lo)) / (hi - lo), niceTicks(lo, hi, 4)];
}
