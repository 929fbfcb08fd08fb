import { useWords } from "~/app/features/words/use-words";
import type { GoNoGo } from "~/core/limits";
import { BandGauge } from "~/ui/band-gauge/band-gauge";
import { StateMark } from "~/ui/state-mark";
import { severalLengths } from "../../form/several-lengths";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { PinsInGap } from "../../print/pins-in-gap";
import { lengthWords } from "../../words/spoken";
import { verdictState } from "../../words/state";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { LimitsFields, readLimits } from "../limits-fields";

function readGap(texts: Texts) {
  const read = new TextReader(texts);
  const size = (name: string) => {
    const mm = read.lengthOrNull(name);
    read.want(name, mm === null || !(mm <= 0), "too-small");
    return mm ?? undefined;
  };
  const [goesMm, stopsMm] = [size("goes"), size("stops")];
  read.want("goes", read.has("goes") || read.has("stops"), "missing");
  read.want("stops", goesMm === undefined || stopsMm === undefined || !(stopsMm <= goesMm), "too-small");
  const toleranceMm = read.lengthOrNull("off") ?? 0;
  read.want("off", !(toleranceMm < 0), "too-small");
  const sizes = severalLengths(read, "sizes");
  read.want("sizes", !sizes.some(({ mm }) => mm <= 0), "too-small");
  const sizesMm = sizes.length > 0 ? { sizesMm: sizes.map(({ mm }) => mm) } : {};
  const limits = readLimits(read);
  const given = {
    ...(goesMm === undefined ? {} : { goesMm }),
    ...(stopsMm === undefined ? {} : { stopsMm }),
    toleranceMm,
    ...(limits ? { limits } : {}),
    ...sizesMm,
  };
  return { input: read.done(given), sizes };
}

const verdictWords = {
  conforms: "It is inside",
  "does-not-conform": "It is outside",
  undecided: "Not decided yet",
} as const;

export const tool = benchTool("go-no-go", async () => (await import("~/calc/tools/go-no-go")).goNoGoTool, {
  example: { goes: "3/32 in", stops: "1/8 in", off: "0.02", lo: "2.5", hi: "3.3", sizes: "2.5 2.6 2.8 3 7/64 in" },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <TextField name="goes" label="Largest that goes" hint="mm, 3/32 in, 5 thou" />
      <TextField name="stops" label="Smallest that does not" hint="empty: nothing stopped yet" />
      <LimitsFields />
      <TextField name="off" label="Pins are off by" hint="± mm; a worn drill is thinner" />
      <TextField name="sizes" label="On hand" hint="2.5 2.6 7/64 in" className="col-span-full" />
    </div>
  ),
  read: (texts) => inputFrom(readGap(texts).input),
  say: (reader, { lowMm, highMm, verdict, nextMm }, texts) => {
    const fine = (mm: number) => lengthWords(reader, mm, 3);
    const gap = highMm === null ? `at least ${fine(lowMm)}` : `between ${fine(lowMm)} and ${fine(highMm)}`;
    const called = readGap(texts).sizes.find(({ mm }) => mm === nextMm)?.called;
    const next = called ? `; try ${/[a-z]/i.test(called) ? called : `${called} mm`} next` : "";
    return `${verdict ? `${verdictWords[verdict]}: the` : "The"} gap is ${gap}${next}`;
  },
  View,
});

function View({ output, texts }: { output: GoNoGo; texts: Texts }) {
  const reader = useWords();
  const { value } = readGap(texts).input;
  if (!value) return null;
  const { limits } = value;
  const high = output.highMm ?? output.lowMm * 1.5;
  const room = high - output.lowMm;
  return (
    <div className="grid gap-4">
      {output.verdict && (
        <p className="text-xl">
          <StateMark state={verdictState[output.verdict]} />
        </p>
      )}
      <PinsInGap goesMm={value.goesMm ?? null} stopsMm={value.stopsMm ?? null} gapMm={output.valueMm ?? output.lowMm} />
      {limits && output.verdict && (
        <div className="bg-panel p-3 max-w-lg">
          <BandGauge
            lo={limits.lo ?? Math.min(output.lowMm, limits.hi ?? 0) - room}
            hi={limits.hi ?? Math.max(high, limits.lo ?? 0) + room}
            aim={null}
            now={{ min: output.lowMm, max: high }}
            then={null}
            state={verdictState[output.verdict]}
            unit="mm"
            label="The interval in which the gap lies, against its limits"
          />
        </div>
      )}
      <p>
        {output.valueMm !== null && output.expandedUncertaintyMm !== null && (
          <>
            As one figure {lengthWords(reader, output.valueMm, 3)} ±{" "}
            {lengthWords(reader, output.expandedUncertaintyMm, 3)} (rectangular, JCGM 100, 4.3.7; k = 2).{" "}
          </>
        )}
        The verdict takes the interval: what went cannot lie below it, what stopped cannot lie above it.
      </p>
      <p className="text-mid">
        Drills measure low by wear and wander in a tapered gap; a feeler reads the least gap over its width; a pin
        between tip and root reads a chord (common practice).
      </p>
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
