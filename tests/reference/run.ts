import { expect } from "vitest";
import { callTool, tools } from "~/calc";

/** A tool's result through the contract; its output is held against its own schema as well. */
// biome-ignore lint/suspicious/noExplicitAny: reference cases reach into results of many shapes
export function run(name: string, input: unknown): any {
  const tool = tools.find((candidate) => candidate.name === name);
  if (!tool) throw new Error(`no tool ${name}`);
  const answer = callTool(tool, input);
  if (!answer.ok) throw new Error(JSON.stringify(answer.refused));
  const strict = tool.output.safeParse(answer.result);
  expect(strict.error?.issues ?? []).toEqual([]);
  return answer.result;
}

/** The refusal of an input: its code and its path joined by dots. */
export function refusalOf(name: string, input: unknown): string {
  const tool = tools.find((candidate) => candidate.name === name);
  if (!tool) throw new Error(`no tool ${name}`);
  const answer = callTool(tool, input);
  return answer.ok ? "accepted" : `${answer.refused.error.code} ${answer.refused.error.path.join(".")}`;
}
