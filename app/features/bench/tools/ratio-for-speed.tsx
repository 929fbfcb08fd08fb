import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { parseNumber } from "~/core/quantity";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0, over0Or } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { metresASecond } from "../../words/speed-units";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { TrainRow } from "../train-row";

const units = ["rpm", "m/s", "km/h", "mph"] as const;
type SpeedUnit = (typeof units)[number];
const unitIn = (texts: Texts): SpeedUnit => units.find((unit) => unit === texts.unit) ?? "rpm";

/** "12-60" is every count between; else counts one by one. */
function readTeeth(read: TextReader) {
  const [, from, to] = /^\s*(\d+)\s*(?:-|–|to)\s*(\d+)\s*$/.exec(read.text("teeth")) ?? [];
  if (from !== undefined && to !== undefined) {
    const range = { from: Number(from), to: Number(to) };
    read.want("teeth", range.from >= 3, "teeth-too-few");
    read.want("teeth", range.to <= 300, "too-large");
    read.want("teeth", range.from <= range.to, "window-upside-down");
    return range;
  }
  const counts = read
    .text("teeth")
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => parseNumber(part, true));
  read.want("teeth", counts.length > 0, "missing");
  read.want("teeth", counts.length <= 300, "too-large");
  read.want(
    "teeth",
    counts.every((count) => count.ok && count.value >= 3),
    "teeth-too-few",
  );
  return counts.map((count) => (count.ok ? count.value : Number.NaN));
}

function readQuestion(texts: Texts) {
  const read = new TextReader(texts);
  const unit = unitIn(texts);
  const positive = (name: string) => {
    const value = read.number(name);
    read.want(name, !(value <= 0), "too-small");
    return value;
  };
  const wanted = positive("wanted");
  // A model runs at so many times less than what it stands for.
  const scale = read.numberOr("scale", 1);
  read.want("scale", !(scale <= 0), "too-small");
  const output =
    unit === "rpm"
      ? { outputRpm: wanted }
      : { outputMPerS: (wanted * metresASecond[unit]) / scale, wheelDiameterMm: over0(read, "wheel") };
  const sum = read.has("sum") ? { toothSum: read.number("sum", true) } : {};
  const off = over0Or(read, "off", null);
  return read.done({
    inputRpm: positive("rpm"),
    ...output,
    teeth: readTeeth(read),
    ...sum,
    stages: choice(read, "stages", ["1", "2"]) === "2" ? (2 as const) : (1 as const),
    results: 8,
    ...(off === null ? {} : { tolerancePercent: off }),
  });
}

function Fields() {
  const unit = unitIn(useFormTexts());
  return (
    <>
      <ChoiceField
        name="unit"
        legend="Wanted at the output"
        usual="rpm"
        options={units.map((value) => ({ value, label: value === "rpm" ? "turns a minute" : value }))}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="wanted" label={`So many ${unit === "rpm" ? "turns a minute" : unit}`} />
        <TextField name="rpm" label="Motor, turns a minute" />
        {unit !== "rpm" && <TextField name="wheel" label="Wheel or drum, diameter" hint="mm" />}
        {unit !== "rpm" && <TextField name="scale" label="In a scale of 1 to" hint="of a model; usually 1" />}
        <TextField name="teeth" label="Teeth to choose from" hint="12-60, or 12 14 15 40" />
        <TextField name="sum" label="Both together" hint="teeth; fixed centre distance" inputMode="numeric" />
        <TextField name="off" label="May be off by" hint="%; empty: any" />
      </div>
      <ChoiceField
        name="stages"
        legend="Stages at most"
        usual="1"
        options={[
          { value: "1", label: "one" },
          { value: "2", label: "two" },
        ]}
      />
    </>
  );
}

export const tool = benchTool(
  "ratio-for-speed",
  async () => (await import("~/calc/tools/ratio-for-speed")).ratioForSpeedTool,
  {
    example: { unit: "m/s", wanted: "0.5", rpm: "1400", wheel: "60", teeth: "12-60", stages: "2" },
    Fields,
    read: (texts) => inputFrom(readQuestion(texts)),
    say: (reader, { combinations: [best], wantedRatio, feasible }) => {
      if (!best) return "No two of these have that sum";
      const pairs = best.teeth.map(([z1, z2]) => `${z1} to ${z2}`).join(", then ");
      const off = `${signed(reader, best.errorPercent)} %`;
      return feasible
        ? `${pairs}: ${formatNumber(reader, best.ratio, 4)} to 1, ${off}`
        : `Nothing near enough to ${formatNumber(reader, wantedRatio, 4)} to 1; the nearest is ${pairs}, ${off}`;
    },
    View: ({ output, texts }) => {
      const reader = useWords();
      const [best] = output.combinations;
      const unit = unitIn(texts);
      const scale = Number((texts.scale ?? "").replace(",", ".")) || 1;
      return (
        <div className="grid gap-4">
          {best && <TrainRow pairs={best.teeth} />}
          <table className="w-full text-left" aria-label="Nearest first">
            <thead>
              <tr className="border-b-2 border-ink">
                <th className="py-1">Teeth</th>
                <th>Ratio</th>
                <th>{unit === "rpm" ? "Turns a minute" : unit}</th>
                <th>Off, %</th>
              </tr>
            </thead>
            <tbody>
              {output.combinations.map(({ teeth, ratio, outputRpm, outputMPerS, errorPercent }) => (
                <tr key={teeth.join()} className="border-b border-rule">
                  <td className="figure py-2">{teeth.map((pair) => pair.join(" : ")).join(", ")}</td>
                  <td className="figure">{formatNumber(reader, ratio, 4)}</td>
                  <td className="figure">
                    {unit === "rpm" || outputMPerS === undefined
                      ? formatNumber(reader, outputRpm, 1)
                      : formatNumber(reader, (outputMPerS * scale) / metresASecond[unit], 3)}
                  </td>
                  <td className="figure">{signed(reader, errorPercent)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-mid">
            Each ratio once, by its fewest stages and teeth. A pinion below 17 teeth at 20° is undercut unless it is
            shifted.
          </p>
        </div>
      );
    },
  },
);

const signed = (reader: Reader, percent: number): string =>
  `${percent > 0 ? "+" : ""}${formatNumber(reader, percent, 3)}`;

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
