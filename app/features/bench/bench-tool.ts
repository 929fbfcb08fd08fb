import type { ReactNode } from "react";
import type { Reader } from "~/app/features/words/reader";
import type { Problems, Texts } from "../form/text-reader";

export type BenchInput = { input: object; problems: null } | { input: null; problems: Problems };

/** One tool of calc as a page of the Bench. */
export type BenchTool = {
  /** Name in calc. */
  tool: string;
  name: string;
  /** What a person wants to know. */
  question: string;
  /** Texts to begin with, so that the page shows something at once. */
  example: Texts;
  /** Computed beside the page, with progress: it may take a while. */
  beside?: true;
  Fields: () => ReactNode;
  read: (texts: Texts) => BenchInput;
  /** The answer in a sentence; `output` is what the tool gave. */
  say: (reader: Reader, output: never, texts: Texts) => string;
  View: (props: { output: never; texts: Texts }) => ReactNode;
};

/** Keeps the type of a tool's output between its parts. */
export const benchTool = <O>(
  tool: Omit<BenchTool, "say" | "View"> & {
    say: (reader: Reader, output: O, texts: Texts) => string;
    View: (props: { output: O; texts: Texts }) => ReactNode;
  },
): BenchTool => tool as unknown as BenchTool;
