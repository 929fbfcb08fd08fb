import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { MadeBore } from "~/core/making";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0, over0Or } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { severalLengths } from "../../form/several-lengths";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { lengthWords } from "../../words/spoken";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { LimitsFields, readWindow } from "../limits-fields";

function readBore(texts: Texts) {
  const read = new TextReader(texts);
  const shaftMm = severalLengths(read, "shaft").map(({ mm }) => mm);
  read.want("shaft", shaftMm.length > 0, "missing");
  read.want(
    "shaft",
    shaftMm.every((mm) => mm > 0),
    "too-small",
  );
  const { lo, hi } = readWindow(read);
  const stepMm = over0Or(read, "step", null);
  const resolutionMm = over0Or(read, "resolution", 0.01);
  const common = { shaftMm, resolutionMm, wanted: { loMm: lo, hiMm: hi }, ...(stepMm === null ? {} : { stepMm }) };
  const how =
    choice(read, "by", ["made", "known"]) === "known" ? { allowance: readKnown(read) } : { made: readMade(read) };
  return read.done({ ...common, ...how });
}

function readKnown(read: TextReader) {
  const sdMm = read.length("sd");
  read.want("sd", !(sdMm < 0), "too-small");
  return { meanMm: read.length("smaller"), sdMm };
}

function readMade(read: TextReader) {
  const rows = read.rows("made", ["drawn", "made"]);
  read.want("made", rows.length >= 2, "too-few");
  return rows.map((row) => ({ drawnMm: over0(read, `${row}.drawn`), madeMm: over0(read, `${row}.made`) }));
}

function Fields() {
  const known = useFormTexts().by === "known";
  return (
    <>
      <TextField name="shaft" label="Shaft, as read" hint="mm; more than once, with a space between" />
      <ChoiceField
        name="by"
        legend="How much smaller a hole comes out"
        usual="made"
        options={[
          { value: "made", label: "from holes that were made" },
          { value: "known", label: "is known" },
        ]}
      />
      {known ? (
        <div className="grid grid-cols-2 gap-4">
          <TextField name="smaller" label="Smaller by" hint="mm, on average" />
          <TextField name="sd" label="Spread" hint="mm, one standard deviation" />
        </div>
      ) : (
        <RowsField
          name="made"
          legend="Holes that were made, mm"
          one="Hole"
          columns={[
            { name: "drawn", label: "Drawn" },
            { name: "made", label: "Came out" },
          ]}
        />
      )}
      <div className="grid grid-cols-2 gap-4">
        <LimitsFields of="mm of clearance; below 0: grip" />
        <TextField name="step" label="Step of the sizes" hint="mm that can be drawn or drilled" />
        <TextField name="resolution" label="One step of the caliper" hint="mm, usually 0.01" />
      </div>
    </>
  );
}

const stateWords = {
  free: "it will turn free",
  grips: "it will grip",
  undecided: "it may be free or tight: try a sample first",
} as const;

export const tool = benchTool("made-bore", async () => (await import("~/calc/tools/made-bore")).madeBoreTool, {
  example: {
    shaft: "7.98 7.99 7.98",
    by: "made",
    ...rowTexts("made", [
      { drawn: "8", made: "7.82" },
      { drawn: "8", made: "7.79" },
      { drawn: "8.2", made: "8.01" },
      { drawn: "8.3", made: "8.1" },
    ]),
    lo: "0.02",
    hi: "0.15",
    step: "0.05",
  },
  Fields,
  read: (texts) => inputFrom(readBore(texts)),
  say: (reader: Reader, { drawMm, state }) => `Draw ${lengthWords(reader, drawMm, 2)}: ${stateWords[state]}`,
  View,
});

function View({ output, texts }: { output: MadeBore; texts: Texts }) {
  const reader = useWords();
  const { value } = readBore(texts);
  if (!value) return null;
  const [min, max] = output.clearanceIntervalMm;
  const { loMm, hiMm } = value.wanted;
  return (
    <div className="grid gap-4">
      <div className="bg-panel p-3 max-w-lg">
        <BandGauge
          lo={loMm}
          hi={hiMm}
          aim={null}
          now={{ min, max }}
          then={null}
          state={output.feasible ? "inside" : "near"}
          unit="mm"
          label="The clearance to be expected, against what is wanted"
        />
      </div>
      <p className="text-lg">
        {output.feasible
          ? "The whole interval is as wanted: this process can be trusted with it."
          : "The interval goes beyond what is wanted: make a test piece, or ream the hole to size."}
      </p>
      <FigureList
        of={[
          ["Shaft", lengthWords(reader, output.shaftMm, 3)],
          ["A hole comes out smaller by", lengthWords(reader, output.allowanceMm, 3)],
          ["Clearance expected", lengthWords(reader, output.expectedClearanceMm, 3)],
          ["between", `${lengthWords(reader, min, 3)} and ${lengthWords(reader, max, 3)}`],
        ]}
      />
      <p className="text-mid">
        The next hole of few may differ by t · s · √(1 + 1/n) (prediction interval, 95 %). Printed holes are smallest in
        the first layer (common practice).
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
