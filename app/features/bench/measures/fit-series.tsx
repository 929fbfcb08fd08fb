import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { PairFit, PairSays } from "~/core/limits";
import { type FitSeries, type FitTry, type FitWord, fitWords } from "~/core/making";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0 } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { lengthWords } from "../../words/spoken";
import { benchTool, inputFrom } from "../bench-tool";

const feltWords: Record<FitWord, string> = {
  falls: "falls through",
  slides: "slides",
  presses: "presses in",
  refuses: "does not go in",
};

function readSeries(texts: Texts) {
  const read = new TextReader(texts);
  const rows = read.rows("tries", ["size"]);
  read.want("tries", rows.length > 0, "missing");
  const tries = rows.map(
    (row): FitTry => ({
      sizeMm: over0(read, `${row}.size`),
      felt: choice(read, `${row}.felt`, fitWords),
    }),
  );
  return read.done({
    of: choice(read, "of", ["hole", "shaft"]),
    tries,
    wanted: choice(read, "wanted", ["slides", "presses", "falls"]),
    stepMm: over0(read, "step"),
    ...pairOf(read),
  });
}

/** The pair itself, where both of it were measured. */
function pairOf(read: TextReader) {
  if (!read.has("hole") && !read.has("shaft")) return {};
  const expandedUncertaintyMm = read.lengthOrNull("u") ?? 0;
  read.want("u", !(expandedUncertaintyMm < 0), "too-small");
  return { pair: { holeMm: over0(read, "hole"), shaftMm: over0(read, "shaft"), expandedUncertaintyMm } };
}

const pairWords: Record<PairSays, string> = {
  loose: "loose: more than slides",
  slides: "it slides",
  "light-press": "a light press",
  "too-far": "far beyond a light press: it splits a hub, or closes a bearing",
};

export const tool = benchTool("fit-series", async () => (await import("~/calc/tools/fit-series")).fitSeriesTool, {
  example: {
    of: "hole",
    wanted: "presses",
    step: "0.05",
    ...rowTexts("tries", [
      { size: "8", felt: "refuses" },
      { size: "8.2", felt: "slides" },
    ]),
  },
  Fields: () => (
    <>
      <ChoiceField
        name="of"
        legend="Tried are sizes of the"
        usual="hole"
        options={[
          { value: "hole", label: "hole" },
          { value: "shaft", label: "shaft" },
        ]}
      />
      <ChoiceField
        name="wanted"
        legend="Wanted"
        usual="slides"
        options={[
          { value: "slides", label: "it slides" },
          { value: "presses", label: "it presses in" },
          { value: "falls", label: "it falls through" },
        ]}
      />
      <RowsField
        name="tries"
        legend="Tries"
        one="Try"
        columns={[
          { name: "size", label: "Size, mm" },
          { name: "felt", label: "It", options: fitWords.map((value) => ({ value, label: feltWords[value] })) },
        ]}
      />
      <TextField name="step" label="Smallest step that can be made" hint="mm" className="max-w-60" />
      <div className="grid grid-cols-3 gap-4">
        <TextField name="hole" label="The hole measures" hint="mm; empty: not read" />
        <TextField name="shaft" label="The shaft measures" hint="mm" />
        <TextField name="u" label="± of each" hint="mm, k = 2; empty: 0" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readSeries(texts)),
  say: (reader, output) => seriesWords(reader, output),
  View,
});

function seriesWords(reader: Reader, { contradictions, done, chooseMm, nextMm }: FitSeries): string {
  const size = (mm: number) => lengthWords(reader, mm, 2);
  const [first] = contradictions;
  if (first) return `Tries ${first[0] + 1} and ${first[1] + 1} cannot both be right: try ${size(nextMm ?? 0)} again`;
  if (done) return `Take ${size(chooseMm ?? 0)}`;
  return nextMm === null ? "No size that can be made feels as wanted: make a finer step" : `Make ${size(nextMm)} next`;
}

/** The tries on a scale of sizes, each with how it felt; dashed what to make next. */
function View({ output, texts }: { output: FitSeries & { pair?: PairFit | undefined }; texts: Texts }) {
  const reader = useWords();
  const { value } = readSeries(texts);
  if (!value) return null;
  const { tries } = value;
  const next = output.nextMm ?? output.chooseMm;
  const sizes = [...tries.map(({ sizeMm }) => sizeMm), ...(next === null ? [] : [next])];
  const [least, most] = [Math.min(...sizes), Math.max(...sizes)];
  const x = (mm: number) => 40 + (360 * (mm - least)) / (most - least || 1);
  const y = (felt: FitWord) => 40 + 38 * fitWords.indexOf(felt);
  return (
    <div className="grid gap-4">
      <svg viewBox="0 0 440 206" className="w-full bg-panel" role="img" aria-label="Tries by size, from loose to tight">
        {fitWords.map((felt) => (
          <g key={felt}>
            <line
              x1="10"
              x2="430"
              y1={y(felt)}
              y2={y(felt)}
              className={felt === value.wanted ? "stroke-band-line" : "stroke-rule"}
              strokeWidth={felt === value.wanted ? 12 : 1}
              strokeOpacity={felt === value.wanted ? 0.35 : 1}
            />
            <text x="12" y={y(felt) - 8} fontSize="15" className="fill-mid">
              {feltWords[felt]}
            </text>
          </g>
        ))}
        {tries.map(({ sizeMm, felt }, i) => (
          <circle key={i} cx={x(sizeMm)} cy={y(felt)} r="7" className="fill-ink" />
        ))}
        {next !== null && (
          <line
            x1={x(next)}
            x2={x(next)}
            y1="14"
            y2="176"
            className="stroke-now"
            strokeWidth="3"
            strokeDasharray="8 5"
          />
        )}
        <text x={x(next ?? least)} y="198" textAnchor="middle" fontSize="16" className="fill-ink figure">
          {lengthWords(reader, next ?? least, 2)}
        </text>
      </svg>
      {output.lowMm !== null && output.highMm !== null && output.contradictions.length === 0 && (
        <p className="text-lg">
          What is wanted lies between {lengthWords(reader, output.lowMm, 2)} and {lengthWords(reader, output.highMm, 2)}
          .
        </p>
      )}
      {output.pair && (
        <p className="text-lg">
          As measured:{" "}
          <b>
            {output.pair.verdict === "undecided" ? "not to be told with this instrument" : pairWords[output.pair.says]}
          </b>
          ,{" "}
          {output.pair.clearanceMm >= 0
            ? `${lengthWords(reader, output.pair.clearanceMm, 3)} clearance`
            : `${lengthWords(reader, -output.pair.clearanceMm, 3)} interference`}{" "}
          ± {lengthWords(reader, output.pair.expandedUncertaintyMm, 3)}. It slides up to{" "}
          {lengthWords(reader, output.pair.slidesMm[1], 3)} of clearance, and is a light press up to{" "}
          {lengthWords(reader, output.pair.lightPressMm, 3)} of interference (ISO 286-2: g6 and p6 in H7).
        </p>
      )}
      <p className="text-mid">
        File or ream in small tries, blow the dust out, and stop before slop: what was taken off does not come back. A
        larger hole or a smaller shaft is never tighter (common practice).
      </p>
    </div>
  );
}
