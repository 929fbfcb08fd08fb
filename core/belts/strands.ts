import { same } from "../numerics";
import { accept, type Result, refuse, standardGravity } from "../quantity";

export const strandQuantities = ["tensionN", "frequencyHz", "sagMm"] as const;
/** By what a strand was read: all of a set alike. */
export type StrandQuantity = (typeof strandQuantities)[number];

export type Strand = { id: string; value: number };

export type StrandsQuestion = {
  quantity: StrandQuantity;
  /** Two or more; a slack strand has tension or frequency 0, a sag is over 0. */
  strands: readonly Strand[];
  /** With these a frequency or a sag becomes a tension. */
  span?: { spanMm: number; massKgPerM: number } | undefined;
  /** Of one strand. */
  stiffnessNPerMm?: number | undefined;
};

export type StrandShare = {
  id: string;
  /** Of the whole load. */
  share: number;
  /** Of its tension from the mean. */
  deviationPercent: number;
  tensionN?: number;
  /** To bring it to the mean. */
  changeN?: number;
  /** Positive: shorten. */
  takeUpMm?: number;
};

export type Strands = {
  strands: StrandShare[];
  spreadPercent: number;
  weakest: string;
  overPulled: string;
  /** What each should read, in what was read. */
  aim: number;
};

/** What grows as the tension does: the tension itself, f², 1/sag. */
const relativeTension: Record<StrandQuantity, (value: number) => number> = {
  tensionN: (tension) => tension,
  frequencyHz: (hz) => hz * hz,
  sagMm: (sag) => 1 / sag,
};

const readingOf: Record<StrandQuantity, (relative: number) => number> = {
  tensionN: (relative) => relative,
  frequencyHz: (relative) => Math.sqrt(relative),
  sagMm: (relative) => 1 / relative,
};

/** N of tension per unit of what grows with it: 4·m·L² of f², m·g·L²/8 of 1/sag. */
function newtonsPer(quantity: StrandQuantity, span: StrandsQuestion["span"]): number | null {
  if (quantity === "tensionN") return 1;
  if (!span) return null;
  const lengthM = span.spanMm / 1000;
  return quantity === "frequencyHz"
    ? 4 * span.massKgPerM * lengthM ** 2
    : (span.massKgPerM * standardGravity * lengthM ** 2 * 1000) / 8;
}

/**
 * How parallel strands share their load, and what each must change: they are brought to their mean, since the sum is the load and
 * tightening one relieves the others. Four per cent in frequency is eight in tension.
 *
 * @returns shares in the order given, or `too-few` at strands where all are slack, `stiffness-without-tension` at spanMm
 * @example 41, 44.5, 43 and 42.2 Hz // spread 16.417298 %, aim 42.693940 Hz
 * @source the ideal string (T = 4·m·L²·f²) and the parabola (T = m·g·L²/(8·sag))
 */
export function strands(question: StrandsQuestion): Result<Strands> {
  const { quantity, span, stiffnessNPerMm } = question;
  const relative = question.strands.map(({ value }) => relativeTension[quantity](value));
  const sum = relative.reduce((total, one) => total + one, 0);
  if (sum === 0) return refuse("all-slack", ["strands"]);
  const newtons = newtonsPer(quantity, span);
  if (newtons === null && stiffnessNPerMm !== undefined) return refuse("stiffness-without-tension", ["spanMm"]);
  const mean = sum / relative.length;
  const shares = question.strands.map(({ id }, i): StrandShare => {
    const one = relative[i] as number;
    const changeN = newtons === null ? undefined : (mean - one) * newtons;
    return {
      id,
      share: one / sum,
      deviationPercent: 100 * (one / mean - 1),
      ...(newtons !== null && { tensionN: one * newtons }),
      ...(changeN !== undefined && { changeN }),
      ...(changeN !== undefined && stiffnessNPerMm !== undefined && { takeUpMm: changeN / stiffnessNPerMm }),
    };
  });
  const [least, most] = [Math.min(...relative), Math.max(...relative)];
  const named = (is: (one: number) => boolean) => question.strands[relative.findIndex(is)]?.id ?? "";
  return accept({
    strands: shares,
    spreadPercent: (100 * (most - least)) / mean,
    weakest: named((one) => one <= least + same * mean),
    overPulled: named((one) => one >= most - same * mean),
    aim: readingOf[quantity](mean),
  });
}
