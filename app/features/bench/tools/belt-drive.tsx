import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { BeltDrive } from "~/core/belts";
import type { StageElement } from "~/core/stages";
import { StageDrawing } from "../../drawing/stage-drawing";
import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { useFormTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

const f = (reader: Reader, value: number, digits = 2) => formatNumber(reader, value, digits);

/** What is drawn: a belt on the pulleys at the centre distance that came out. */
function drawn(texts: Texts, output: BeltDrive): StageElement | null {
  if (!output.feasible || output.centreDistanceMm === undefined) return null;
  const shared = {
    centreDistanceMm: output.centreDistanceMm,
    idlers: [],
    moved: "centres" as const,
    massKgPerM: 1,
    stiffnessN: null,
    bendingStiffnessNMm2: 0,
  };
  if (texts.form === "diameters")
    return { kind: "v-belt", pitchDiameterMm: output.pitchDiameterMm, lengthMm: output.lengthMm, belts: 1, ...shared };
  const read = new TextReader(texts);
  const teeth: [number, number] = [read.number("z1", true), read.number("z2", true)];
  return {
    kind: "toothed-belt",
    pitchMm: read.length("pitch"),
    teeth,
    beltTeeth: Math.round(output.beltTeeth ?? 1),
    ...shared,
  };
}

function Fields() {
  const texts = useFormTexts();
  const plain = texts.form === "diameters";
  const byCentres = texts.by === "centres";
  return (
    <>
      <ChoiceField
        name="form"
        legend="Belt"
        usual="teeth"
        options={[
          { value: "teeth", label: "toothed" },
          { value: "diameters", label: "by pitch diameters" },
        ]}
      />
      <ChoiceField
        name="by"
        legend="Given is"
        usual="belt"
        options={[
          { value: "belt", label: "the belt" },
          { value: "centres", label: "the centre distance" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        {plain ? (
          <>
            <TextField name="d1" label="Pitch diameter, small" hint="mm" />
            <TextField name="d2" label="Pitch diameter, large" hint="mm" />
            {!byCentres && <TextField name="length" label="Pitch length" hint="mm" />}
          </>
        ) : (
          <>
            <TextField name="pitch" label="Belt pitch" hint="mm" />
            <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
            <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
            {!byCentres && <TextField name="belt" label="Teeth of the belt" inputMode="numeric" />}
          </>
        )}
        {byCentres && <TextField name="centres" label="Centre distance" hint="mm" />}
      </div>
    </>
  );
}

export const tool = benchTool("belt-drive", async () => (await import("~/calc/tools/belt-drive")).beltDriveTool, {
  example: { pitch: "8", z1: "24", z2: "48", belt: "112" },
  Fields,
  read: (texts) => {
    const read = new TextReader(texts);
    const over0 = (name: string) => {
      const value = read.length(name);
      read.want(name, value > 0, "too-small");
      return value;
    };
    const teeth = (name: string) => {
      const value = read.number(name, true);
      read.want(name, value >= 3, "teeth-too-few");
      read.want(name, value <= 10_000, "too-large");
      return value;
    };
    const centres = texts.by === "centres" ? { centreDistanceMm: over0("centres") } : null;
    const both = (first: number, second: number) => [first, second] as const;
    const input =
      texts.form === "diameters"
        ? { pitchDiameterMm: both(over0("d1"), over0("d2")), ...(centres ?? { lengthMm: over0("length") }) }
        : {
            pitchMm: over0("pitch"),
            teeth: both(teeth("z1"), teeth("z2")),
            ...(centres ?? { beltTeeth: teeth("belt") }),
          };
    const done = read.done(input);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, output) =>
    output.feasible
      ? `Centres ${f(reader, output.centreDistanceMm ?? 0, 3)} mm, belt ${f(reader, output.lengthMm)} mm${output.beltTeeth === undefined ? "" : `, ${f(reader, output.beltTeeth, 2)} teeth`}`
      : `Too short: ${output.nearestBelts?.[0] ? `the shortest that goes has ${output.nearestBelts[0].beltTeeth} teeth` : "it does not reach round the pulleys"}`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const element = drawn(texts, output);
    return (
      <div className="grid gap-4">
        {element && (
          <div className="bg-panel p-3 grid place-items-center">
            <StageDrawing element={element} label="The belt on its pulleys, to scale" />
          </div>
        )}
        <FigureList
          of={[
            ["Ratio", f(reader, output.ratio, 3)],
            [
              "Pitch diameters",
              `${f(reader, output.pitchDiameterMm[0])} and ${f(reader, output.pitchDiameterMm[1])} mm`,
            ],
            ...(output.spanMm === undefined ? [] : [["Span", `${f(reader, output.spanMm)} mm`] as const]),
            ...(output.wrapDeg
              ? [["Wrap", `${f(reader, output.wrapDeg[0], 1)}° and ${f(reader, output.wrapDeg[1], 1)}°`] as const]
              : []),
            ...(output.teethInMesh
              ? [
                  [
                    "Teeth in mesh",
                    `${f(reader, output.teethInMesh[0], 1)} and ${f(reader, output.teethInMesh[1], 1)}; whole ones count`,
                  ] as const,
                ]
              : []),
            ...(output.nearestBelts?.length
              ? [
                  [
                    "Whole belts",
                    output.nearestBelts
                      .map((b) => `${b.beltTeeth} teeth at ${f(reader, b.centreDistanceMm, 3)} mm`)
                      .join(", "),
                  ] as const,
                ]
              : []),
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
