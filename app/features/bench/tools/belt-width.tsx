import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { BeltWidth, PlacedWidth } from "~/core/belts";
import { count, over0, positiveNumber, positiveOr } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

const pulley = (read: TextReader, of: string) => ({
  pitchMm: over0(read, `${of}pitch`),
  teeth: count(read, `${of}teeth`, 3),
  teethInMesh: inMesh(read, `${of}mesh`),
});

function inMesh(read: TextReader, name: string): number {
  const value = read.numberOr(name, 6);
  read.want(name, !(value < 2), "too-small");
  return value;
}

function readWidth(texts: Texts) {
  const read = new TextReader(texts);
  const stockMm = read.lengths("stock");
  read.want(
    "stock",
    stockMm.every((width) => width > 0),
    "too-small",
  );
  const behind = read.has("ratio")
    ? {
        behind: {
          ratio: positiveNumber(read, "ratio"),
          efficiency: read.numberOr("efficiency", 1),
          ...pulley(read, "then."),
        },
      }
    : {};
  read.want("efficiency", !(read.numberOr("efficiency", 1) <= 0 || read.numberOr("efficiency", 1) > 1), "too-large");
  const torqueNm = read.torque("torque");
  read.want("torque", torqueNm > 0, "too-small");
  return read.done({
    torqueNm,
    ...pulley(read, ""),
    allowableNPerMm: positiveNumber(read, "allowable"),
    serviceFactor: positiveOr(read, "service", 1),
    ...(stockMm.length > 0 ? { stockMm } : {}),
    ...behind,
  });
}

export const tool = benchTool("belt-width", async () => (await import("~/calc/tools/belt-width")).beltWidthTool, {
  example: {
    torque: "1.5",
    pitch: "5",
    teeth: "18",
    allowable: "14",
    stock: "6 9 15 25",
    ratio: "6",
    "then.pitch": "5",
    "then.teeth": "36",
  },
  Fields: () => (
    <>
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="torque" label="Torque" hint="N·m" />
        <TextField name="pitch" label="Pitch of the belt" hint="mm" />
        <TextField name="teeth" label="Teeth of the pulley" inputMode="numeric" />
        <TextField name="mesh" label="Teeth in mesh" hint="empty: six or more" />
        <TextField name="allowable" label="Allowed pull" hint="N for each mm of width, the maker’s" />
        <TextField name="service" label="Service factor" hint="1 even, 1.5 start and stop, 2 shocks" />
      </div>
      <TextField name="stock" label="Widths to be had" hint="mm, with spaces" />
      <fieldset className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <legend className="font-semibold mb-1">A second belt, behind a reduction</legend>
        <TextField name="ratio" label="Reduction" hint="to 1; empty: no second one" />
        <TextField name="efficiency" label="Efficiency" hint="empty: 1" />
        <TextField name="then.pitch" label="Its pitch" hint="mm" />
        <TextField name="then.teeth" label="Teeth of its pulley" inputMode="numeric" />
        <TextField name="then.mesh" label="Its teeth in mesh" hint="empty: six or more" />
      </fieldset>
    </>
  ),
  read: (texts) => inputFrom(readWidth(texts)),
  say: (reader, output) => {
    const one = ({ widthMm, stockMm }: PlacedWidth) =>
      `${formatNumber(reader, widthMm, 1)} mm${stockMm === undefined ? "" : stockMm === null ? ", and no stock is so wide" : `, take ${formatNumber(reader, stockMm, Number.isInteger(stockMm) ? 0 : 1)}`}`;
    return `${one(output)}${output.behind ? `; behind the reduction ${one(output.behind)}` : ""}`;
  },
  View,
});

function View({ output }: { output: BeltWidth }) {
  const reader = useWords();
  const f = (value: number, decimals = 1) => formatNumber(reader, value, decimals);
  const places = [
    { name: "First belt", place: output as PlacedWidth },
    ...(output.behind ? [{ name: "Behind it", place: output.behind }] : []),
  ];
  const most = Math.max(...places.map(({ place }) => Math.max(place.widthMm, place.stockMm ?? 0)));
  const y = (width: number) => (260 * width) / most;
  return (
    <div className="grid gap-4">
      <svg viewBox="0 0 480 150" className="w-full bg-panel" role="img" aria-label="Widths of the belts, to one scale">
        {places.map(({ name, place }, i) => (
          <g key={name}>
            <rect
              x="130"
              width={y(place.stockMm ?? place.widthMm)}
              y={16 + 66 * i}
              height="44"
              className="fill-ground stroke-rule"
            />
            <rect
              x="130"
              width={y(place.widthMm)}
              y={16 + 66 * i}
              height="44"
              className={place.stockMm === null ? "fill-outside" : "fill-band stroke-band-line"}
            />
            <text x="8" y={44 + 66 * i} fontSize="17" className="fill-ink">
              {name}
            </text>
            <text
              x={140 + y(Math.max(place.widthMm, place.stockMm ?? 0))}
              y={44 + 66 * i}
              fontSize="17"
              className="fill-ink figure"
            >
              {f(place.widthMm)} mm
            </text>
          </g>
        ))}
      </svg>
      <FigureList
        of={places.flatMap(({ name, place }) => [
          [`${name}, pull`, `${f(place.pullN, 0)} N`] as const,
          ...(place.meshFactor < 1
            ? [[`${name}, left of its rating`, `${f(100 * place.meshFactor, 0)} %`] as const]
            : []),
          ...(place.sharePercent === undefined
            ? []
            : [[`${name}, of the stock used`, `${f(place.sharePercent, 0)} %`] as const]),
        ])}
      />
      <p className="text-mid">
        Six teeth in mesh carry all of the rating, each less a fifth off (common practice). Width in proportion to the
        pull lies on the safe side upwards from a narrow belt.
      </p>
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
