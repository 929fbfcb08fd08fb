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
import { type CalcAnswer, callTool, type Tool, tools } from "../calc";

const print = (value: unknown) => process.stdout.write(`${JSON.stringify(value)}\n`);
const refusal = (code: string, message: string) => ({ error: { code, message, path: [] } });

function answer(tool: Tool, text: string): CalcAnswer {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return { ok: false, refused: refusal("not-json", "the input is not a JSON object") };
  }
  return callTool(tool, input);
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
