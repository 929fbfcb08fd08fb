import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { PathDrawing } from "../path-drawing";
import { PulleysField, readPulleys } from "../pulleys";

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const pulleys = readPulleys(read);
  const which = read.number("which", true);
  read.want("which", which >= 1 && which <= Math.max(1, pulleys.length), "no-such-idler");
  const throwMm = read.length("throw");
  read.want("throw", throwMm > 0, "too-small");
  const targetLengthMm = read.length("length");
  read.want("length", targetLengthMm > 0, "too-small");
  const idler = pulleys[which - 1];
  return read.done({
    pulleys,
    eccentric: { index: which - 1, pivotX: idler?.x ?? 0, pivotY: idler?.y ?? 0, throwMm },
    targetLengthMm,
    fromDeg: read.angleOr("from", 0),
  });
}

export const tool = benchTool("idler-set", async () => (await import("~/calc/tools/idler-set")).idlerSetTool, {
  example: {
    ...rowTexts("pulleys", [
      { x: "0", y: "0", d: "76", side: "inside" },
      { x: "217", y: "-20", d: "50", side: "outside" },
      { x: "435", y: "0", d: "76", side: "inside" },
    ]),
    which: "2",
    throw: "4",
    length: "1117",
  },
  Fields: () => (
    <>
      <PulleysField hint="The eccentric one with the place of its pivot." />
      <div className="grid grid-cols-2 sm:grid-cols-4 gap-4">
        <TextField name="which" label="Eccentric is no." inputMode="numeric" />
        <TextField name="throw" label="Throw" hint="mm" />
        <TextField name="length" label="Belt length" hint="mm" />
        <TextField name="from" label="It stands at" hint="degrees from +x, counter-clockwise" />
      </div>
    </>
  ),
  read: (texts) => {
    const done = inputOf(texts);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { feasible, angleDeg }) =>
    angleDeg === null
      ? "The belt has no path, however it is turned"
      : feasible
        ? `Turn it to ${formatNumber(reader, angleDeg, 1)}°`
        : `It does not reach that length; nearest at ${formatNumber(reader, angleDeg, 1)}°`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const input = inputOf(texts).value;
    if (!input) return null;
    const { eccentric } = input;
    const at = ((output.angleDeg ?? 0) * Math.PI) / 180;
    const turned = input.pulleys.map((pulley, i) =>
      i === eccentric.index
        ? {
            ...pulley,
            x: eccentric.pivotX + eccentric.throwMm * Math.cos(at),
            y: eccentric.pivotY + eccentric.throwMm * Math.sin(at),
          }
        : pulley,
    );
    const slope = output.lengthPerDegMm ?? 0;
    return (
      <div className="grid gap-4">
        <PathDrawing pulleys={turned} label="The path with the eccentric turned so" />
        <FigureList
          of={[
            ["A degree there", `${formatNumber(reader, slope, 4)} mm of length`],
            ...(output.range
              ? [
                  [
                    "It reaches",
                    `${formatNumber(reader, output.range.minLengthMm, 2)} to ${formatNumber(reader, output.range.maxLengthMm, 2)} mm`,
                  ] as const,
                ]
              : []),
          ]}
        />
        {Math.abs(slope) < 0.26 * eccentric.throwMm * 0.0175 * 2 && (
          <p className="border-l-4 border-near pl-3">
            Near a dead point: a degree hardly moves it, and the spring side can run over. Stay 15° off (common
            practice).
          </p>
        )}
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
