import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { niceTicks } from "~/ui/band-gauge/layout";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

function readMoves(texts: Texts) {
  const read = new TextReader(texts);
  const over0 = (name: string) => {
    const value = read.number(name);
    read.want(name, !(value <= 0), "too-small");
    return value;
  };
  const moves = read
    .rows("moves", ["amount", "change"])
    .map((row) => ({ amount: read.number(`${row}.amount`), change: read.number(`${row}.change`) }));
  return read.done({ prior: { perUnit: read.number("guess"), sd: over0("sd") }, moves, readingSd: over0("reading") });
}

export const tool = benchTool("response", async () => (await import("~/calc/tools/response")).responseTool, {
  example: {
    guess: "0.7",
    sd: "0.2",
    reading: "0.01",
    ...rowTexts("moves", [
      { amount: "0.2", change: "0.11" },
      { amount: "0.1", change: "0.05" },
      { amount: "-0.15", change: "-0.07" },
    ]),
  },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="guess" label="One unit does, by its geometry" hint="mm read a unit; signed" />
      <TextField name="sd" label="That may be off by" hint="one standard deviation" />
      <TextField name="reading" label="A reading is good to" hint="one standard deviation" />
      <div className="col-span-full">
        <RowsField
          name="moves"
          legend="What it really did"
          one="Move"
          columns={[
            { name: "amount", label: "Moved by" },
            { name: "change", label: "It changed by" },
          ]}
        />
      </div>
    </div>
  ),
  read: (texts) => inputFrom(readMoves(texts)),
  say: (reader, { perUnit, sd, moves }) =>
    `One unit does ${formatNumber(reader, perUnit, 3)} ± ${formatNumber(reader, 2 * sd, 3)}, learnt from ${moves} ${moves === 1 ? "move" : "moves"}`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const { value } = readMoves(texts);
    if (!value) return null;
    const { moves, prior } = value;
    const reach = Math.max(0.01, ...moves.map(({ amount }) => Math.abs(amount)));
    const slopes = [output.perUnit, output.perUnit + 2 * output.sd, output.perUnit - 2 * output.sd, prior.perUnit];
    const most = Math.max(
      1e-6,
      ...slopes.map((s) => Math.abs(s) * reach),
      ...moves.map(({ change }) => Math.abs(change)),
    );
    const x = (amount: number) => 220 + (190 * amount) / reach;
    const y = (change: number) => 120 - (100 * change) / most;
    return (
      <div className="grid gap-4">
        <svg
          viewBox="0 0 440 250"
          className="w-full bg-panel"
          role="img"
          aria-label="What each move changed, and the line learnt"
        >
          <path d="M20 120H420M220 12V232" className="stroke-rule" strokeWidth="1.5" />
          {niceTicks(-reach, reach, 5)
            .filter((tick) => tick !== 0)
            .map((tick) => (
              <text key={tick} x={x(tick)} y="140" textAnchor="middle" fontSize="15" className="fill-mid figure">
                {formatNumber(reader, tick, reach < 1 ? 2 : 0)}
              </text>
            ))}
          {niceTicks(-most, most, 4)
            .filter((tick) => tick !== 0)
            .map((tick) => (
              <text key={tick} x="212" y={y(tick) + 5} textAnchor="end" fontSize="15" className="fill-mid figure">
                {formatNumber(reader, tick, 2)}
              </text>
            ))}
          {slopes.map((slope, i) => (
            <line
              key={i}
              x1={x(-reach)}
              x2={x(reach)}
              y1={y(-slope * reach)}
              y2={y(slope * reach)}
              className={i === 0 ? "stroke-ink" : "stroke-mid"}
              strokeWidth={i === 0 ? 2.5 : 1}
              strokeDasharray={i === 0 ? undefined : i === 3 ? "2 4" : "8 4"}
            />
          ))}
          {moves.map(({ amount, change }, i) => (
            <circle key={i} cx={x(amount)} cy={y(change)} r="6" className="fill-panel stroke-ink" strokeWidth="2" />
          ))}
        </svg>
        <p>
          The line is what was learnt, dashed between what it may be (two standard deviations), dotted what the geometry
          says.
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
