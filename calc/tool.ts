import type * as z from "zod";
import type { Result } from "../core/quantity";

/** A computation by name: schemas of input and output, and the call. */
export type Tool<I extends z.ZodType = z.ZodType, O extends z.ZodType = z.ZodType> = {
  name: string;
  purpose: string;
  input: I;
  output: O;
  /** `done` is told how far a long one is, 0 to 1. */
  run(input: z.output<I>, done?: (share: number) => void): Result<z.input<O>>;
};

export const tool = <I extends z.ZodType, O extends z.ZodType>(definition: Tool<I, O>): Tool<I, O> => definition;
