import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { TextReader } from "../../form/text-reader";
import { rowTexts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { PathDrawing } from "../path-drawing";
import { PulleysField, readPulleys } from "../pulleys";

export const tool = benchTool("belt-path", async () => (await import("~/calc/tools/belt-path")).beltPathTool, {
  example: rowTexts("pulleys", [
    { x: "0", y: "0", d: "61", side: "inside" },
    { x: "300", y: "0", d: "122", side: "inside" },
    { x: "150", y: "55", d: "50", side: "outside" },
  ]),
  Fields: () => <PulleysField hint="y upwards. Outside: the belt's back runs on it." />,
  read: (texts) => {
    const read = new TextReader(texts);
    const done = read.done({ pulleys: readPulleys(read) });
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { feasible, lengthMm }) =>
    feasible
      ? `${formatNumber(reader, lengthMm ?? 0, 2)} mm of belt`
      : "The belt has no path: it does not touch a pulley, or crosses itself",
  View: ({ output, texts }) => {
    const reader = useWords();
    return (
      <div className="grid gap-4">
        <PathDrawing pulleys={readPulleys(new TextReader(texts))} label="The pulleys and the belt's path, to scale" />
        <FigureList
          of={output.spans.map(({ from, to, lengthMm }, i) => [
            `From ${from + 1} to ${to + 1}`,
            `span ${formatNumber(reader, lengthMm, 2)} mm; pulley ${i + 1} is wrapped by ${formatNumber(reader, output.wraps[i]?.deg ?? 0, 1)}°`,
          ])}
        />
      </div>
    );
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
