import type { SideLimits, StageLimits } from "~/core/records";
import {
  judgedBy,
  limitWays,
  type MeasuredQuantity,
  measuredUnit,
  onlyUpper,
  type StageElement,
  sidesOf,
} from "~/core/stages";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { kindForms, kindIn, readElement } from "../kinds/forms";

export type LimitsInput = StageLimits["given"] & Pick<StageLimits, "sourceKind" | "source">;

export const sourceKinds = ["maker", "drawing", "standard", "house rule", "recommended"] as const;

/** In what the limits are typed: the chosen one of those possible on a stage of this kind. */
export function limitQuantityOf(texts: Texts, element: StageElement | null): MeasuredQuantity {
  const ways = element ? limitWays(element) : [];
  return ways.find((way) => way === texts["limits.quantity"]) ?? ways[0] ?? kindForms[kindIn(texts)].usualLimits;
}

/** Unit of limits; elongation is given in per cent, though it is measured as a length. */
export const limitUnit = (quantity: MeasuredQuantity): string =>
  quantity === "elongation" ? "%" : measuredUnit[quantity].unit;

export function readLimits(texts: Texts): Read<LimitsInput> {
  const read = new TextReader(texts);
  const element = readElement(texts).value;
  const quantity = limitQuantityOf(texts, element);
  const value = (name: string) =>
    quantity === "elongation" ? read.number(name) : read.measured(name, measuredUnit[quantity]);
  const lo = element && onlyUpper(judgedBy(element)) && !read.has("lo") ? 0 : value("lo");
  const hi = value("hi");
  const aim = read.has("aim") ? value("aim") : null;
  read.want("lo", lo >= 0, "too-small");
  read.want("lo", !(lo > hi), "window-upside-down");
  read.want("aim", aim === null || !(aim < lo || aim > hi), "aim-outside");
  const held = read.has("limits.held") ? read.number("limits.held") : null;
  const sourceKind = sourceKinds.find((kind) => kind === read.text("sourceKind")) ?? "drawing";
  return read.done({ quantity, held, lo, hi, aim, sourceKind, source: read.words("source") });
}

export type SideLimitsInput = Pick<SideLimits, "quantity" | "lo" | "hi" | "sourceKind" | "source">;

/** Limits of what is read beside it: those with a figure typed. Nothing can be said of them while the stage itself cannot be read. */
export function readSideLimits(texts: Texts): Read<SideLimitsInput[] | undefined> {
  const read = new TextReader(texts);
  const element = readElement(texts).value;
  if (!element) return read.done(undefined);
  const found = sidesOf(element).flatMap((quantity): SideLimitsInput[] => {
    const name = (end: string) => `side.${quantity}.${end}`;
    const value = (end: string) => {
      if (!read.has(name(end))) return null;
      return quantity === "elongation" ? read.number(name(end)) : read.measured(name(end), measuredUnit[quantity]);
    };
    const [lo, hi] = [value("lo"), value("hi")];
    if (lo === null && hi === null) return [];
    const lower = name("lo");
    read.want(lower, lo === null || hi === null || !(lo > hi), "window-upside-down");
    const sourceKind = sourceKinds.find((kind) => kind === read.text(name("kind"))) ?? "house rule";
    return [{ quantity, lo, hi, sourceKind, source: read.text(name("source")) || "house rule" }];
  });
  return read.done(found);
}
