import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type IndexError, lostMotionId, stepRounding } from "~/core/trains";
import { IndexPicture } from "../../drive-line/index-picture";
import { ChoiceField } from "../../form/choice-field";
import { choice, notNegativeOr, over0, positiveOr } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

/** "3", "13/4": turns as a fraction of whole numbers. */
function fractionOf(read: TextReader, name: string): [number, number] {
  const [, num, den] = /^(\d{1,9})(?:\s*[/:]\s*(\d{1,9}))?$/.exec(read.text(name)) ?? [];
  const found: [number, number] = [Number(num ?? 0), Number(den ?? 1)];
  read.want(name, found[0] >= 1 && found[1] >= 1, "not-a-ratio");
  return found;
}

function readIndex(texts: Texts) {
  const read = new TextReader(texts);
  const divisions = read.number("divisions", true);
  read.want("divisions", divisions >= 1, "too-small");
  read.want("divisions", divisions <= 100_000, "too-large");
  const rows = read.rows("wheels", ["name", "runout", "radius", "turns"]);
  const names = rows.map((row, i) => read.text(`${row}.name`) || `Wheel ${i + 1}`);
  read.want(
    "wheels",
    new Set(names).size === names.length && !names.includes(stepRounding) && !names.includes(lostMotionId),
    "part-twice",
  );
  const wheels = rows.map((row, i) => {
    const runout = read.length(`${row}.runout`);
    read.want(`${row}.runout`, !(runout < 0), "too-small");
    return {
      id: names[i] as string,
      eccentricityMm: runout / 2,
      radiusMm: over0(read, `${row}.radius`),
      turnsPerOutputTurn: fractionOf(read, `${row}.turns`),
      pressureAngleDeg: choice(read, `${row}.as`, ["gear", "pulley"]) === "gear" ? 20 : 0,
    };
  });
  const steps = read.has("steps") ? { stepsPerOutputTurn: fractionOf(read, "steps") } : {};
  const lost = read.has("lost") ? { lostMotionArcmin: notNegativeOr(read, "lost", 0) } : {};
  const tolerance = positiveOr(read, "tolerance", undefined);
  read.want("wheels", wheels.length > 0 || read.has("steps") || read.has("lost"), "nothing-to-add");
  return read.done({
    divisions,
    wheels,
    ...steps,
    ...lost,
    oneSided: choice(read, "sides", ["both", "one"]) === "one",
    ...(tolerance === undefined ? {} : { toleranceArcmin: tolerance }),
  });
}

const idWords = (id: string): string =>
  id === stepRounding ? "Whole steps" : id === lostMotionId ? "Lost motion" : id;

export const tool = benchTool("index-error", async () => (await import("~/calc/tools/index-error")).indexErrorTool, {
  example: {
    divisions: "24",
    ...rowTexts("wheels", [
      { name: "Wheel", runout: "0.05", radius: "45", turns: "1", as: "gear" },
      { name: "Pinion", runout: "0.03", radius: "15", turns: "3", as: "gear" },
      { name: "Belt pulley", runout: "0.06", radius: "20", turns: "9", as: "pulley" },
    ]),
    steps: "12800/3",
    lost: "3",
    sides: "one",
    tolerance: "6",
  },
  Fields: () => (
    <>
      <TextField name="divisions" label="Divisions" inputMode="numeric" />
      <RowsField
        name="wheels"
        legend="Wheels that run out"
        one="Wheel"
        columns={[
          { name: "name", label: "Which", wide: true },
          { name: "runout", label: "Indicator, mm" },
          { name: "radius", label: "Radius, mm" },
          { name: "turns", label: "Turns a turn" },
          {
            name: "as",
            label: "As",
            options: [
              { value: "gear", label: "gear" },
              { value: "pulley", label: "pulley" },
            ],
          },
        ]}
        hint="Whole reading of the indicator; turns for one of the output, as 3 or 13/4."
      />
      <div className="grid grid-cols-3 gap-4">
        <TextField name="steps" label="Steps a turn" hint="12800/3; empty: none" />
        <TextField name="lost" label="Lost motion" hint="′ at the output" />
        <TextField name="tolerance" label="Tolerance ±" hint="′" />
      </div>
      <ChoiceField
        name="sides"
        legend="Positions are approached"
        usual="both"
        options={[
          { value: "both", label: "from both sides" },
          { value: "one", label: "always from one" },
        ]}
      />
    </>
  ),
  read: (texts) => inputFrom(readIndex(texts)),
  say: (reader, { position, verdict }) => {
    const f = (value: number) => `${formatNumber(reader, value, 1)}′`;
    const size = `± ${f(position.worstArcmin)} at worst, ± ${f(position.rssArcmin)} likely`;
    if (verdict === "within") return `Every division keeps to it: ${size}`;
    if (verdict === "likely") return `It will mostly keep to it: ${size}`;
    return verdict === "beyond" ? `It does not keep to it: ${size}` : size;
  },
  View,
});

function View({ output, texts }: { output: IndexError; texts: Texts }) {
  const reader = useWords();
  const input = readIndex(texts).value;
  if (!input) return null;
  const f = (value: number) => formatNumber(reader, value, 2);
  return (
    <div className="grid gap-4">
      <IndexPicture
        output={output}
        divisions={input.divisions}
        tolerance={input.toleranceArcmin}
        figure={(value) => formatNumber(reader, value, 1)}
      />
      <table className="w-full">
        <thead>
          <tr className="text-left text-mid">
            <th scope="col" className="font-normal">
              From
            </th>
            <th scope="col" className="font-normal text-right">
              A position, ± ′
            </th>
            <th scope="col" className="font-normal text-right">
              From one to the next, ′
            </th>
          </tr>
        </thead>
        <tbody>
          {output.contributions.map(({ id, positionArcmin, betweenArcmin }) => (
            <tr key={id} className="border-t border-rule">
              <th scope="row" className="font-normal text-left py-1">
                {idWords(id)}
              </th>
              <td className="figure text-right">{f(positionArcmin)}</td>
              <td className="figure text-right">{f(betweenArcmin)}</td>
            </tr>
          ))}
          {[
            { name: "All at worst", at: "worstArcmin" as const },
            { name: "Likely", at: "rssArcmin" as const },
          ].map(({ name, at }) => (
            <tr key={at} className="border-t-2 border-ink font-semibold">
              <th scope="row" className="text-left py-1">
                {name}
              </th>
              <td className="figure text-right">{f(output.position[at])}</td>
              <td className="figure text-right">{f(output.between[at])}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-mid">
        A wheel that makes whole turns from one division to the next stands alike at each, and drops out.
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
