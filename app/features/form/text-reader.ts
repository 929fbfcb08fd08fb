import {
  accept,
  type Dimension,
  type PlainCode,
  parseNumber,
  parseQuantity,
  type Refusal,
  type Result,
  refuse,
  severalQuantities,
} from "~/core/quantity";
import type { Texts } from "./texts";

/** What is wrong, by field. */
export type Problems = Record<string, Refusal>;
export type Read<T> = { value: T; problems: null } | { value: null; problems: Problems };

/** Reads fields one by one and collects what is wrong with them. */
export class TextReader {
  readonly problems: Problems = {};
  constructor(private readonly texts: Texts) {}

  text = (name: string): string => (this.texts[name] ?? "").trim();
  has = (name: string): boolean => this.text(name) !== "";

  /** Names of a list's rows in which something was typed into one of the columns. */
  rows = (list: string, columns: readonly string[]): string[] => {
    const typed = Object.keys(this.texts).flatMap((name) => {
      const [, row, column] = name.startsWith(`${list}.`)
        ? (/^(\d+)\.(.+)$/.exec(name.slice(list.length + 1)) ?? [])
        : [];
      return row !== undefined && columns.includes(column ?? "") && this.has(name) ? [Number(row)] : [];
    });
    return [...new Set(typed)].sort((a, b) => a - b).map((row) => `${list}.${row}`);
  };

  private take<T>(name: string, read: Result<T>, instead: T): T {
    if (read.ok) return read.value;
    this.problems[name] = read.refusal;
    return instead;
  }

  number = (name: string, whole = false): number => this.take(name, parseNumber(this.text(name), whole), Number.NaN);
  numberOr = (name: string, usual: number): number => (this.has(name) ? this.number(name) : usual);
  length = (name: string): number => this.quantity(name, "length", "mm");
  /** Several lengths in one field, "9 15 25", "1/4 3/8 in"; what cannot be read is noted at the field. */
  lengths = (name: string): number[] =>
    severalQuantities(this.text(name)).map((one) => {
      const read = parseQuantity(one, "length", "mm");
      return this.take(name, read.ok ? accept(read.value.value) : read, Number.NaN);
    });
  lengthOrNull = (name: string): number | null => (this.has(name) ? this.length(name) : null);
  angleOr = (name: string, usual: number): number => (this.has(name) ? this.quantity(name, "angle", "deg") : usual);
  private quantity(name: string, dimension: Dimension, bare: string): number {
    const read = parseQuantity(this.text(name), dimension, bare);
    return this.take(name, read.ok ? accept(read.value.value) : read, Number.NaN);
  }
  torque = (name: string): number => this.quantity(name, "torque", "Nm");
  force = (name: string): number => this.quantity(name, "force", "N");
  /** In a unit of any dimension; `factor` turns its canonical value into the one that is kept. */
  measured = (
    name: string,
    { dimension, bare, factor }: { dimension: Dimension; bare: string; factor: number },
  ): number => this.quantity(name, dimension, bare) * factor;

  words(name: string): string {
    if (!this.has(name)) this.problems[name] = { code: "missing", path: [name], facts: {} };
    return this.text(name);
  }
  /** Notes a refusal on a field where something holds or not; a NaN has its own refusal already. */
  want(name: string, holds: boolean, code: PlainCode): void {
    if (!holds && !(name in this.problems)) this.problems[name] = refuse(code, [name]).refusal;
  }
  done<T>(value: T): Read<T> {
    return Object.keys(this.problems).length === 0
      ? { value, problems: null }
      : { value: null, problems: this.problems };
  }
}

/** The module that a pitch field gives: "0.8", "0,8 module", "32 DP". */
export function readPitch(text: string): Result<number> {
  const [, amount, system] = /^(.*?)\s*(dp|\/in|m|mod|module)?$/i.exec(text.trim()) ?? [];
  const number = parseNumber(amount ?? "");
  if (!number.ok) return number;
  if (number.value <= 0) return refuse("too-small", []);
  return accept(/^(dp|\/in)$/i.test(system ?? "") ? 25.4 / number.value : number.value);
}
