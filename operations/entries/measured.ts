import * as z from "zod";
import { callTool } from "../../calc/call";
import type { Tool } from "../../calc/tool";
import { closureTool } from "../../calc/tools/closure";
import { couplingTool } from "../../calc/tools/coupling";
import { fitSeriesTool } from "../../calc/tools/fit-series";
import { flatnessTool } from "../../calc/tools/flatness";
import { framePullTool } from "../../calc/tools/frame-pull";
import { housingLineTool } from "../../calc/tools/housing-line";
import { partRunoutTool } from "../../calc/tools/part-runout";
import { shaftAlignTool } from "../../calc/tools/shaft-align";
import { wheelAlignTool } from "../../calc/tools/wheel-align";
import { verdicts } from "../../core/limits";
import { type Bodies, type MeasuredTool, measuredChecks, measuredTools, measuredWhens } from "../../core/logbook";
import { accept, asRefusalCode, type Result, refuse } from "../../core/quantity";
import type { Instrument } from "../../core/records";
import { id, text, words } from "../input";
import { takings } from "../takings";

const tools: Readonly<Record<MeasuredTool, Tool>> = {
  "part-runout": partRunoutTool,
  "fit-series": fitSeriesTool,
  "housing-line": housingLineTool,
  flatness: flatnessTool,
  "wheel-align": wheelAlignTool,
  "frame-pull": framePullTool,
  coupling: couplingTool,
  "shaft-align": shaftAlignTool,
  closure: closureTool,
};

export const measuredInput = z.object({
  kind: z.literal("measured"),
  tool: z.enum(measuredTools),
  /** Which part, frame or shaft. */
  of: words(80),
  when: z.enum(measuredWhens).nullable().default(null),
  /** As the tool takes it. */
  input: z.record(z.string().max(60), z.unknown()),
  /** The answer in a sentence, as it stood on the screen. */
  said: text(400).trim(),
  instrumentId: id.nullable().default(null),
  /** Shims laid in for it, by where they lie. */
  laid: z
    .array(
      z.object({
        at: words(60),
        shims: z
          .array(z.object({ thicknessMm: z.number().gt(0).lte(1000), count: z.int().gte(1).lte(100) }))
          .min(1)
          .max(40),
      }),
    )
    .max(60)
    .default([]),
  seenTo: z
    .array(z.object({ what: z.enum(measuredChecks), done: z.boolean() }))
    .max(measuredChecks.length)
    .default([]),
  note: text(400).trim().default(""),
  /** What was taken out of the stores for it (below 0). */
  stock: takings,
});

const mostInputLetters = 20_000;

/** What was measured with a tool: its answer is reckoned here, whatever was sent. */
export function buildMeasured(
  input: z.output<typeof measuredInput>,
  instruments: readonly Instrument[],
): Result<Bodies["measured"]> {
  const { kind: _kind, instrumentId, stock: _stock, ...said } = input;
  const instrument = instruments.find((candidate) => candidate.id === instrumentId) ?? null;
  if (instrumentId !== null && !instrument) return refuse("no-such-instrument", ["instrumentId"]);
  const size = JSON.stringify(said.input).length;
  if (size > mostInputLetters) return refuse("text-too-long", ["input"], { given: size, most: mostInputLetters });
  const answer = callTool(tools[said.tool], said.input);
  if (!answer.ok) return refuse(asRefusalCode(answer.refused.error.code), ["input", ...answer.refused.error.path]);
  return accept({
    ...said,
    output: answer.result,
    verdict: verdictOf(said.input, answer.result),
    instrument: instrument && { id: instrument.id, name: instrument.name },
  });
}

/** With nothing known of how well it was read, whatever it was read with, nothing inside can be proven, and nothing outside. */
function verdictOf(input: object, output: unknown): Bodies["measured"]["verdict"] {
  const verdict = verdictIn(output);
  if (verdict === null || faulty.safeParse(output).success) return verdict;
  return uncertain.safeParse(input).success ? verdict : "undecided";
}

/** Inputs that say how well it was read. */
const u = z.number().gt(0);
const uncertain = z.union([
  z.object({ expandedUncertaintyMm: u }),
  z.object({ expandedUncertainty: u }),
  z.object({ expandedUncertainty: z.object({ offsetMm: u, angleDeg: u }) }),
  z.object({ pair: z.object({ expandedUncertaintyMm: u }) }),
]);
const judged = z.object({ verdict: z.enum(verdicts) });
const faulty = z.object({ faults: z.array(z.unknown()).min(1) });
const fitted = z.object({ pair: judged.extend({ says: z.string() }) });

/** What a tool's answer judges; one with faults is outside, and a pair that is squeezed too far is outside, whatever its size is known to. null: nothing. */
function verdictIn(output: unknown): Bodies["measured"]["verdict"] {
  const own = judged.safeParse(output);
  if (own.success) return own.data.verdict;
  if (faulty.safeParse(output).success) return "does-not-conform";
  const pair = fitted.safeParse(output);
  if (!pair.success) return null;
  return pair.data.pair.says === "too-far" && pair.data.pair.verdict === "conforms"
    ? "does-not-conform"
    : pair.data.pair.verdict;
}
