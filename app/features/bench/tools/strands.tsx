import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { strandsTool } from "~/calc/tools/strands";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { choice, notNegativeOr, over0Or, positiveOr } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { SharePicture } from "../../strands/share-picture";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

type Output = z.output<typeof strandsTool.output>;
const ways = ["frequencyHz", "tensionN", "sagMm"] as const;
const units = { frequencyHz: "Hz", tensionN: "N", sagMm: "mm" };

function readStrands(texts: Texts) {
  const read = new TextReader(texts);
  const way = choice(read, "way", ways);
  const rows = read.rows("strands", ["name", "read"]);
  read.want("strands", rows.length >= 2, "too-few");
  const names = rows.map((row, i) => read.text(`${row}.name`) || `${i + 1}`);
  read.want("strands", new Set(names).size === names.length, "part-twice");
  const strands = rows.map((row, i) => {
    const value =
      way === "sagMm" ? read.length(`${row}.read`) : read.measured(`${row}.read`, way === "tensionN" ? newtons : hertz);
    read.want(`${row}.read`, way === "sagMm" ? value > 0 : !(value < 0), "too-small");
    return { id: names[i] as string, [way]: value };
  });
  const spanMm = over0Or(read, "span", undefined);
  const massKgPerM = positiveOr(read, "mass", undefined);
  read.want("span", massKgPerM === undefined || spanMm !== undefined, "missing");
  read.want("mass", spanMm === undefined || massKgPerM !== undefined, "missing");
  const stiffnessNPerMm = positiveOr(read, "stiffness", undefined);
  read.want(
    "span",
    stiffnessNPerMm === undefined || way === "tensionN" || spanMm !== undefined,
    "stiffness-without-tension",
  );
  return read.done({
    strands,
    ...(spanMm !== undefined && massKgPerM !== undefined ? { spanMm, massKgPerM } : {}),
    ...(stiffnessNPerMm === undefined ? {} : { stiffnessNPerMm }),
    limitPercent: positiveOr(read, "limit", 10),
    expandedUncertaintyPercent: notNegativeOr(read, "u", 0),
  });
}
const newtons = { dimension: "force", bare: "N", factor: 1 } as const;
const hertz = { dimension: "frequency", bare: "Hz", factor: 1 } as const;

export const tool = benchTool("strands", async () => (await import("~/calc/tools/strands")).strandsTool, {
  example: {
    way: "frequencyHz",
    ...rowTexts("strands", [
      { name: "outer", read: "41" },
      { name: "second", read: "44.5" },
      { name: "third", read: "43" },
      { name: "inner", read: "42.2" },
    ]),
    span: "430",
    mass: "0.11",
  },
  Fields: () => (
    <>
      <ChoiceField
        name="way"
        legend="Each was read as"
        usual="frequencyHz"
        options={[
          { value: "frequencyHz", label: "pitch, Hz" },
          { value: "tensionN", label: "tension, N" },
          { value: "sagMm", label: "sag, mm" },
        ]}
      />
      <RowsField
        name="strands"
        legend="Belts, cords or chains side by side"
        hint="A slack one: 0."
        one="Strand"
        columns={[
          { name: "name", label: "Which", wide: true },
          { name: "read", label: "Read" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="span" label="Free span" hint="mm; for newtons" />
        <TextField name="mass" label="Mass" hint="kg a metre; for newtons" />
        <TextField name="stiffness" label="Stiffness of one" hint="N a mm of length" />
        <TextField name="limit" label="From the mean within ±" hint="%, usually 10" />
        <TextField name="u" label="Uncertainty" hint="% of a tension" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readStrands(texts)),
  say: (reader, { spreadPercent, weakest, overPulled, verdict }) => {
    const spread = `${formatNumber(reader, spreadPercent, 1)} % between ${weakest} and ${overPulled}`;
    if (verdict === "conforms") return `They share the load: ${spread}`;
    return verdict === "undecided"
      ? `This cannot tell whether they share the load: ${spread}`
      : `They do not share the load: ${spread}`;
  },
  View,
});

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readStrands(texts).value;
  if (!input) return null;
  const f = (value: number, decimals = 1) => formatNumber(reader, value, decimals);
  const unit = units[choice(new TextReader(texts), "way", ways)];
  return (
    <div className="grid gap-4">
      <p className="text-xl flex gap-3 items-center">
        Within ± {f(input.limitPercent, 0)} % of the mean: <StateMark state={verdictState[output.verdict]} />
      </p>
      <SharePicture
        strands={output.strands}
        limitPercent={input.limitPercent}
        uncertaintyPercent={input.expandedUncertaintyPercent ?? 0}
        figure={(value) => f(value)}
      />
      <FigureList
        of={[
          ["Each should read", `${f(output.aim, 2)} ${unit}`],
          ...output.strands.flatMap(({ id, tensionN, changeN, takeUpMm }) =>
            tensionN === undefined || changeN === undefined
              ? []
              : [
                  [
                    id,
                    `${f(tensionN, 0)} N, ${changeN < 0 ? "ease" : "tighten"} by ${f(Math.abs(changeN), 0)} N${takeUpMm === undefined ? "" : `, ${f(Math.abs(takeUpMm), 2)} mm of length`}`,
                  ] as const,
                ],
          ),
        ]}
      />
      <p className="text-mid">
        Ropes, belts and chains in sets: ± 10 % of the mean tension (common practice); 4 % in pitch are 8 % in tension.
        One new belt in a worn set is always pulled too hard: renew the set.
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
