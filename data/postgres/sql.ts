/** A statement and its values; made only by the `sql` tag, so that a value never becomes text of a statement. */
export type Statement = { readonly text: string; readonly values: readonly unknown[] };

/** sql`select … where id = ${id}` → $1 with its value. */
export function sql(parts: TemplateStringsArray, ...values: readonly unknown[]): Statement {
  return { text: parts.reduce((text, part, i) => `${text}$${i}${part}`), values };
}
