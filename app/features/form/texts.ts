import { type FieldValues, set } from "react-hook-form";

/** What stands in the fields, by name; "pulleys.0.x" is the x of the first row. */
export type Texts = Record<string, string>;

/** A form's values as texts by name. */
export function flatTexts(values: FieldValues, before = ""): Texts {
  const texts: Texts = {};
  for (const [name, value] of Object.entries(values)) {
    if (typeof value === "string") texts[before + name] = value;
    else if (value && typeof value === "object") Object.assign(texts, flatTexts(value, `${before}${name}.`));
  }
  return texts;
}

/** Texts by name as a form's values. */
export function nestedTexts(texts: Texts): FieldValues {
  const values: FieldValues = {};
  for (const [name, text] of Object.entries(texts)) set(values, name, text);
  return values;
}

/** Rows of a list as texts by name. */
export const rowTexts = (name: string, rows: readonly Texts[]): Texts =>
  Object.fromEntries(
    rows.flatMap((row, i) => Object.entries(row).map(([column, text]) => [`${name}.${i}.${column}`, text])),
  );
