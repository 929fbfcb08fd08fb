import type { FeltWord } from "~/core/rounds";
import type { FeelGrade } from "~/core/stages";
import { clearOf, type DialPoint, outlinePath } from "~/ui/round-dial/layout";

/** The part that is felt, as it is drawn for its dial. */
export type FeltPart = { outline: readonly (readonly DialPoint[])[]; tipRadius: number; rootRadius: number };

const [inner, outer, tips] = [64, 184, 250];

/**
 * Words round the turn: one ring a grade, loose inside and tight outside, the witness mark at the top. What was felt before is hollow and dashed
 * under what is felt now, so that one sees where it became smoother. The tight spot is painted.
 */
export function FeelRing({
  places,
  now,
  before = [],
  tightPlace,
  nextPlace = null,
  words,
  arc,
  part = null,
  label,
}: {
  places: number;
  now: readonly FeltWord[];
  before?: readonly FeltWord[];
  tightPlace: number | null;
  nextPlace?: number | null;
  /** Of each grade that the kind has; the others have no ring. */
  words: Partial<Record<FeelGrade, string>>;
  arc?: readonly [number, number] | undefined;
  /** Drawn round the rings, its tight tooth painted. */
  part?: FeltPart | null;
  label: string;
}) {
  const grades = ([1, 2, 3, 4, 5] as const).filter((grade) => words[grade] !== undefined);
  const at = (place: number, r: number): [number, number] => {
    const angle = (2 * Math.PI * place) / places;
    return [r * Math.sin(angle), -r * Math.cos(angle)];
  };
  // Inside the part's roots, where it is drawn.
  const reach = part ? (part.rootRadius * tips) / part.tipRadius - 30 : outer;
  const radius = (grade: FeelGrade): number => inner + ((reach - inner) * (grade - 1)) / 4;
  const outside = reach + 20;
  // The rings are named where least was felt.
  const turn = 360 / places;
  const clear = clearOf([...now, ...before].map(({ place }) => place * turn)) / turn;
  return (
    <svg
      viewBox={part ? "-256 -256 512 512" : "-230 -230 460 460"}
      className="w-full h-full max-h-[30rem]"
      role="img"
      aria-label={label}
    >
      {part && <Part part={part} painted={tightPlace} />}
      {grades.map((grade) => (
        <g key={grade}>
          <circle
            r={radius(grade)}
            className={`fill-none ${grade === 3 ? "stroke-band" : "stroke-rule"}`}
            strokeWidth={grade === 3 ? 22 : 1}
          />
        </g>
      ))}
      {arc && <Unfelt at={at} places={places} arc={arc} r={outside} />}
      <path d={`M0 ${-outside - 4}V${-reach - 6}`} className="stroke-ink" strokeWidth="3" />
      {tightPlace !== null && (
        <line
          x1={at(tightPlace, inner - 20)[0]}
          y1={at(tightPlace, inner - 20)[1]}
          x2={at(tightPlace, outside)[0]}
          y2={at(tightPlace, outside)[1]}
          className="stroke-copper"
          strokeWidth="7"
        />
      )}
      {nextPlace !== null && <Next point={at(nextPlace, outside - 4)} />}
      <Walk words={before} at={at} radius={radius} className="stroke-mid fill-panel" dashed />
      <Walk words={now} at={at} radius={radius} className="stroke-ink fill-ink" dashed={false} />
      {grades.map((grade) => {
        const [x, y] = at(clear, radius(grade));
        return (
          <text
            key={grade}
            x={x}
            y={y + 5}
            textAnchor="middle"
            fontSize="16"
            className={`stroke-panel ${grade === 3 ? "fill-band-line font-semibold" : "fill-mid"}`}
            strokeWidth="5"
            paintOrder="stroke"
          >
            {words[grade]}
          </text>
        );
      })}
    </svg>
  );
}

/** The part itself round the rings; its painted tooth is the one that gets the paint. */
function Part({ part: { outline, tipRadius, rootRadius }, painted }: { part: FeltPart; painted: number | null }) {
  const scale = tips / tipRadius;
  return (
    <>
      <path d={outlinePath(outline, scale, false)} className="fill-ground stroke-ink" strokeWidth="1.3" />
      <circle r={rootRadius * scale - 12} className="fill-panel" />
      {painted !== null && (
        <path
          d={outlinePath([outline[painted] ?? []], scale, false)}
          className="fill-copper stroke-copper"
          strokeWidth="2"
        />
      )}
    </>
  );
}

type At = (place: number, r: number) => [number, number];

function Next({ point: [x, y] }: { point: readonly [number, number] }) {
  return <circle cx={x} cy={y} r="9" className="fill-none stroke-now" strokeWidth="4" />;
}

/** The words in the order of their places, joined by a line. */
function Walk({
  words,
  at,
  radius,
  className,
  dashed,
}: {
  words: readonly FeltWord[];
  at: At;
  radius: (grade: FeelGrade) => number;
  className: string;
  dashed: boolean;
}) {
  const points = [...words]
    .sort((a, b) => a.place - b.place)
    .map(({ place, grade }) => ({ place, grade, at: at(place, radius(grade)) }));
  return (
    <g className={className}>
      <path
        d={points.length > 1 ? `M${points.map((point) => point.at.join(" ")).join("L")}Z` : ""}
        fill="none"
        strokeWidth="1.5"
        strokeDasharray={dashed ? "6 4" : undefined}
      />
      {points.map(({ place, grade, at: [x, y] }) => (
        <circle key={`${place} ${grade}`} cx={x} cy={y} r="7" strokeWidth="2" />
      ))}
    </g>
  );
}

/** The part of the turn that is never reached. */
function Unfelt({
  at,
  places,
  arc: [from, to],
  r,
}: {
  at: At;
  places: number;
  arc: readonly [number, number];
  r: number;
}) {
  const [x1, y1] = at(to, r);
  const [x2, y2] = at(from + places, r);
  const large = from + places - to > places / 2 ? 1 : 0;
  return (
    <path
      d={`M${x1} ${y1}A${r} ${r} 0 ${large} 1 ${x2} ${y2}`}
      className="fill-none stroke-rule"
      strokeWidth="10"
      strokeDasharray="3 5"
    />
  );
}
