import type { SideLimits, StageLimits } from "~/core/records";
import {
  type JudgedQuantity,
  judgedBy,
  limitWays,
  type MeasuredQuantity,
  measuredUnit,
  onlyUpper,
  recommendKind,
  type StageElement,
  sidesOf,
} from "~/core/stages";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { formOf, kindForms, kindIn, readElement } from "../kinds/forms";
import type { RuleLimits } from "../kinds/kind-form";
import { readerOf } from "../words/reader";
import { ruleWords } from "./rule-words";

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

/** Whether nobody gave any limits. */
export const noLimitsTyped = (texts: Texts): boolean => ["lo", "hi", "aim", "source"].every((name) => !texts[name]);

/** What a rule says of an element by itself. */
export function ruleLimits(element: StageElement): RuleLimits | null {
  const own = formOf(element).byRule;
  if (own) return own(element);
  const found = recommendKind(element, {});
  return (
    found && {
      quantity: limitsGivenAs[judgedBy(element)] ?? null,
      lo: found.lo,
      hi: found.hi,
      source: ruleWords(readerOf(), found),
    }
  );
}

/** How recommended figures are given, where it is not the usual way. */
export const limitsGivenAs: Partial<Record<JudgedQuantity, MeasuredQuantity>> = {
  backlash: "circumferential-backlash",
  tension: "tension",
};

/** What is left to be found out of a stage whose fields are these. */
export function leftOpen(texts: Texts): string[] {
  const means = kindForms[kindIn(texts)].means.length > 0 && texts["adjuster.means"] !== "none";
  const ruled = byRule(texts, readElement(texts).value) !== null;
  return [
    noLimitsTyped(texts)
      ? ruled
        ? "Limits were not given: a rule's stand until somebody has found the right ones"
        : "Limits were not given and no rule knows them: what is read is not judged until somebody has found them"
      : "",
    means && !texts["clamps.count"] && texts["clamps.way"] !== "points"
      ? "Its clamps and their torque are not entered"
      : "",
  ].filter(Boolean);
}

/** What a rule says where no limits are given, as far as it needs nothing else to be known; null where no rule says anything. */
function byRule(texts: Texts, element: StageElement | null): LimitsInput | null {
  const found = element && ruleLimits(element);
  if (!found) return null;
  const quantity = limitQuantityOf({ ...texts, "limits.quantity": found.quantity ?? "" }, element);
  return {
    quantity,
    held: null,
    lo: found.lo,
    hi: found.hi,
    aim: null,
    sourceKind: "recommended",
    source: found.source,
  };
}

/** @param isNew of a stage that has none yet a rule's may stand, or none where no rule says any; those it has are never taken away unsaid */
export function readLimits(texts: Texts, isNew: true): Read<LimitsInput | null>;
export function readLimits(texts: Texts, isNew?: boolean): Read<LimitsInput>;
export function readLimits(texts: Texts, isNew = false): Read<LimitsInput | null> {
  const read = new TextReader(texts);
  const element = readElement(texts).value;
  if (isNew && noLimitsTyped(texts)) return { value: byRule(texts, element), problems: null };
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
