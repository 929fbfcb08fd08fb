import type { Texts } from "../form/texts";
import type { BenchTool } from "./bench-tool";

/** What the address of a tool's page has in its fields; the example where it has nothing. */
export function textsIn(search: URLSearchParams, { example }: Pick<BenchTool, "example">): Texts {
  const given = Object.fromEntries(search);
  return Object.keys(given).length > 0 ? given : example;
}
