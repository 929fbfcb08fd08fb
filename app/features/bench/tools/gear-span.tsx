import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { type SpanMeasure, toothCircles, toothOutlines } from "~/core/gears";
import { TextField } from "../../form/text-field";
import { readPitch, TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const f = (reader: Reader, value: number, decimals = 3): string => formatNumber(reader, value, decimals);

function gearOf(texts: Texts) {
  const read = new TextReader(texts);
  const pitch = readPitch(read.text("pitch"));
  if (!pitch.ok) read.problems.pitch = pitch.refusal;
  const toothCount = read.number("teeth", true);
  read.want("teeth", toothCount >= 3, "teeth-too-few");
  const spanTeeth = read.has("k") ? read.number("k", true) : undefined;
  const pin = read.lengthOrNull("pin");
  read.want("k", spanTeeth === undefined || spanTeeth >= 1, "too-small");
  read.want("pin", pin === null || pin > 0, "too-small");
  const thinningMm = read.lengthOrNull("thin") ?? 0;
  read.want("thin", thinningMm >= 0, "too-small");
  return read.done({
    toothCount,
    moduleMm: pitch.ok ? pitch.value : Number.NaN,
    pressureAngleDeg: read.angleOr("alpha", 20),
    profileShift: read.numberOr("x", 0),
    thinningMm,
    ...(spanTeeth === undefined ? {} : { spanTeeth }),
    ...(pin === null ? {} : { pinDiameterMm: pin }),
  });
}

export const tool = benchTool("gear-span", async () => (await import("~/calc/tools/gear-span")).gearSpanTool, {
  example: { teeth: "52", pitch: "0.8" },
  Fields: () => (
    <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
      <TextField name="teeth" label="Teeth" inputMode="numeric" />
      <TextField name="pitch" label="Module, or DP" hint="0.8, or 32 DP" />
      <TextField name="x" label="Shift" hint="x, usually 0" />
      <TextField name="k" label="Span over" hint="teeth; empty: where it touches best" inputMode="numeric" />
      <TextField name="pin" label="Pins" hint="diameter, mm; empty: 1.728 modules" />
      <TextField name="thin" label="Thinned by" hint="mm at the reference circle" />
      <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
    </div>
  ),
  read: (texts) => {
    const read = gearOf(texts);
    return read.value ? { input: read.value, problems: null } : { input: null, problems: read.problems };
  },
  say: (reader, { spanTeeth, spanMm }) =>
    `${f(reader, spanMm)} mm over ${spanTeeth} ${spanTeeth === 1 ? "tooth" : "teeth"}`,
  View,
});

function View({ output, texts }: { output: SpanMeasure; texts: Texts }) {
  const reader = useWords();
  const gear = gearOf(texts).value;
  if (!gear) return null;
  const blank = { ...gear, teeth: gear.toothCount, helixAngleDeg: 0, ring: false };
  const { tipDiameterMm, baseDiameterMm } = toothCircles(blank);
  const r = tipDiameterMm / 2;
  const w = output.spanMm / 2;
  // The spanned teeth stand about the top.
  const turn = (-(output.spanTeeth - 1) * 180) / gear.toothCount;
  const touch = Math.sqrt((baseDiameterMm / 2) ** 2 + w ** 2);
  const path = toothOutlines(blank, 4)
    .flat()
    .map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`)
    .join("L");
  const base = baseDiameterMm / 2;
  return (
    <div className="grid gap-3">
      <svg
        viewBox={`${-1.2 * r} ${-1.3 * r} ${2.4 * r} ${2.5 * r}`}
        className="h-80 w-full bg-panel"
        role="img"
        aria-label={`Two jaws over ${output.spanTeeth} teeth, ${f(reader, output.spanMm)} mm apart`}
      >
        <path
          d={`M${path}Z`}
          transform={`rotate(${turn})`}
          className="fill-ground stroke-ink"
          strokeWidth="1.3"
          vectorEffect="non-scaling-stroke"
        />
        {[-1, 1].map((side) => (
          <path
            key={side}
            d={`M${side * w} ${-1.22 * r}V${-base * 0.55}`}
            className="stroke-ink"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
          />
        ))}
        <path d={`M${-w} ${-1.15 * r}H${w}`} className="stroke-mid" strokeWidth="1" vectorEffect="non-scaling-stroke" />
      </svg>
      <p className="text-lg">
        Over two pins of <b className="figure">{f(reader, output.overPins.pinDiameterMm)}</b> mm:{" "}
        <b className="figure">{f(reader, output.overPins.mm)}</b> mm
        {gear.toothCount % 2 === 1 && ", over two balls on this odd count"}.
      </p>
      <p className="text-mid">
        W = m·cos α·(π·(k − ½) + z·inv α + 2·x·tan α) − thinning·cos α (ISO 21771). The jaws touch at radius{" "}
        {f(reader, touch, 2)} mm
        {touch > r ? ", which lies beyond the tips: span fewer teeth" : ""}.
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
