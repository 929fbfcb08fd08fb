import { formatNumber } from "~/core/quantity";
import type { MarkState } from "../state-mark";
import { type Band, bandOrSpans, gaugeScale, type Span } from "./layout";

type Gauge = { now: Span | null; state: MarkState; label: string };

const fills: Record<MarkState, string> = {
  inside: "fill-inside",
  near: "fill-near",
  outside: "fill-outside",
  unknown: "fill-mid",
};

/** The small gauge of lists: the band, where there are limits, and the bar of what was read. */
export function SmallBandGauge({ limits, now, state, label }: Gauge & { limits: Band | null }) {
  const width = 150;
  const spans = now ? [now] : [];
  const { lo, hi, drawn } = bandOrSpans(limits, spans);
  const { at } = gaugeScale(lo, hi, spans, width);
  return (
    <svg width={width} height="26" viewBox={`0 0 ${width} 26`} role="img" aria-label={label}>
      {drawn && (
        <rect
          x={at(lo)}
          y="3"
          width={at(hi) - at(lo)}
          height="20"
          className="fill-band stroke-band-line"
          strokeWidth="1.5"
        />
      )}
      {now && bar({ from: at(now.min), to: at(now.max), y: 9.5, height: 7, fill: fills[state] })}
    </svg>
  );
}

/** The large gauge: the band with its aim, what is read now, and what is expected after the move. */
export function BandGauge({
  lo,
  hi,
  aim,
  now,
  then,
  state,
  label,
  unit,
  figure = (value) => formatNumber(value, 2),
  per = 1,
  beside = null,
}: Gauge &
  Band & {
    /** null: none is shown. */
    aim: number | null;
    then: Span | null;
    unit: string;
    /** How a value is written on the scale. */
    figure?: (value: number) => string;
    /** How much of the values one of the unit written is. */
    per?: number;
    /** What another gauge shows, when both are to have one scale. */
    beside?: Span | null;
  }) {
  const width = 440;
  const { at, ticks } = gaugeScale(
    lo,
    hi,
    [now, then, beside].filter((span) => span !== null),
    width,
    per,
  );
  return (
    <svg viewBox={`-14 0 ${width + 28} 98`} className="w-full h-auto" role="img" aria-label={label}>
      <rect
        x={at(lo)}
        y="22"
        width={at(hi) - at(lo)}
        height="40"
        className="fill-band stroke-band-line"
        strokeWidth="1.5"
      />
      {aim !== null && (
        <>
          <line x1={at(aim)} x2={at(aim)} y1="18" y2="66" className="stroke-ink" strokeWidth="1.5" />
          <text x={at(aim)} y="14" textAnchor="middle" fontSize="17" className="fill-mid">
            aim
          </text>
        </>
      )}
      {now && bar({ from: at(now.min), to: at(now.max), y: 28, height: 8, fill: fills[state] })}
      {then && (
        <line
          x1={at(then.min)}
          x2={Math.max(at(then.max), at(then.min) + 6)}
          y1="50"
          y2="50"
          strokeWidth="8"
          strokeDasharray="8 4"
          className="stroke-now"
        />
      )}
      <line x1="0" x2={width} y1="69" y2="69" className="stroke-rule" strokeWidth="1.5" />
      {ticks.map((tick) => (
        <g key={tick}>
          <line x1={at(tick)} x2={at(tick)} y1="69" y2="74" className="stroke-mid" strokeWidth="1.5" />
          <text x={at(tick)} y="91" textAnchor="middle" fontSize="18" className="fill-mid figure">
            {figure(tick)}
          </text>
        </g>
      ))}
      <title>{`${label}, ${unit}`}</title>
    </svg>
  );
}

type Bar = { from: number; to: number; y: number; height: number; fill: string };

const bar = ({ from, to, y, height, fill }: Bar) => (
  <rect x={Math.min(from, to - 5)} y={y} width={Math.max(5, to - from)} height={height} className={fill} />
);
