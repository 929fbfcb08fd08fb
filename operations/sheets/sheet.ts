import type { Result } from "../../core/quantity";
import type { Context } from "../context";
import type { Cells } from "./cells";

export type Fate = "new" | "changed" | "same" | "refused";

export type Column = {
  name: string;
  /** Without it a line says nothing. */
  needed?: true;
  /** A figure, whose decimal sign must be the same all over a sheet. */
  number?: true;
};

/** A kind of thing that goes out and comes in as a table, one line each. */
export type Sheet<T> = {
  /** As in the address. */
  name: string;
  columns: readonly Column[];
  /** More lines than that are not taken at once. */
  most: number;
  /** What a line says; a refusal's path begins with the name of the column. */
  read(cells: Cells): Result<T>;
  /** By what a line finds its thing, as people write it; two lines with the same are one too many. */
  key(line: T): string;
  /** Does what each line says, inside one transaction, and says what that was; `tell` hears the share that is done. */
  apply(
    context: Context,
    lines: readonly T[],
    tell: (share: number) => Promise<void>,
  ): Promise<Result<Exclude<Fate, "refused">>[]>;
  /** Everything there is, in the order of the columns. */
  rows: (context: Context) => Promise<(string | number)[][]>;
};
