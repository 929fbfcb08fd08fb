import { rowTexts, type Texts } from "~/app/features/form/texts";

/** Rows of a form's list, written as one would say them: cells with spaces between, rows with semicolons; "-" is an empty cell, "_" a space. */
export const rows = (name: string, columns: string, said: string): Texts =>
  rowTexts(
    name,
    said.split(";").map((row) => {
      const cells = row.trim().split(/\s+/);
      return Object.fromEntries(
        columns.split(" ").map((column, i) => [column, (cells[i] ?? "").replace(/^-$/, "").replaceAll("_", " ")]),
      );
    }),
  );
