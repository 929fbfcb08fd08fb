import { formatNumber } from "~/app/features/words/figure";
import { stepsFile } from "~/core/trains";
import { Button } from "~/ui/button";
import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { MotorFields, motorOf } from "../motor-fields";

function Fields() {
  const texts = useFormTexts();
  const by = texts.by || "drive";
  return (
    <>
      <ChoiceField
        name="by"
        legend="From"
        usual="drive"
        options={[
          { value: "drive", label: "the drive" },
          { value: "test", label: "a measured test run" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        {by === "test" ? (
          <>
            <TextField name="old" label="Steps a mm, as set" />
            <TextField name="commanded" label="Commanded" hint="mm, over the longest travel" />
            <TextField name="measured" label="Measured" hint="mm" />
          </>
        ) : (
          <>
            <MotorFields />
            <TextField name="drum" label="Drum diameter" hint="mm, or" />
            <TextField name="travel" label="Travel a turn" hint="mm: screw lead, pitch × teeth" />
          </>
        )}
        <TextField name="axis" label="Axis" hint="a letter, usually X" />
      </div>
    </>
  );
}

const axisOf = (texts: Texts): string => (texts.axis ?? "").trim().toUpperCase() || "X";

export const tool = benchTool(
  "steps-per-unit",
  async () => (await import("~/calc/tools/steps-per-unit")).stepsPerUnitTool,
  {
    example: { steps: "200", micro: "16", ratio: "1", travel: "40" },
    Fields,
    read: (texts) => {
      const read = new TextReader(texts);
      const axis = axisOf(texts);
      read.want("axis", /^[A-Z]$/.test(axis), "not-an-axis");
      const over0 = (name: string, value: number) => {
        read.want(name, value > 0, "too-small");
        return value;
      };
      if (texts.by === "test") {
        const done = read.done({
          oldStepsPerMm: over0("old", read.number("old")),
          commandedMm: over0("commanded", read.length("commanded")),
          measuredMm: over0("measured", read.length("measured")),
          axis,
        });
        return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
      }
      const motor = motorOf(read);
      const drum = read.has("drum");
      const both = drum && read.has("travel");
      read.want("travel", !both, "one-of-two");
      const travel = drum
        ? { drumDiameterMm: over0("drum", read.length("drum")) }
        : { travelPerTurnMm: over0("travel", read.length("travel")) };
      const done = read.done({ ...motor, ...travel, axis });
      return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
    },
    say: (reader, { stepsPerMm }) => `${formatNumber(reader, stepsPerMm, 4)} steps a millimetre`,
    View: ({ output, texts }) => (
      <div className="grid gap-4">
        <p className="figure text-xl bg-panel p-3">{output.gcode}</p>
        <div>
          <Button onClick={() => save(stepsFile(axisOf(texts), output.stepsPerMm), `steps-${axisOf(texts)}.gcode`)}>
            Save the G-code file
          </Button>
        </div>
        <p className="text-mid">
          The file sets the value and stores it (M92, M500). Then run the longest travel in one direction, measure it,
          and correct the value by that test run here.
        </p>
      </div>
    ),
  },
);

function save(text: string, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type: "text/plain" }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
