import {
  accept,
  type FactsArgument,
  parseNumber,
  parseQuantity,
  type Refusal,
  type RefusalCode,
  type Result,
  refuse,
} from "../../core/quantity";

/** The cells of one line by their columns; collects the first thing that is wrong with it. */
export class Cells {
  refusal: Refusal | null = null;
  constructor(private readonly byColumn: ReadonlyMap<string, string>) {}

  /** Whether the sheet has such a column at all: what it does not have stays as it is. */
  has = (column: string): boolean => this.byColumn.has(column);

  /** What the columns say that the sheet has. */
  had<T extends object>(of: { [K in keyof T]: [column: string, read: () => T[K]] }): Partial<T> {
    const there = Object.entries<[string, () => unknown]>(of).filter(([, [column]]) => this.has(column));
    return Object.fromEntries(there.map(([key, [, read]]) => [key, read()])) as Partial<T>;
  }

  text(column: string, most = 120): string {
    const text = (this.byColumn.get(column) ?? "").trim();
    if (text.length > most) this.wrong("text-too-long", column, { given: text.length, most });
    // What a spreadsheet would work out is not what somebody wrote.
    if (/^[=@]/.test(text)) this.wrong("formula-cell", column, { text: text.slice(0, 40) });
    return text;
  }

  needed(column: string, most?: number): string {
    const text = this.text(column, most);
    if (text === "") this.wrong("missing", column);
    return text;
  }

  /** A figure, mm where it has no unit; null where the cell is empty. */
  length = (column: string): number | null =>
    this.figure(column, (text) => {
      const read = parseQuantity(text, "length", "mm");
      return read.ok ? accept(read.value.value) : read;
    });

  number = (column: string, whole = false): number | null => this.figure(column, (text) => parseNumber(text, whole));

  private figure(column: string, read: (text: string) => Result<number>): number | null {
    const text = this.text(column);
    if (text === "") return null;
    const value = read(text);
    if (value.ok) return value.value;
    this.wrong(value.refusal.code, column, value.refusal.facts);
    return null;
  }

  oneOf<T extends string>(column: string, words: readonly T[], usual: T): T {
    const text = this.text(column).toLowerCase();
    if (text === "") return usual;
    const found = words.find((word) => word.toLowerCase() === text);
    if (!found) this.wrong("not-one-of", column, { text, words: words.join(", ") });
    return found ?? usual;
  }

  yes = (column: string): boolean => this.oneOf(column, ["yes", "no"], "no") === "yes";

  wrong<C extends RefusalCode>(code: C, column: string, ...facts: FactsArgument<C>): void {
    this.refusal ??= refuse(code, [column], ...facts).refusal;
  }

  done = <T>(value: T): Result<T> => (this.refusal ? { ok: false, refusal: this.refusal } : accept(value));
}
