import { MarkShape, type MarkState } from "../state-mark";
import { type Band, bandOrSpans, gaugeScale, type Span } from "./layout";

export type GaugeRow = {
  name: string;
  /** null: not read. */
  span: Span | null;
  state: MarkState;
  /** What was read with its unit, or why nothing was. */
  words: string;
};

const fills: Record<MarkState, string> = {
  inside: "fill-inside",
  near: "fill-near",
  outside: "fill-outside",
  unknown: "fill-mid",
};

const from = 96;
const wide = 300;
const rowPx = 44;
const top = 20;

const lineChars = 20;

/** Words that are longer than the room beside the gauge, on two lines. */
function inTwo(words: string): string[] {
  if (words.length <= lineChars) return [words];
  const at = words.lastIndexOf(" ", Math.max(lineChars, Math.ceil(words.length / 2)));
  return at < 0 ? [words] : [words.slice(0, at), words.slice(at + 1)];
}

/** As found and as left under each other on one scale, each with its figures: what a job has changed, in one look. */
export function BeforeAfter({
  limits,
  aim,
  rows,
  figure,
  per,
  label,
}: {
  /** null: there are none, and no band is drawn. */
  limits: Band | null;
  aim: number | null;
  rows: readonly GaugeRow[];
  figure: (value: number) => string;
  per: number;
  label: string;
}) {
  const spans = rows.flatMap(({ span }) => (span ? [span] : []));
  const { lo, hi, drawn } = bandOrSpans(limits, spans);
  const { at, ticks } = gaugeScale(lo, hi, spans, wide, per);
  const foot = top + rows.length * rowPx;
  const x = (value: number) => from + at(value);
  return (
    <svg viewBox={`0 0 620 ${foot + 34}`} className="w-full max-w-3xl h-auto" role="img" aria-label={label}>
      {drawn && (
        <rect
          x={x(lo)}
          y={top - 6}
          width={x(hi) - x(lo)}
          height={foot - top + 6}
          className="fill-band stroke-band-line"
          strokeWidth="1.5"
        />
      )}
      {aim !== null && <path d={`M${x(aim)} ${top - 10}V${foot}`} className="stroke-ink" strokeWidth="1.2" />}
      {rows.map(({ name, span, state, words }, i) => {
        const y = top + (i + 0.5) * rowPx - 3;
        return (
          <g key={name}>
            <text x="0" y={y + 6} fontSize="18" className="fill-ink font-semibold">
              {name}
            </text>
            {span && (
              <rect
                x={Math.min(x(span.min), x(span.max) - 5)}
                y={y - 5}
                width={Math.max(5, x(span.max) - x(span.min))}
                height="10"
                className={fills[state]}
              />
            )}
            <MarkShape state={state} x={from + wide + 24} y={y} r={6} />
            <text x={from + wide + 40} y={y + 6} fontSize="18" className="fill-ink figure font-semibold">
              {inTwo(words).map((line, part, { length }) => (
                <tspan
                  key={line}
                  x={from + wide + 40}
                  y={length === 1 ? y + 6 : y - 4 + 20 * part}
                  fontSize={length === 1 ? 18 : 16}
                >
                  {line}
                </tspan>
              ))}
            </text>
          </g>
        );
      })}
      <path d={`M${from} ${foot + 4}H${from + wide}`} className="stroke-rule" strokeWidth="1.5" />
      {ticks.map((tick) => (
        <text key={tick} x={x(tick)} y={foot + 26} textAnchor="middle" fontSize="17" className="fill-mid figure">
          {figure(tick)}
        </text>
      ))}
    </svg>
  );
}
