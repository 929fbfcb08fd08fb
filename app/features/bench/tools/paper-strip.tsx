import { useWords } from "~/app/features/words/use-words";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0, pressureAngle, slant } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { StripInMesh } from "../../print/strip-in-mesh";
import { lengthWords } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { LimitsFields, readLimits } from "../limits-fields";

function readStrip(texts: Texts) {
  const read = new TextReader(texts);
  const limits = readLimits(read);
  const toleranceMm = read.lengthOrNull("off");
  read.want("off", toleranceMm === null || !(toleranceMm < 0), "too-small");
  const pressed = read.numberOr("pressed", 100) / 100;
  read.want("pressed", pressed > 0 && pressed <= 1, "too-large");
  return read.done({
    thicknessMm: over0(read, "t"),
    flanks: choice(read, "flanks", ["2", "1"]) === "2" ? (2 as const) : (1 as const),
    pressed,
    ...(toleranceMm === null ? {} : { toleranceMm }),
    pressureAngleDeg: pressureAngle(read),
    helixAngleDeg: slant(read, "helix", "hand"),
    ...(limits ? { limits } : {}),
    ...(read.has("aim") ? { aimMm: over0(read, "aim") } : {}),
  });
}

export const tool = benchTool("paper-strip", async () => (await import("~/calc/tools/paper-strip")).paperStripTool, {
  example: { t: "0.1", flanks: "2", pressed: "90", lo: "0.1", hi: "0.25", aim: "0.15" },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="t" label="Thickness of the sheet" hint="mm; fold and measure a pack of ten" />
      <TextField name="off" label="It may be off by" hint="± mm; usually a tenth of it" />
      <div className="col-span-full">
        <ChoiceField
          name="flanks"
          legend="The strip is"
          usual="2"
          options={[
            { value: "2", label: "rolled right through" },
            { value: "1", label: "beside one flank" },
          ]}
        />
      </div>
      <TextField name="pressed" label="Left under pressure" hint="% of its thickness; usually 100" />
      <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
      <TextField name="helix" label="Helix angle" hint="degrees, usually 0" />
      <TextField name="aim" label="Backlash wanted" hint="mm, at the pitch circle" />
      <LimitsFields of="mm of backlash" />
    </div>
  ),
  read: (texts) => inputFrom(readStrip(texts)),
  say: (reader, { circumferentialMm, expandedUncertaintyMm, thicknessForAimMm }) =>
    `It stands for ${lengthWords(reader, circumferentialMm, 3)} ± ${lengthWords(reader, expandedUncertaintyMm, 3)} of backlash${
      thicknessForAimMm === undefined ? "" : `; for what is wanted take ${lengthWords(reader, thicknessForAimMm, 3)}`
    }`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const { value } = readStrip(texts);
    if (!value) return null;
    const { circumferentialMm: at, expandedUncertaintyMm: u } = output;
    const span = { min: at - u, max: at + u };
    return (
      <div className="grid gap-4">
        <StripInMesh flanks={value.flanks} />
        {output.verdict && value.limits && (
          <>
            <p className="text-xl">
              <StateMark state={verdictState[output.verdict]} />
            </p>
            <div className="bg-panel p-3 max-w-lg">
              <BandGauge
                lo={value.limits.lo ?? Math.min(span.min, value.limits.hi ?? 0) - u}
                hi={value.limits.hi ?? Math.max(span.max, value.limits.lo ?? 0) + u}
                aim={value.aimMm ?? null}
                now={span}
                then={null}
                state={verdictState[output.verdict]}
                unit="mm"
                label="What the strip stands for, with its uncertainty, against the limits"
              />
            </div>
          </>
        )}
        <FigureList
          of={[
            ["Along the flank normal", lengthWords(reader, output.normalMm, 4)],
            ["At the pitch circle", lengthWords(reader, at, 4)],
            ["As centre distance", lengthWords(reader, output.radialMm, 4)],
          ]}
        />
        <p className="text-mid">
          j = flanks · thickness/(cos α · cos β_b) (ISO 21771). It holds only where tips clear roots by more than the
          strip. Office paper is about 0.10 mm, thin 0.06, tissue 0.03 (from memory); soft sheets give 5 to 15 % under
          pressure (common practice). Office paper on both flanks is too much below module 2.5: there the paper is a
          feel, not a gauge.
        </p>
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
