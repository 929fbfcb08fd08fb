import type { ReactNode } from "react";
import type * as z from "zod";
import type { Reader } from "~/app/features/words/reader";
import type { Tool } from "~/calc/tool";
import type { Problems } from "../form/text-reader";
import type { Texts } from "../form/texts";

/** Nobody changes what was read. */
type Given<T> = T extends object ? { readonly [K in keyof T]: Given<T[K]> } : T;

export type BenchInput<I = object> = { input: I; problems: null } | { input: null; problems: Problems };

type Parts<I extends z.ZodType, O extends z.ZodType> = {
  /** Texts to begin with, so that the page shows something at once. */
  example: Texts;
  /** Computed beside the page, with progress: it may take a while. */
  beside?: true;
  Fields: () => ReactNode;
  read: (texts: Texts) => BenchInput<Given<z.input<I>> & object>;
  /** The answer in a sentence. */
  say: (reader: Reader, output: z.output<O>, texts: Texts) => string;
  View: (props: { output: z.output<O>; texts: Texts }) => ReactNode;
};

/** One tool of calc as a page of the Bench: `result` is what the tool gave, from here or from a worker. */
export type BenchTool = Pick<Parts<z.ZodType, z.ZodType>, "example" | "beside" | "Fields"> & {
  calc: Tool;
  read: (texts: Texts) => BenchInput;
  say: (reader: Reader, result: unknown, texts: Texts) => string;
  show: (result: unknown, texts: Texts) => ReactNode;
};

/** What goes in and comes out is typed by the tool's own schemas; what came out is read by them again. */
export function benchTool<I extends z.ZodType, O extends z.ZodType>(
  calc: Tool<I, O>,
  { say, View, ...parts }: Parts<I, O>,
): BenchTool {
  return {
    ...parts,
    calc,
    say: (reader, result, texts) => say(reader, calc.output.parse(result), texts),
    show: (result, texts) => <View output={calc.output.parse(result)} texts={texts} />,
  };
}
