import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { ChainDrive } from "~/core/chains";
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

/** Pitch and sprockets, as every chain question needs them. */
export function chainOf(read: TextReader) {
  const pitchMm = read.length("pitch");
  read.want("pitch", pitchMm > 0, "too-small");
  const teeth = (["z1", "z2"] as const).map((name) => {
    const value = read.number(name, true);
    read.want(name, value >= 3, "teeth-too-few");
    read.want(name, value <= 10_000, "too-large");
    return value;
  });
  return { pitchMm, teeth: teeth as [number, number] };
}

function Fields() {
  const texts = useFormTexts();
  return (
    <>
      <ChoiceField
        name="by"
        legend="Given is"
        usual="links"
        options={[
          { value: "links", label: "the chain" },
          { value: "centres", label: "the centre distance" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="pitch" label="Chain pitch" hint="mm, or 1/2 in" />
        <TextField name="z1" label="Teeth of the driver" inputMode="numeric" />
        <TextField name="z2" label="Teeth of the driven" inputMode="numeric" />
        {texts.by === "centres" ? (
          <TextField name="centres" label="Centre distance" hint="mm" />
        ) : (
          <TextField name="links" label="Links" inputMode="numeric" />
        )}
      </div>
    </>
  );
}

const elementOf = (texts: Texts, output: ChainDrive) => {
  const chain = chainOf(new TextReader(texts));
  return {
    kind: "chain" as const,
    ...chain,
    links: Math.round(output.links),
    centreDistanceMm: output.centreDistanceMm ?? 1,
    idlers: [],
    moved: "centres" as const,
    inclinationDeg: 0,
  };
};

export const tool = benchTool("chain-drive", async () => (await import("~/calc/tools/chain-drive")).chainDriveTool, {
  example: { pitch: "12.7", z1: "17", z2: "23", links: "112" },
  Fields,
  read: (texts) => {
    const read = new TextReader(texts);
    const shared = chainOf(read);
    const size =
      texts.by === "centres" ? { centreDistanceMm: read.length("centres") } : { links: read.number("links", true) };
    read.want(texts.by === "centres" ? "centres" : "links", Object.values(size)[0] > 0, "too-small");
    const done = read.done({ ...shared, ...size });
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, output) =>
    !output.feasible
      ? `Too few links: ${output.linksEven} is the shortest even chain that goes`
      : output.links === output.linksEven
        ? `${output.linksEven} links at centres of ${f(reader, output.centreDistanceMm ?? 0, 3)} mm`
        : `${f(reader, output.links)} links; take ${output.linksEven} at centres of ${f(reader, output.centreForEvenMm, 3)} mm`,
  View: ({ output, texts }) => {
    const reader = useWords();
    return (
      <div className="grid gap-4">
        {output.feasible && (
          <div className="bg-panel p-3 grid place-items-center">
            <StageDrawing element={elementOf(texts, output)} label="The chain on its sprockets, to scale" />
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
            [
              "Unevenness",
              `${f(reader, output.chordalSpeedVariationPercent[0])} and ${f(reader, output.chordalSpeedVariationPercent[1])} % of speed`,
            ],
            [
              "An even chain",
              `${output.linksEven} links at ${f(reader, output.centreForEvenMm, 3)} mm; slacken by 0.2 to 0.4 % of that where it cannot be adjusted (common practice)`,
            ],
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
