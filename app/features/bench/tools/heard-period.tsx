import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { HeardPeriod } from "~/core/proving";
import { choice, notNegativeOr, positiveNumber } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { HeardMatches } from "../../proving/heard-matches";
import { TapField } from "../../proving/tap-field";
import { heardWords } from "../../words/heard";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

function readHeard(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("sources", ["name", "rate"]);
  read.want("sources", rows.length > 0, "too-few");
  const names = rows.map((row, i) => read.text(`${row}.name`) || `Source ${i + 1}`);
  read.want("sources", new Set(names).size === names.length, "part-twice");
  const sources = rows.map((row, i) => ({
    id: names[i] as string,
    perMinute: positiveNumber(read, `${row}.rate`),
    fixed: choice(read, `${row}.keeps`, ["drive", "fixed"]) === "fixed",
  }));
  const perMinute = positiveNumber(read, "heard");
  const percent = notNegativeOr(read, "off", 5);
  read.want("off", !(percent >= 50), "too-large");
  return read.done({ sources, heard: { perMinute, toleranceShare: percent / 100 }, maxTimes: 4 });
}

export const tool = benchTool("heard-period", async () => (await import("~/calc/tools/heard-period")).heardPeriodTool, {
  example: {
    heard: "351",
    ...rowTexts("sources", [
      { name: "Motor", rate: "1400", keeps: "drive" },
      { name: "Wheel", rate: "350", keeps: "drive" },
      { name: "Belt joint", rate: "176", keeps: "drive" },
      { name: "Mains hum", rate: "6000", keeps: "fixed" },
    ]),
  },
  Fields: () => (
    <>
      <div className="grid grid-cols-2 gap-4">
        <TextField name="heard" label="Heard a minute" />
        <TextField name="off" label="That may be off by" hint="%, usually 5" />
      </div>
      <TapField name="heard" off="off" />
      <RowsField
        name="sources"
        legend="What comes round"
        one="Source"
        columns={[
          { name: "name", label: "What", wide: true },
          { name: "rate", label: "Times a minute" },
          {
            name: "keeps",
            label: "Goes with",
            wide: true,
            options: [
              { value: "drive", label: "the drive" },
              { value: "fixed", label: "its own rate" },
            ],
          },
        ]}
      />
    </>
  ),
  read: (texts) => inputFrom(readHeard(texts)),
  say: (_, output) => heardWords(output, (id) => id),
  View,
});

function View({ output }: { output: HeardPeriod; texts: Texts }) {
  const reader = useWords();
  return (
    <div className="grid gap-3">
      <p className="text-lg">
        {formatNumber(reader, output.heardPerMinute, 1)} a minute: one every{" "}
        {formatNumber(reader, 60 / output.heardPerMinute, 2)} s.
      </p>
      <HeardMatches output={output} nameOf={(id) => id} />
      <p className="text-mid">
        What comes once a turn is suspected before what comes several times (common practice). A change of speed tells
        the drive from what keeps its own rate; equal rates are told by holding or uncoupling.
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
