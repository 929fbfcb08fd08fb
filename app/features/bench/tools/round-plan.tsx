import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { gearBlanks, spurPair, toothOutlines } from "~/core/gears";
import { bothTeeth } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

function readPlan(texts: Texts) {
  const read = new TextReader(texts);
  const teeth = bothTeeth(read);
  const positions = read.number("positions", true);
  const maxTurns = read.has("turns") ? read.number("turns", true) : 1;
  read.want("positions", !(positions < 1), "too-small");
  read.want("turns", !(maxTurns < 1), "too-small");
  read.want("turns", !(maxTurns > 1000), "too-large");
  read.want("positions", !(positions > maxTurns * teeth[1]), "too-many-positions");
  return read.done({ teeth, positions, maxTurns });
}

export const tool = benchTool("round-plan", async () => (await import("~/calc/tools/round-plan")).roundPlanTool, {
  example: { z1: "18", z2: "54", positions: "8", turns: "1" },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="z1" label="Teeth of the pinion" inputMode="numeric" />
      <TextField name="z2" label="Teeth of the gear" inputMode="numeric" />
      <TextField name="positions" label="So many readings" inputMode="numeric" />
      <TextField name="turns" label="In so many turns of the gear" hint="usually 1" inputMode="numeric" />
    </div>
  ),
  read: (texts) => inputFrom(readPlan(texts)),
  say: (_, { gearToothIndices, separable }, texts) => {
    const z2 = readPlan(texts).value?.teeth[1] ?? 1;
    const said = gearToothIndices.map((index) => toothCalled(index, z2)).join(", ");
    return `Read at tooth ${said}${separable ? "" : ". These cannot tell the gear’s runout from the pinion’s"}`;
  },
  View: ({ output, texts }) => {
    const reader = useWords();
    const { value } = readPlan(texts);
    if (!value) return null;
    const [, z2] = value.teeth;
    const outlines = toothOutlines(gearBlanks(spurPair(value.teeth, 1))[1]);
    const reach = z2 / 2 + 3;
    const chosen = new Map<number, number[]>();
    output.gearToothIndices.forEach((index, i) => {
      chosen.set(index % z2, [...(chosen.get(index % z2) ?? []), i + 1]);
    });
    return (
      <div className="grid gap-4">
        <svg
          viewBox={`${-reach} ${-reach} ${2 * reach} ${2 * reach}`}
          className="w-full max-w-xl max-h-[30rem] bg-panel"
          role="img"
          aria-label="The teeth to read at, in their order, from the witness mark at the top"
        >
          <path
            d={`M${outlines
              .flat()
              .map((point) => point.join(" "))
              .join("L")}Z`}
            className="fill-ground stroke-ink"
            strokeWidth="1.2"
            vectorEffect="non-scaling-stroke"
          />
          {[...chosen].map(([tooth, order]) => (
            <g key={tooth}>
              <path d={`M${(outlines[tooth] ?? []).map((point) => point.join(" ")).join("L")}Z`} className="fill-ink" />
              <text
                x={(z2 / 2 - 4) * Math.sin((2 * Math.PI * tooth) / z2)}
                y={-(z2 / 2 - 4) * Math.cos((2 * Math.PI * tooth) / z2) + z2 / 55}
                textAnchor="middle"
                fontSize={z2 / 18}
                className="fill-ink figure"
              >
                {order.join(", ")}
              </text>
            </g>
          ))}
        </svg>
        <p>
          {output.conditionNumber === null
            ? "With fewer than five positions, or these, both wobbles run into one."
            : `Condition ${formatNumber(reader, output.conditionNumber, 2)}: 1.41 is the best there is; up to 10 both wobbles are told apart.`}{" "}
          Every pair of teeth has met after {output.huntingTurns} {output.huntingTurns === 1 ? "turn" : "turns"} of the
          gear.
        </p>
        <p className="text-mid">
          Even steps look right and fail where the ratio falls in with them: 20 to 60 at six even places sees nothing of
          the pinion. Teeth are counted from 1 at the witness mark.
        </p>
      </div>
    );
  },
});

/** "7", or "7 in turn 2". */
const toothCalled = (index: number, z2: number): string =>
  index < z2 ? String(index + 1) : `${(index % z2) + 1} in turn ${Math.floor(index / z2) + 1}`;

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
