import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { allowedRise, type ForceSweep } from "~/core/shifting";
import { ChoiceField } from "../../form/choice-field";
import { choice } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { SweepPicture } from "../../shifting/sweep-picture";
import { sweepCauseWords, sweepWords } from "../../words/sweep";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const barPerPsi = 0.0689475729;
const units = ["N", "bar", "psi"] as const;

function readSweep(texts: Texts) {
  const read = new TextReader(texts);
  const unit = choice(read, "unit", units);
  const rows = read.rows("points", ["force", "current"]);
  read.want("points", rows.length >= 3, "too-few");
  const values = rows.map((row) => {
    const force = unit === "N" ? read.force(`${row}.force`) : read.number(`${row}.force`);
    read.want(`${row}.force`, !(force < 0), "too-small");
    const currentA = read.number(`${row}.current`);
    read.want(`${row}.current`, !(currentA <= 0), "too-small");
    return { force: unit === "psi" ? force * barPerPsi : force, currentA };
  });
  const allowedRisePercent = read.numberOr("rise", allowedRise);
  read.want("rise", !(allowedRisePercent < 0), "too-small");
  const resolutionA = read.numberOr("step", 0.01);
  read.want("step", !(resolutionA < 0), "too-small");
  const points = values.map(({ force, currentA }) =>
    unit === "N" ? { forceN: force, currentA } : { pressureBar: force, currentA },
  );
  return { input: read.done({ points, allowedRisePercent, resolutionA }), values, unit };
}

export const tool = benchTool("force-sweep", async () => (await import("~/calc/tools/force-sweep")).forceSweepTool, {
  example: {
    unit: "bar",
    ...rowTexts("points", [
      { force: "2", current: "1.02" },
      { force: "3", current: "1.03" },
      { force: "4", current: "1.02" },
      { force: "5", current: "1.04" },
      { force: "6", current: "1.03" },
    ]),
  },
  Fields: () => (
    <>
      <ChoiceField
        name="unit"
        legend="The actuator's force in"
        usual="N"
        options={units.map((value) => ({ value, label: value }))}
      />
      <RowsField
        name="points"
        legend="Raised in steps"
        hint="Motor turning unloaded; the current after it has settled."
        one="Step"
        columns={[
          { name: "force", label: "Force" },
          { name: "current", label: "Current, A" },
        ]}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="rise" label="Rise that is allowed" hint="%, usually 5" />
        <TextField name="step" label="One step of the meter" hint="A, usually 0.01" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readSweep(texts).input),
  say: (reader, output) => sweepWords(reader, output),
  View,
});

const percent = (reader: Reader, [lo, hi]: ForceSweep["risePercentInterval"]): string =>
  `${formatNumber(reader, lo, 1)} to ${formatNumber(reader, hi, 1)} %`;

function View({ output, texts }: { output: ForceSweep; texts: Texts }) {
  const reader = useWords();
  const { values, unit, input } = readSweep(texts);
  if (!input.value) return null;
  return (
    <div className="grid gap-4">
      <SweepPicture
        points={values}
        sweep={output}
        unit={unit === "psi" ? "bar" : unit}
        figure={(value, decimals) => formatNumber(reader, value, decimals)}
      />
      <p className="text-lg">
        Over this range the current rises by {percent(reader, output.risePercentInterval)} (95 %).
        {output.cause && ` ${sweepCauseWords[output.cause]}`}
      </p>
      <p className="text-mid">
        Least squares with Student’s t; equal figures on a coarse meter prove nothing flat, so its step counts as
        scatter.
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
