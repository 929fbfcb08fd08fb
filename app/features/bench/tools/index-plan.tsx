import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { type IndexPlan, indexPosition } from "~/core/trains";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";
import { IndexTable } from "../index-table";
import { MotorFields, motorOf } from "../motor-fields";

function inputOf(texts: Texts) {
  const read = new TextReader(texts);
  const motor = motorOf(read);
  const divisions = read.number("divisions", true);
  read.want("divisions", divisions >= 1, "too-small");
  read.want("divisions", divisions <= 1_000_000, "too-large");
  return read.done({ ...motor, divisions });
}

export const tool = benchTool("index-plan", async () => (await import("~/calc/tools/index-plan")).indexPlanTool, {
  example: { steps: "200", micro: "16", ratio: "40", divisions: "60" },
  Fields: () => (
    <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
      <MotorFields />
      <TextField name="divisions" label="Divisions" inputMode="numeric" />
    </div>
  ),
  read: (texts) => {
    const done = inputOf(texts);
    return done.value ? { input: done.value, problems: null } : { input: null, problems: done.problems };
  },
  say: (reader, { exact, stepsPerDivision, maxErrorArcsec }) =>
    exact
      ? `${stepsPerDivision.num} steps each, exactly`
      : `${stepsPerDivision.num}/${stepsPerDivision.den} steps each: never more than ${formatNumber(reader, maxErrorArcsec, 1)}″ off`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const input = inputOf(texts).value;
    if (!input) return null;
    const { stepsPerRev, microsteps, ratio, divisions } = input;
    return (
      <div className="grid gap-4">
        <Dial divisions={divisions} output={output} />
        <FigureList
          of={[
            ["Largest error", `${formatNumber(reader, output.maxErrorArcsec, 2)}″ at the output`],
            [
              "After a whole turn",
              output.closes ? "it comes back to where it began" : "it does not come back: set it to zero each turn",
            ],
          ]}
        />
        <IndexTable
          plan={output}
          divisions={divisions}
          arcsecPerStep={(1_296_000 * ratio[1]) / (stepsPerRev * microsteps * ratio[0])}
        />
        <p className="text-mid">
          Position k is the whole step nearest to k times the fraction, so that the error never adds up. Come to every
          position from the same side; microsteps under load are good to a tenth of a full step (common practice).
        </p>
      </div>
    );
  },
});

/** The divisions round the turn, with the error of each as a tick outwards or inwards. */
function Dial({ divisions, output }: { divisions: number; output: IndexPlan }) {
  const shown = Math.min(divisions, 360);
  const error = (k: number) => indexPosition(output.stepsPerDivision, k).offSteps;
  const point = (k: number, r: number) => {
    const a = (2 * Math.PI * k) / divisions;
    return `${(r * Math.sin(a)).toFixed(2)} ${(-r * Math.cos(a)).toFixed(2)}`;
  };
  return (
    <svg
      viewBox="-170 -170 340 340"
      className="w-full max-h-80 bg-panel"
      role="img"
      aria-label={`${divisions} divisions, each with its error, half a step being the length of the shortest mark`}
    >
      <circle r="120" className="fill-none stroke-ink" strokeWidth="1.5" />
      {Array.from({ length: shown }, (_, k) => (
        <path
          key={k}
          d={`M${point(k, 120)}L${point(k, 120 + 60 * error(k))}`}
          className="stroke-ink"
          strokeWidth={shown > 120 ? 1 : 2.5}
        />
      ))}
      {Array.from({ length: Math.min(shown, 12) }, (_, k) => (
        <circle
          key={k}
          cx={Number(point(k, 120).split(" ")[0])}
          cy={Number(point(k, 120).split(" ")[1])}
          r="3.5"
          className="fill-panel stroke-ink"
          strokeWidth="1.5"
        />
      ))}
      <path d="M0 -150l-6 -8h12Z" className="fill-ink" />
      <text y="6" textAnchor="middle" fontSize="18" className="fill-mid">
        error, half a step at most
      </text>
    </svg>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
