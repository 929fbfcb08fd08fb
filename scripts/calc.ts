/**
 * The calc contract on the command line.
 *
 *   npm run --silent calc -- <tool> < input.json      one object in, one out
 *   npm run --silent calc -- <tool> --lines           an object a line
 *   npm run --silent calc -- <tool> --schema          JSON Schema of input and output
 *   npm run --silent calc -- --list                   the tools
 */
import { readFileSync } from "node:fs";
import * as z from "zod";
import { type CalcAnswer, type CalcError, callTool, refusalMessage, type Tool, tools } from "../calc";
import { oneChannel, readWav } from "../core/sound";

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value)}\n`);
const refusal = (code: string, message: string) => ({ error: { code, message, path: [] } });

function answer(tool: Tool, text: string): CalcAnswer {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return { ok: false, refused: refusal("not-json", "the input is not a JSON object") };
  }
  const recorded = tool.name === "pluck" ? recordingNamed(input) : null;
  if (recorded === null) return callTool(tool, input);
  return recorded.ok ? callTool(tool, recorded.input) : { ok: false, refused: recorded.refused };
}

type Recorded = { ok: true; input: object } | { ok: false; refused: CalcError };

/** A recording named by its path is read here, so that the computation gets samples as it does in the browser; null where none is named. */
function recordingNamed(input: unknown): Recorded | null {
  if (typeof input !== "object" || input === null || !("wavPath" in input) || typeof input.wavPath !== "string")
    return null;
  const { wavPath, ...rest } = input;
  if ("samples" in rest || "simulated" in rest) return null;
  const refused = (code: string, message: string): Recorded => ({
    ok: false,
    refused: { error: { code, message, path: ["wavPath"] } },
  });
  let bytes: Uint8Array<ArrayBuffer>;
  try {
    bytes = Uint8Array.from(readFileSync(wavPath));
  } catch {
    return refused("no-such-file", "this file cannot be read");
  }
  const wav = readWav(bytes.buffer);
  if (!wav.ok) return refused(wav.refusal.code, refusalMessage(wav.refusal));
  const { samples, sampleRateHz } = oneChannel(wav.value.channels, wav.value.sampleRateHz);
  return { ok: true, input: { ...rest, samples: [...samples], sampleRateHz } };
}

function main(args: readonly string[]): number {
  if (args.includes("--list")) {
    for (const tool of tools) process.stdout.write(`${tool.name}\t${tool.purpose}\n`);
    return 0;
  }
  const name = args.find((arg) => !arg.startsWith("--"));
  const tool = tools.find((candidate) => candidate.name === name);
  if (!tool) {
    print(refusal("unknown-tool", `no tool "${name ?? ""}"; --list names them`));
    return 2;
  }
  if (args.includes("--schema")) {
    print({
      input: z.toJSONSchema(tool.input, { io: "input" }),
      output: z.toJSONSchema(tool.output, { io: "output" }),
    });
    return 0;
  }
  const text = readFileSync(0, "utf8");
  const inputs = args.includes("--lines") ? text.split("\n").filter((line) => line.trim() !== "") : [text];
  let refused = false;
  for (const line of inputs) {
    const result = answer(tool, line);
    print(result.ok ? result.result : result.refused);
    if (!result.ok) refused = true;
  }
  return refused ? 2 : 0;
}

process.exitCode = main(process.argv.slice(2));
