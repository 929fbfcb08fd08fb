import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { planetaryDrawn } from "~/core/stages/kinds/planetary/drawn";
import { ShapesDrawing } from "../../drawing/shapes-drawing";
import { readKind } from "../../kinds/kind-form";
import { planetary as form } from "../../kinds/planetary/form";
import { helicalFigures } from "../../kinds/planetary/helical-figures";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

export const tool = benchTool("planetary", async () => (await import("~/calc/tools/planetary")).planetaryTool, {
  example: { sun: "18", planetA: "27", ring1: "72", planets: "3", pitch: "1.5" },
  Fields: form.Fields,
  read: (texts) => {
    const read = readKind(form, texts);
    return read.value ? { input: read.value.set, problems: null } : { input: null, problems: read.problems };
  },
  say: (reader, { ratio, assembles, planetsClear }) =>
    !assembles
      ? "It cannot be put together"
      : !planetsClear
        ? "The planets would touch"
        : ratio === null
          ? "It goes together, and has no ratio"
          : `It goes together: ${formatNumber(reader, Math.abs(ratio), 3)} to 1${ratio < 0 ? ", reversed" : ""}`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const element = readKind(form, texts).value;
    const drawn = element && planetaryDrawn.shapes(element);
    return (
      <div className="grid gap-4">
        {drawn && (
          <div className="bg-panel p-3 grid place-items-center">
            <ShapesDrawing drawn={drawn} fit={{ widthPx: 440, heightPx: 440 }} label="The set, to scale" />
          </div>
        )}
        <ul>
          {output.reasons.map((reason) => (
            <li key={reason} className="border-l-4 border-near pl-3">
              {reason}
            </li>
          ))}
        </ul>
        <FigureList
          of={[
            ["One axis", output.coaxial ? "yes, with standard gears" : "only with profile shift"],
            ...(output.neighbourGapMm === undefined
              ? []
              : [["Between planets", `${formatNumber(reader, output.neighbourGapMm, 2)} mm`] as const]),
            [
              "Clocking",
              output.clockingSteps === null
                ? "none that works"
                : output.clockingSteps === 0
                  ? "all planets mounted alike"
                  : `each planet ${formatNumber(reader, output.clockingSteps, 3)} teeth of A on from the one before, seen from its arm`,
            ],
            ...(element ? helicalFigures(reader, element) : []),
          ]}
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
