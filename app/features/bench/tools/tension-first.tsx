import type * as z from "zod";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { tensionFirstTool } from "~/calc/tools/tension-first";
import { gaugeScale } from "~/ui/band-gauge/layout";
import { StateMark } from "~/ui/state-mark";
import { positiveOr } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { FigureList } from "../figure-list";
import { firstAnswer } from "../first-answer.server";

type Output = z.output<typeof tensionFirstTool.output>;

function readFirst(texts: Texts) {
  const read = new TextReader(texts);
  const force = (name: string) => {
    const value = read.force(name);
    read.want(name, value > 0, "too-small");
    return value;
  };
  const limit = (name: string) => {
    const value = read.force(name);
    read.want(name, !(value < 0), "too-small");
    return value;
  };
  const limitsN = { lo: limit("lo"), ...(read.has("aim") ? { aim: limit("aim") } : {}), hi: limit("hi") };
  read.want("lo", !(limitsN.lo > limitsN.hi), "window-upside-down");
  const moves = read.rows("moves", ["amount", "reading"]).map((row) => {
    const amount = read.number(`${row}.amount`);
    read.want(`${row}.amount`, amount !== 0, "no-amount");
    return { amount, readingN: force(`${row}.reading`) };
  });
  return read.done({
    tensionN: force("tension"),
    readingSdN: force("sd"),
    perUnitN: force("guess"),
    spread: positiveOr(read, "spread", 0.6),
    limitsN,
    risk: positiveOr(read, "risk", 0.5) / 100,
    moves,
  });
}

export const tool = benchTool(
  "tension-first",
  async () => (await import("~/calc/tools/tension-first")).tensionFirstTool,
  {
    example: {
      tension: "25",
      sd: "2",
      guess: "80",
      lo: "90",
      aim: "105",
      hi: "120",
      ...rowTexts("moves", [{ amount: "0.34", reading: "61" }]),
    },
    Fields: () => (
      <>
        <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
          <TextField name="tension" label="Tension to begin with" hint="N; read, not slack" />
          <TextField name="sd" label="Scatter of a reading" hint="N, standard deviation" />
          <TextField name="guess" label="A unit of the move gives" hint="N, a guess" />
          <TextField name="lo" label="Lower limit" hint="N" />
          <TextField name="aim" label="Aim" hint="N; empty: the middle" />
          <TextField name="hi" label="Upper limit" hint="N" />
          <TextField name="spread" label="The guess may be off by" hint="part of it, usually 0.6" />
          <TextField name="risk" label="Risk of passing the limit" hint="%, usually 0.5" />
        </div>
        <RowsField
          name="moves"
          legend="Moved so far"
          hint="In any unit of the adjuster, always the same."
          one="Move"
          columns={[
            { name: "amount", label: "Amount" },
            { name: "reading", label: "Then read, N" },
          ]}
        />
      </>
    ),
    read: (texts) => inputFrom(readFirst(texts)),
    say: (reader, { move, presentN, expectedN, verdict }) => {
      const f = (value: number, decimals = 0) => formatNumber(reader, value, decimals);
      if (!move)
        return verdict === "conforms"
          ? `${f(presentN)} N: it conforms, leave it`
          : `${f(presentN)} N: no move brings it nearer`;
      return `Move ${f(move.amount, 2)}: about ${f(expectedN?.median ?? 0)} N${move.limitedBy === "risk" ? ", no further for safety" : ""}`;
    },
    View,
  },
);

function View({ output, texts }: { output: Output; texts: Texts }) {
  const reader = useWords();
  const input = readFirst(texts).value;
  if (!input) return null;
  const f = (value: number, decimals = 0) => formatNumber(reader, value, decimals);
  const steps = [input.tensionN, ...input.moves.map(({ readingN }) => readingN)];
  return (
    <div className="grid gap-4">
      <p className="text-xl flex gap-3 items-center">
        {f(output.presentN)} N now: <StateMark state={verdictState[output.verdict]} />
      </p>
      <StepsPicture
        steps={steps}
        limits={input.limitsN}
        expected={output.expectedN ?? null}
        figure={(value) => f(value)}
      />
      <FigureList
        of={[
          ["A unit gives", `${f(output.stiffness.perUnitN, 1)} N, to ${f(100 * output.stiffness.spread)} %`],
          ["Safe for now", f(output.safeAmount, 3)],
          ...(output.expectedN
            ? [["It will read", `${f(output.expectedN.lo)} to ${f(output.expectedN.hi)} N`] as const]
            : []),
          ...(output.riskOfOver === undefined
            ? []
            : [["Risk of passing the limit", `${f(100 * output.riskOfOver, 2)} %`] as const]),
        ]}
      />
      <p className="text-mid">
        A belt’s stiffness in its frame is known to ± 60 % at best (common practice); each reading teaches it. Two turns
        by hand before each. One that does not follow the move: the clamp slipped, or the belt is not seated.
      </p>
    </div>
  );
}

type Window = { lo: number; hi: number };

/** Tension after each move from the left, the band of the limits, and dashed where the next move should bring it. */
function StepsPicture({
  steps,
  limits,
  expected,
  figure,
}: {
  steps: readonly number[];
  limits: Window;
  expected: { lo: number; median: number; hi: number } | null;
  figure: (value: number) => string;
}) {
  const all = expected ? [...steps, expected.lo, expected.hi] : steps;
  const { at, ticks } = gaugeScale(
    limits.lo,
    limits.hi,
    all.map((value) => ({ min: value, max: value })),
    200,
  );
  const y = (value: number) => 214 - at(value);
  const x = (i: number) => 90 + (330 * i) / Math.max(1, steps.length);
  return (
    <svg viewBox="0 0 480 240" className="w-full bg-panel" role="img" aria-label="Tension after each move">
      <rect
        x="70"
        width="400"
        y={y(limits.hi)}
        height={y(limits.lo) - y(limits.hi)}
        className="fill-band stroke-band-line"
      />
      {ticks.map((tick) => (
        <text key={tick} x="62" y={y(tick) + 5} textAnchor="end" fontSize="16" className="fill-mid figure">
          {figure(tick)}
        </text>
      ))}
      <polyline
        points={steps.map((value, i) => `${x(i)},${y(value)}`).join(" ")}
        className="fill-none stroke-ink"
        strokeWidth="2"
      />
      {steps.map((value, i) => (
        <circle key={i} cx={x(i)} cy={y(value)} r="6" className="fill-panel stroke-ink" strokeWidth="3" />
      ))}
      {expected && (
        <>
          <line
            x1={x(steps.length - 1)}
            y1={y(steps.at(-1) ?? 0)}
            x2={x(steps.length)}
            y2={y(expected.median)}
            className="stroke-now"
            strokeWidth="2"
            strokeDasharray="7 5"
          />
          <line
            x1={x(steps.length)}
            x2={x(steps.length)}
            y1={y(expected.lo)}
            y2={y(expected.hi)}
            className="stroke-now"
            strokeWidth="4"
            strokeDasharray="7 5"
          />
        </>
      )}
    </svg>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
