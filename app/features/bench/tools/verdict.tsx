import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import type { Verdict } from "~/core/limits";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const f = (reader: Reader, value: number): string => formatNumber(reader, value, 3);
const words: Record<Verdict, string> = {
  conforms: "It conforms",
  undecided: "This cannot decide it",
  "does-not-conform": "It does not conform",
};

const numbers = (texts: Record<string, string>) => {
  const read = new TextReader(texts);
  const valueMm = read.length("value");
  const lo = read.lengthOrNull("lo");
  const hi = read.lengthOrNull("hi");
  const expandedUncertainty = read.lengthOrNull("u") ?? 0;
  if (lo === null && hi === null) read.want("lo", false, "one-limit");
  read.want("lo", lo === null || hi === null || !(lo > hi), "window-upside-down");
  read.want("u", expandedUncertainty >= 0, "too-small");
  return read.done({
    valueMm,
    limits: { ...(lo === null ? {} : { lo }), ...(hi === null ? {} : { hi }) },
    expandedUncertainty,
  });
};

export const tool = benchTool("verdict", async () => (await import("~/calc/tools/verdict")).verdictTool, {
  example: { value: "0.155", lo: "0.12", hi: "0.16", u: "0.012" },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="value" label="Read" hint="mm, or with unit" />
      <TextField name="u" label="Expanded uncertainty" hint="± mm, k = 2" />
      <TextField name="lo" label="Lower limit" />
      <TextField name="hi" label="Upper limit" />
    </div>
  ),
  read: (texts) => {
    const read = numbers(texts);
    return read.value ? { input: read.value, problems: null } : { input: null, problems: read.problems };
  },
  say: (_, { verdict: said }) => words[said],
  View: ({ output, texts }) => {
    const reader = useWords();
    const read = numbers(texts).value;
    if (!read) return null;
    const { valueMm, limits, expandedUncertainty } = read;
    const lo = limits.lo ?? Math.min(valueMm, limits.hi ?? 0) - 4 * expandedUncertainty;
    const hi = limits.hi ?? Math.max(valueMm, limits.lo ?? 0) + 4 * expandedUncertainty;
    return (
      <div className="grid gap-3">
        <p className="text-xl">
          <StateMark state={verdictState[output.verdict]} />
        </p>
        <div className="bg-panel p-3 max-w-lg">
          <BandGauge
            lo={lo}
            hi={hi}
            aim={null}
            now={{ min: valueMm - expandedUncertainty, max: valueMm + expandedUncertainty }}
            then={null}
            state={verdictState[output.verdict]}
            unit="mm"
            label={`${f(reader, valueMm)} ± ${f(reader, expandedUncertainty)} mm against ${f(reader, lo)} to ${f(reader, hi)}`}
          />
        </div>
        <p>
          The bar is the reading with its uncertainty. {f(reader, Math.abs(output.marginToNearest))} mm{" "}
          {output.marginToNearest >= 0 ? "inside" : "beyond"} the nearest limit; ±{f(reader, expandedUncertainty)}{" "}
          guards it (ISO 14253-1).
          {output.verdict === "undecided" &&
            output.marginToNearest !== 0 &&
            ` A reading good to ±${f(reader, Math.abs(output.marginToNearest))} would decide it.`}
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
