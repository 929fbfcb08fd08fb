import { lengthWords, spoken } from "~/app/features/words/spoken";
import { useWords } from "~/app/features/words/use-words";
import { type ChainElement, runDiameters, spanOf } from "~/core/stages";

type Span = { min: number; max: number };

const width = 440;
/** How deep the deepest is drawn, px. */
const most = 90;

/** What a sag is: the slack span from sprocket to sprocket to scale, the limits as a band, what was read and what it should be as lines. */
export function SagPicture({
  chain,
  limits,
  now,
  then,
}: {
  chain: ChainElement;
  limits: { lo: number; hi: number } | null;
  now: Span | null;
  then: Span | null;
}) {
  const reader = useWords();
  const span = spanOf(chain) ?? 1;
  const [d1, d2] = runDiameters(chain);
  const scale = (width - 40) / (span + (d1 + d2) / 2);
  // Drawn deeper than it is, where it would hardly be seen.
  const greatest = Math.max(limits?.hi ?? 0, now?.max ?? 0) || 0.02 * span;
  const times = Math.max(1, Math.round(most / (greatest * scale)));
  const drop = scale * times;
  const deepest = greatest * drop;
  const from = (d1 / 2) * scale + 20;
  const to = from + span * scale;
  const y = 30;
  const hang = (sag: number) => `M${from} ${y}Q${(from + to) / 2} ${y + 2 * sag * drop} ${to} ${y}`;
  const middle = (from + to) / 2;
  return (
    <figure className="w-full">
      <svg
        viewBox={`0 0 ${width} ${y + deepest + 44}`}
        className="w-full h-auto"
        role="img"
        aria-label={`Sag in the middle of the slack span of ${lengthWords(reader, span, 0)}, from the straight line`}
      >
        {limits && (
          <path
            d={`${hang(limits.lo)}Q${middle} ${y + 2 * limits.hi * drop} ${from} ${y}Z`}
            className="fill-band stroke-band-line"
            strokeWidth="1.2"
          />
        )}
        <circle
          cx={from}
          cy={y + 8}
          r={Math.max(6, 0.12 * d1 * scale)}
          className="fill-panel stroke-ink"
          strokeWidth="1.5"
        />
        <circle
          cx={to}
          cy={y + 8}
          r={Math.max(6, 0.12 * d2 * scale)}
          className="fill-panel stroke-ink"
          strokeWidth="1.5"
        />
        <path d={`M${from} ${y}H${to}`} className="stroke-mid" strokeDasharray="10 3 2 3" strokeWidth="1.2" />
        {now && <path d={hang(now.max)} className="fill-none stroke-ink" strokeWidth="3" strokeDasharray="5 2" />}
        {now && now.min !== now.max && (
          <path d={hang(now.min)} className="fill-none stroke-ink" strokeWidth="1.5" strokeDasharray="5 2" />
        )}
        {then && (
          <path
            d={hang((then.min + then.max) / 2)}
            className="fill-none stroke-now"
            strokeWidth="2.5"
            strokeDasharray="9 5"
          />
        )}
        <path d={`M${middle} ${y}v${(now?.max ?? greatest) * drop}`} className="stroke-ink" strokeWidth="1.2" />
        <text x={middle} y={y - 9} textAnchor="middle" fontSize="16" className="fill-mid">
          straight line{times > 1 && `; sag drawn ${times} times as deep`}
        </text>
        <text x={middle} y={y + deepest + 34} textAnchor="middle" fontSize="16" className="fill-mid">
          {now
            ? `sag ${spoken(reader, "mm", 1).range(now.min, now.max)} ${spoken(reader, "mm", 1).unit}`
            : "the sag is read here, the other strand tight"}
        </text>
      </svg>
    </figure>
  );
}
