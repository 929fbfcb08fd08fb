import type { ReactNode } from "react";
import type * as z from "zod";
import type { Reader } from "~/app/features/words/reader";
import type { CalcAnswer } from "~/calc/call";
import type { Tool } from "~/calc/tool";
import { type Later, later } from "~/ui/use-later";
import type { Problems, Read } from "../form/text-reader";
import type { Texts } from "../form/texts";

/** Nobody changes what was read. */
type Given<T> = T extends object ? { readonly [K in keyof T]: Given<T[K]> } : T;

export type BenchInput<I = object> = { input: I; problems: null } | { input: null; problems: Problems };

/** What was read of a form, as the input of a tool. */
export const inputFrom = <I extends object>(read: Read<I>): BenchInput<I> =>
  read.problems === null ? { input: read.value, problems: null } : { input: null, problems: read.problems };

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
  /** What it found, where that is something to be bought; null where there is nothing. */
  part?: (reader: Reader, output: z.output<O>, texts: Texts) => FoundPart | null;
};

/** A part as the stores' form takes it: its name, and its figures by name. */
export type FoundPart = { name: string; figures: Texts };

/** One tool of calc as a page of the Bench: `result` is what the tool of that name gave: at the server, here, or in a worker. */
export type BenchTool = Pick<Parts<z.ZodType, z.ZodType>, "example" | "beside" | "Fields"> & {
  name: string;
  /** Comes once the page stands: the first answer comes with the page. */
  compute: Later<(input: object) => CalcAnswer>;
  read: (texts: Texts) => BenchInput;
  say: (reader: Reader, result: unknown, texts: Texts) => string;
  show: (result: unknown, texts: Texts) => ReactNode;
  part: (reader: Reader, result: unknown, texts: Texts) => FoundPart | null;
};

/** What goes in and comes out is typed by the tool's own schemas; what goes in is read by its schema before it is computed. */
export function benchTool<I extends z.ZodType, O extends z.ZodType>(
  name: string,
  calc: () => Promise<Tool<I, O>>,
  { say, View, part, ...parts }: Parts<I, O>,
): BenchTool {
  return {
    ...parts,
    name,
    compute: later(async () => {
      const [tool, { callTool }] = await Promise.all([calc(), import("~/calc/call")]);
      return (input) => callTool(tool, input);
    }),
    say: (reader, result, texts) => say(reader, result as z.output<O>, texts),
    part: (reader, result, texts) => part?.(reader, result as z.output<O>, texts) ?? null,
    show: (result, texts) => <View output={result as z.output<O>} texts={texts} />,
  };
}
