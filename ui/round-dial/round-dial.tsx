import { memo } from "react";
import { type Band, bandOrSpans } from "../band-gauge/layout";
import { MarkShape, type MarkState } from "../state-mark";
import { clearOf, curvePath, type DialPoint, dialScale, onCircle, outlinePath } from "./layout";
import { limitLabels } from "./limit-labels";

export type DialReading = {
  key: string;
  angleDeg: number;
  value: number;
  state: MarkState;
  struck: boolean;
  current: boolean;
};

export type DialProps = {
  /** Outline runs of the part, one a tooth, in the part's own measure; radius of its tips in the same. */
  outline: readonly (readonly DialPoint[])[];
  /** What is painted at a place, where that is not its run of the outline. */
  marks?: readonly (readonly DialPoint[])[] | undefined;
  tipRadius: number;
  rootRadius: number;
  /** null: there are no limits, and none are drawn. */
  limits: Band | null;
  readings: readonly DialReading[];
  /** Values round the turn, by angle. */
  fitted: ((angleDeg: number) => number) | null;
  /** How far another wave lifts and lowers the fitted one. */
  fittedSpread?: number;
  predicted: ((angleDeg: number) => number) | null;
  ghost: ((angleDeg: number) => number) | null;
  /** Tooth to be painted, and the tooth to be read now; counted from 0. */
  paintedTooth: number | null;
  currentTooth: number | null;
  counterClockwise: boolean;
  /** How a limit is written. */
  figure: (value: number) => string;
  /** The two lines in the middle. */
  headline: string;
  subline: string;
  label: string;
};

const size = 250;

/** Readings round the turn, drawn inside the part itself; the witness mark stands at the top. */
export function RoundDial(props: DialProps) {
  const { readings, fitted, fittedSpread = 0, predicted, ghost, counterClockwise } = props;
  const scaleOfPart = size / props.tipRadius;
  const ring = { inner: 92, outer: props.rootRadius * scaleOfPart - 13 };
  const sampled = [predicted, ghost, fitted].flatMap((curve) => (curve ? [0, 60, 120, 180, 240, 300].map(curve) : []));
  const counted = readings.filter((reading) => !reading.struck);
  const values = [...counted.map((r) => r.value), ...sampled];
  const band = bandOrSpans(
    props.limits,
    values.map((value) => ({ min: value, max: value })),
  );
  const scale = dialScale(band, values, ring, counterClockwise);
  const painted = props.paintedTooth;
  const marks = props.marks ?? props.outline;
  const side = counterClockwise ? -1 : 1;
  const paintAngle = painted === null ? 0 : (side * painted * 360) / props.outline.length;
  const labelAngle = side * clearOf(readings.map((reading) => reading.angleDeg));
  return (
    <svg viewBox="-268 -268 536 536" className="w-full h-full" role="img" aria-label={props.label}>
      {band.drawn && (
        <>
          <circle r={scale.radius(band.hi)} className="fill-band stroke-band-line" strokeWidth="2" />
          <circle r={scale.radius(band.lo)} className="fill-panel stroke-band-line" strokeWidth="2" />
        </>
      )}
      <Part outline={props.outline} scale={scaleOfPart} mirror={counterClockwise} />
      {painted !== null && (
        <>
          {spoke(onCircle(paintAngle, ring.inner), onCircle(paintAngle, props.rootRadius * scaleOfPart))}
          <path
            d={outlinePath([marks[painted] ?? []], scaleOfPart, counterClockwise)}
            className="fill-copper stroke-copper"
            strokeWidth="3"
          />
        </>
      )}
      {props.currentTooth !== null && props.currentTooth !== painted && (
        <path
          d={outlinePath([marks[props.currentTooth] ?? []], scaleOfPart, counterClockwise)}
          className="fill-now stroke-now"
          strokeWidth="2"
        />
      )}
      <path d="M0 -262l-7 -6h14Z" className="fill-ink" />
      {ghost && <path d={curvePath(scale, ghost)} className="fill-none stroke-mid" strokeWidth="1.2" />}
      {fitted && <path d={curvePath(scale, fitted)} className="fill-none stroke-ink" strokeWidth="2.2" />}
      {fitted &&
        fittedSpread > 0 &&
        [-fittedSpread, fittedSpread].map((apart) => (
          <path
            key={apart}
            d={curvePath(scale, (angle) => fitted(angle) + apart)}
            className="fill-none stroke-mid"
            strokeWidth="1"
            strokeDasharray="2 4"
          />
        ))}
      {predicted && (
        <path
          d={curvePath(scale, predicted)}
          className="fill-none stroke-now"
          strokeWidth="2.5"
          strokeDasharray="9 5"
        />
      )}
      {readings.map((reading) => {
        const [x, y] = scale.place(reading.angleDeg, reading.value);
        return (
          <g key={reading.key} opacity={reading.struck ? 0.5 : 1}>
            {reading.current && <circle cx={x} cy={y} r="12" className="fill-none stroke-now" strokeWidth="2.5" />}
            <MarkShape state={reading.struck ? "unknown" : reading.state} x={x} y={y} r={6.2} />
            {reading.struck && <path d={`M${x - 8} ${y + 8}l16 -16`} className="stroke-mid" strokeWidth="2.5" />}
          </g>
        );
      })}
      {(band.drawn ? limitLabels(labelAngle, [band.hi, band.lo], scale.radius, props.figure) : []).map((label) => (
        <text
          key={`${label.text} ${label.y}`}
          x={label.x}
          y={label.y + 5}
          textAnchor="middle"
          className="fill-mid stroke-panel figure text-[16px] max-sm:text-[24px]"
          strokeWidth="5"
          paintOrder="stroke"
        >
          {label.text}
        </text>
      ))}
      <text y="2" textAnchor="middle" className="fill-ink figure font-[650] text-[23px] max-sm:text-[30px]">
        {props.headline}
      </text>
      <text y="27" textAnchor="middle" className="fill-mid text-[16px] max-sm:text-[23px]">
        {props.subline}
      </text>
    </svg>
  );
}

/** The outline alone is large and never changes while one types. */
const Part = memo(function Part({
  outline,
  scale,
  mirror,
}: {
  outline: DialProps["outline"];
  scale: number;
  mirror: boolean;
}) {
  return (
    <path
      d={outlinePath(outline, scale, mirror)}
      className="fill-none stroke-ink"
      strokeWidth="1.3"
      strokeLinejoin="round"
    />
  );
});

const spoke = (from: DialPoint, to: DialPoint) => (
  <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} className="stroke-copper" strokeWidth="2" />
);
