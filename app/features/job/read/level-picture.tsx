import { type Frame, onBelt } from "~/core/stages";
import { type Band, bandOrSpans, gaugeScale } from "~/ui/band-gauge/layout";
import { MarkShape } from "~/ui/state-mark";
import { placeWords } from "../../words/quantity";
import type { Spoken } from "../../words/spoken";
import type { RoundView } from "./round-view";

type Props = {
  frame: Frame;
  limits: Band | null;
  view: RoundView | null;
  current: number | null;
  spoken: Spoken;
  headline: string;
  label: string;
  /** Under a picture of the part: as high as half of the pane lets it. */
  low?: boolean;
};

const width = 520;
const top = 60;

/** Parts that do not come round in one: the belts of a set side by side in their grooves, the places of a gap between its faces. */
export function LevelPicture({ frame, limits, view, current, spoken, headline, label, low = false }: Props) {
  const foot = low ? 190 : 330;
  const height = foot + (low ? 60 : 140);
  const along = frame.belts === 1 && (frame.word === "turn" || frame.word === "round" || frame.word === "link");
  const columns = frame.belts > 1 ? frame.belts : along ? quarters.length : frame.places;
  const columnOf = (place: number) =>
    frame.belts > 1 ? onBelt(frame, place).belt - 1 : along ? ((place - 1) / frame.places) * columns : place - 1;
  const seen = view ? [view.seen, ...(view.move ? [{ min: view.move.min, max: view.move.max }] : [])] : [];
  const { lo, hi, drawn: hasBand } = bandOrSpans(limits, seen);
  const { at, ticks } = gaugeScale(lo, hi, seen, foot - top, spoken.per);
  const y = (value: number) => foot - at(value);
  const step = (width - 120) / columns;
  const middle = (column: number) => 90 + step * (column + 0.5);
  const shift = view?.move ? view.move.min - view.now.min : 0;
  const counted = (view?.readings ?? []).filter((reading) => !reading.struck);
  return (
    <svg viewBox={`0 0 ${width} ${height}`} className="w-full h-full" role="img" aria-label={label}>
      <text x={width / 2} y="34" textAnchor="middle" fontSize="24" className="fill-ink figure font-[650]">
        {headline}
      </text>
      {hasBand && (
        <rect
          x="60"
          y={y(hi)}
          width={width - 80}
          height={y(lo) - y(hi)}
          className="fill-band stroke-band-line"
          strokeWidth="2"
        />
      )}
      {ticks.map((tick) => (
        <text key={tick} x="56" y={y(tick) + 6} textAnchor="end" fontSize="17" className="fill-mid figure">
          {spoken.figure(tick)}
        </text>
      ))}
      <text x="56" y={y(ticks[ticks.length - 1] ?? hi) - 14} textAnchor="end" fontSize="17" className="fill-mid">
        {spoken.unit}
      </text>
      {Array.from({ length: columns }, (_, column) => (
        <Column
          key={column}
          foot={foot}
          drawn={low ? "none" : frame.belts === 1 ? "faces" : "belt"}
          x={middle(column)}
          width={step}
          now={current !== null && Math.round(columnOf(current)) % columns === column}
          stand={view?.standTooth ? Math.round(columnOf(view.standTooth)) % columns === column && columns > 1 : false}
          name={
            frame.belts > 1
              ? `belt ${column + 1}`
              : along
                ? (quarters[column] ?? "")
                : columns > 1
                  ? placeWords(frame, column + 1)
                  : ""
          }
        />
      ))}
      {counted.map((reading) => {
        const x =
          middle(columnOf(reading.tooth)) +
          (frame.belts > 1 ? (onBelt(frame, reading.tooth).place - 1.5) * 0.3 * step : 0);
        return (
          <g key={reading.index}>
            <line x1={x} x2={x} y1={foot} y2={y(reading.value)} className="stroke-ink" strokeWidth="2.2" />
            {view?.move && view.move.amount !== 0 && (
              <path
                d={`M${x - 14} ${y(reading.value + shift)}h28`}
                className="stroke-now"
                strokeWidth="2.5"
                strokeDasharray="7 4"
              />
            )}
            <MarkShape state={reading.state} x={x} y={y(reading.value)} r={7} />
          </g>
        );
      })}
    </svg>
  );
}

const quarters = ["the mark", "¼", "½", "¾"];

/** What stands under a column: a belt in its groove, or the face at that place. */
function Column({
  foot,
  drawn,
  x,
  width: step,
  now,
  stand,
  name,
}: {
  foot: number;
  /** Two faces of a gap, a belt in its groove, or nothing under a picture of the part. */
  drawn: "faces" | "belt" | "none";
  x: number;
  width: number;
  now: boolean;
  stand: boolean;
  name: string;
}) {
  const half = Math.min(46, step * 0.36);
  const stroke = stand ? "stroke-copper" : now ? "stroke-now" : "stroke-ink";
  return (
    <g>
      {drawn === "none" ? (
        stand && <path d={`M${x - 9} ${foot + 14}h18l-9 -12Z`} className="fill-copper" />
      ) : drawn === "faces" ? (
        <path
          d={`M${x - half} ${foot + 8}H${x + half}V${foot + 34}H${x - half}ZM${x - half} ${foot + 52}H${x + half}V${foot + 78}H${x - half}Z`}
          className={`fill-ground ${stroke}`}
          strokeWidth="2"
        />
      ) : (
        <>
          <path
            d={`M${x - half} ${foot + 30}L${x - 0.45 * half} ${foot + 78}H${x + 0.45 * half}L${x + half} ${foot + 30}V${foot + 96}H${x - half}Z`}
            className="fill-ground stroke-ink"
            strokeWidth="1.5"
          />
          <path
            d={`M${x - 0.92 * half} ${foot + 24}H${x + 0.92 * half}L${x + 0.52 * half} ${foot + 64}H${x - 0.52 * half}Z`}
            className={`${stand ? "fill-copper" : "fill-panel"} ${stroke}`}
            strokeWidth={now || stand ? 3.5 : 2}
          />
        </>
      )}
      <text
        x={x}
        y={foot + (drawn === "none" ? 40 : 122)}
        textAnchor="middle"
        fontSize="17"
        className={now ? "fill-now font-bold" : "fill-mid"}
      >
        {name}
      </text>
    </g>
  );
}
