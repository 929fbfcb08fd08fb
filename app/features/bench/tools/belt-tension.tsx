import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { ChoiceField } from "../../form/choice-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { useFormTexts } from "../../form/use-form-texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

function Fields() {
  const texts = useFormTexts();
  const by = texts.by || "frequency";
  return (
    <>
      <ChoiceField
        name="by"
        legend="Known is"
        usual="frequency"
        options={[
          { value: "frequency", label: "span frequency" },
          { value: "deflection", label: "force and deflection" },
          { value: "tension", label: "tension" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="span" label="Free span" hint="mm, tangent to tangent" />
        <TextField name="mass" label="Mass a metre" hint="kg/m" />
        {by === "frequency" && <TextField name="hz" label="Frequency" hint="Hz" />}
        {by === "deflection" && (
          <>
            <TextField name="force" label="Force" hint="N, in the middle" />
            <TextField name="mm" label="Deflection" hint="mm" />
          </>
        )}
        {by === "tension" && <TextField name="tension" label="Tension" hint="N, one strand" />}
        <TextField name="bending" label="Bending stiffness" hint="N·mm²; usually 0" />
        <TextField name="harmonic" label="Harmonic" hint="usually 1" inputMode="numeric" />
        <TextField name="ea" label="Stiffness EA" hint="N" />
        <TextField name="length" label="Belt length" hint="mm; with EA" />
        <TextField name="centres" label="Centre distance" hint="mm; with EA" />
      </div>
    </>
  );
}

export const tool = benchTool("belt-tension", async () => (await import("~/calc/tools/belt-tension")).beltTensionTool, {
  example: { span: "300.9", mass: "0.15", hz: "58", ea: "42000", length: "896", centres: "302.5" },
  Fields,
  read: (texts) => {
    const read = new TextReader(texts);
    const over0 = (name: string, value: () => number) => {
      const found = value();
      read.want(name, found > 0, "too-small");
      return found;
    };
    const by = texts.by || "frequency";
    const given =
      by === "frequency"
        ? { frequencyHz: over0("hz", () => read.number("hz")) }
        : by === "deflection"
          ? {
              deflection: {
                forceN: over0("force", () => read.force("force")),
                mm: over0("mm", () => read.length("mm")),
              },
            }
          : { tensionN: over0("tension", () => read.force("tension")) };
    const bending = read.numberOr("bending", 0);
    read.want("bending", bending >= 0, "too-small");
    const harmonic = read.has("harmonic") ? read.number("harmonic", true) : 1;
    read.want("harmonic", harmonic >= 1 && harmonic <= 100, "too-small");
    const input = {
      spanMm: over0("span", () => read.length("span")),
      massKgPerM: over0("mass", () => read.number("mass")),
      ...given,
      harmonic,
      bendingStiffnessNMm2: bending,
      ...(read.has("ea")
        ? {
            elongation: {
              stiffnessN: over0("ea", () => read.force("ea")),
              beltLengthMm: over0("length", () => read.length("length")),
              centreDistanceMm: over0("centres", () => read.length("centres")),
            },
          }
        : {}),
    };
    const done = read.done(input);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { tensionN }) => `${formatNumber(reader, tensionN, 1)} N in one strand`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const { deflectionMm, forceN } = output.forceAtN64;
    return (
      <div className="grid gap-4">
        <svg
          viewBox="0 0 520 150"
          className="w-full bg-panel"
          role="img"
          aria-label="The span, pressed in its middle by a 64th of its length"
        >
          <circle cx="60" cy="70" r="34" className="fill-ground stroke-ink" strokeWidth="1.5" />
          <circle cx="460" cy="70" r="34" className="fill-ground stroke-ink" strokeWidth="1.5" />
          <path d="M60 36L260 60L460 36" className="fill-none stroke-ink" strokeWidth="3" />
          <path d="M60 36H460" className="stroke-mid" strokeDasharray="9 4" strokeWidth="1.2" />
          <path d="M260 8V52M254 42L260 54L266 42" className="fill-none stroke-ink" strokeWidth="2.5" />
          <text x="272" y="24" fontSize="17" className="fill-ink figure">
            {formatNumber(reader, forceN, 1)} N
          </text>
          <text x="260" y="92" textAnchor="middle" fontSize="17" className="fill-mid figure">
            {formatNumber(reader, deflectionMm, 2)} mm, not to scale
          </text>
        </svg>
        <FigureList
          of={[
            [
              "Span frequency",
              `${formatNumber(reader, output.frequencyHz, 1)} Hz${texts.harmonic ? `, harmonic ${texts.harmonic}` : ""}`,
            ],
            [
              "For a 64th of the span",
              `${formatNumber(reader, forceN, 2)} N press it in by ${formatNumber(reader, deflectionMm, 2)} mm`,
            ],
            ...(output.tensionPerCentreMm === undefined
              ? []
              : [
                  [
                    "A tenth of centres",
                    `${formatNumber(reader, output.tensionPerCentreMm / 10, 1)} N (2·EA·span/centres/length)`,
                  ] as const,
                ]),
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
