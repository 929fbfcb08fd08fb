import type { TextReader } from "./text-reader";
import { readPitch } from "./text-reader";

export type Reading = TextReader;
export type { Texts } from "./texts";

/** A length above 0. */
export function over0(read: TextReader, name: string): number {
  const value = read.length(name);
  read.want(name, value > 0, "too-small");
  return value;
}

/** The same where it may be left out. */
export const over0Or = <T>(read: TextReader, name: string, usual: T): number | T =>
  read.has(name) ? over0(read, name) : usual;

/** A whole number of teeth, links or pieces. */
export function count(read: TextReader, name: string, least: number): number {
  const value = read.number(name, true);
  read.want(name, value >= least, least === 3 ? "teeth-too-few" : "too-small");
  read.want(name, value <= 10_000, "too-large");
  return value;
}

export const bothTeeth = (read: TextReader): [number, number] => [count(read, "z1", 3), count(read, "z2", 3)];

export function pressureAngle(read: TextReader): number {
  const value = read.angleOr("alpha", 20);
  read.want("alpha", value > 5 && value < 45, "angle-out-of-range");
  return value;
}

/** A slant below 60°, with the hand that a choice says. */
export function slant(read: TextReader, name: string, hand: string): number {
  const value = read.angleOr(name, 0);
  read.want(name, Math.abs(value) < 60, "too-large");
  return choice(read, hand, ["right", "left"]) === "left" ? -Math.abs(value) : value;
}

/** A module, or what a diametral pitch makes of it, mm. */
export function pitch(read: TextReader, name: string): number {
  const found = readPitch(read.text(name));
  if (!found.ok) read.problems[name] = found.refusal;
  const value = found.ok ? found.value : Number.NaN;
  read.want(name, value <= 100, "too-large");
  return value;
}

/** One of the options; the first where none was chosen. */
export const choice = <T extends string>(read: TextReader, name: string, options: readonly [T, ...T[]]): T =>
  options.find((option) => option === read.text(name)) ?? options[0];

/** A bare number above 0. */
export function positiveNumber(read: TextReader, name: string): number {
  const value = read.number(name);
  read.want(name, value > 0, "too-small");
  return value;
}

/** The same where it may be left out. */
export const positiveOr = <T>(read: TextReader, name: string, usual: T): number | T =>
  read.has(name) ? positiveNumber(read, name) : usual;

/** A bare number not below 0; the usual one where it is left out. */
export function notNegativeOr(read: TextReader, name: string, usual: number): number {
  const value = read.numberOr(name, usual);
  read.want(name, !(value < 0), "too-small");
  return value;
}
