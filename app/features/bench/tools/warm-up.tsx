import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { WarmUp } from "~/core/statistics";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { WarmUpPicture } from "../../proving/warm-up-picture";
import { warmUpWords } from "../../words/warm-up";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const temperature = { dimension: "temperature", bare: "C", factor: 1 } as const;

function readPoints(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("points", ["minutes", "temp"]);
  read.want("points", rows.length >= 4, "too-few-readings");
  const points = rows.map((row) => ({
    minutes: read.number(`${row}.minutes`),
    tempC: read.measured(`${row}.temp`, temperature),
  }));
  read.want("points", new Set(points.map(({ minutes }) => minutes)).size > 1, "no-two-times");
  return read.done({ points, ...(read.has("limit") ? { limitC: read.measured("limit", temperature) } : {}) });
}

export const tool = benchTool("warm-up", async () => (await import("~/calc/tools/warm-up")).warmUpTool, {
  example: {
    ...rowTexts("points", [
      { minutes: "0", temp: "22" },
      { minutes: "5", temp: "33" },
      { minutes: "10", temp: "41" },
      { minutes: "15", temp: "47" },
      { minutes: "25", temp: "55" },
    ]),
    limit: "60",
  },
  Fields: () => (
    <>
      <RowsField
        name="points"
        legend="Read while it warms up"
        one="Reading"
        columns={[
          { name: "minutes", label: "After, min" },
          { name: "temp", label: "Temperature, °C" },
        ]}
      />
      <TextField name="limit" label="It may get" hint="°C; empty: not known" />
    </>
  ),
  read: (texts) => inputFrom(readPoints(texts)),
  say: (reader, output, texts) => warmUpWords(reader, output, readPoints(texts).value?.limitC ?? null),
  View,
});

function View({ output, texts }: { output: WarmUp; texts: Texts }) {
  const reader = useWords();
  const { value } = readPoints(texts);
  if (!value) return null;
  const minutes = value.points.map((point) => point.minutes);
  const span = Math.max(...minutes) - Math.min(...minutes);
  return (
    <div className="grid gap-3">
      <WarmUpPicture points={value.points} fitted={output} limitC={value.limitC ?? null} />
      <p className="text-lg">
        Time constant {formatNumber(reader, output.timeConstantMinutes, 1)} min; settled after{" "}
        {formatNumber(reader, 4.6 * output.timeConstantMinutes, 0)} min.
      </p>
      {span < 1.5 * output.timeConstantMinutes && (
        <p className="text-lg">
          It was read over less than one and a half time constants: where it ends is a guess yet. Go on reading.
        </p>
      )}
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
