/** A statement and its values; made only by the `sql` tag, so that a value never becomes text of a statement. */
export class Statement {
  constructor(
    readonly parts: readonly string[],
    readonly values: readonly unknown[],
  ) {}
  get text(): string {
    return this.parts.reduce((text, part, i) => `${text}$${i}${part}`);
  }
}

/** sql`select … where id = ${id}` → $1 with its value. A statement among the values becomes part of this one. */
export function sql(parts: TemplateStringsArray, ...values: readonly unknown[]): Statement {
  const flat: string[] = [parts[0] ?? ""];
  const flatValues: unknown[] = [];
  const join = (text: string) => {
    flat[flat.length - 1] += text;
  };
  values.forEach((value, i) => {
    if (value instanceof Statement) {
      join(value.parts[0] ?? "");
      flat.push(...value.parts.slice(1));
      flatValues.push(...value.values);
      join(parts[i + 1] ?? "");
    } else {
      flat.push(parts[i + 1] ?? "");
      flatValues.push(value);
    }
  });
  return new Statement(flat, flatValues);
}

/** The pattern for `ilike` that finds words anywhere, with nothing in them meaning more than itself. */
export const containing = (words: string): string => `%${words.replace(/[\\%_]/g, "\\$&")}%`;
