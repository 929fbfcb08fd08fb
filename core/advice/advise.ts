import { type BandFit, bandFit, judge, type Verdict, worstVerdict } from "../limits";
import { normalQuantile } from "../statistics";
import { type Adjuster, amountFor, centreChange, type MoveUnit, unitOf, withinTravel } from "./adjusters";
import { type MoveStep, moveSteps } from "./steps";

export type Quantity = "backlash" | "tension" | "sag" | "clearance";
export type AdviceReading = { gearAngleDeg?: number | undefined; value: number };
export const reasonCodes = [
  "not-provable",
  "provisional",
  "tight-risk",
  "best-possible",
  "draw-back-by-hand",
  "guessed-stiffness",
] as const;
export type ReasonCode = (typeof reasonCodes)[number];

export type AdviceQuestion = {
  quantity: Quantity;
  readings: readonly AdviceReading[];
  /** Fitted over the hunting cycle: what readings at a few teeth may have missed. */
  worst?: { min: number; max: number } | undefined;
  limits: { lo: number; aim?: number | undefined; hi: number };
  expandedUncertainty: number;
  /** Change of the quantity per mm of centre distance, now. */
  sensitivity: number;
  adjuster: Adjuster;
  /** As learnt: change of the quantity per unit of the amount; for an eccentric a factor on its law. */
  response?: { perUnit: number; sd: number } | undefined;
  school: "centre-of-band" | "tight-spot";
  /** Probability of ending too tight that a one-way push may run. */
  tightRisk: number;
};

export type Move = {
  amount: number;
  unit: MoveUnit;
  direction: "apart" | "together" | "none";
  centreDistanceChangeMm: number;
};

export type Advice = {
  verdict: Verdict;
  /** One setting can hold every reading inside the limits, and the adjuster reaches it. */
  feasible: boolean;
  spread: number;
  move: Move | null;
  predicted: { min: number; max: number; atAngle?: number };
  expectedUncertainty?: number;
  atAngleDeg?: number;
  steps: MoveStep[];
  reasons: ReasonCode[];
};

/**
 * The next move (calc contract, "advise", steps 1 to 10; symbols in the README). All comparisons take numbers as given.
 *
 * Sag goes as the root of the slack, so its tangent would overshoot: 20 mm to 10 mm by the tangent pulls the chain straight.
 * Everything is therefore shifted on the scale f. A mesh that jams is worse than a loose one: where no setting holds every
 * reading the tight side is kept inside, and a one-way push is cut so that ending too tight stays improbable.
 *
 * @param question at least one reading; sensitivity not 0; lo ≤ hi
 */
export function advise(question: AdviceQuestion): Advice {
  const scale = makeScale(question);
  const wanted = wantedShift(question, scale);
  const reached = reach(question, scale, wanted.shift);
  const { lo, hi } = question.limits;
  const slack = 1e-9 * Math.max(1, Math.abs(scale.f(hi)));
  const holds = scale.a + reached.shift >= scale.f(lo) - slack && scale.b + reached.shift <= scale.f(hi) + slack;
  const feasible = wanted.fits && holds;
  const reasons: ReasonCode[] = [...wanted.reasons];
  if (wanted.fits && !holds) reasons.push("provisional");

  const verdict = scale.verdict;
  const spread = scale.mx - scale.mn;
  const stay = (...more: ReasonCode[]): Advice => ({
    verdict,
    feasible,
    spread,
    move: null,
    predicted: { min: scale.mn, max: scale.mx },
    steps: [],
    reasons: [...reasons, ...more],
  });

  if (verdict === "conforms") return stay();
  const amount = cutForTightRisk(question, scale, reached.amount);
  if (amount === 0 && reached.amount !== 0) return stay("tight-risk");
  const shift = amount === reached.amount ? reached.shift : shiftOf(question, scale, amount);
  const predicted = { min: scale.inverse(scale.a + shift), max: scale.inverse(scale.b + shift) };
  const leastChange = Math.abs(predicted.min - scale.mn);
  if (!wanted.provable && reached.reaches && leastChange <= question.expandedUncertainty) return stay("best-possible");

  const steps = moveSteps(question.adjuster, amount);
  if (steps.some((step) => step.kind === "draw-back")) reasons.push("draw-back-by-hand");
  const tightest = tightestReading(question);
  const changeMm = question.response ? shift / scale.perCentre : centreChange(question.adjuster, amount);
  const meanChange = (predicted.min + predicted.max - scale.mn - scale.mx) / 2;
  return {
    verdict,
    feasible,
    spread,
    move: {
      amount,
      unit: unitOf(question.adjuster),
      direction: changeMm > 0 ? "apart" : changeMm < 0 ? "together" : "none",
      centreDistanceChangeMm: changeMm,
    },
    predicted: { ...predicted, atAngle: scale.inverse(scale.f(tightest.value) + shift) },
    expectedUncertainty: Math.hypot(question.expandedUncertainty, 2 * scale.relativeSd * meanChange),
    ...(tightest.gearAngleDeg === undefined ? {} : { atAngleDeg: tightest.gearAngleDeg }),
    steps,
    reasons,
  };
}

type Scale = {
  mn: number;
  mx: number;
  f: (x: number) => number;
  inverse: (y: number) => number;
  a: number;
  b: number;
  /** k */
  perCentre: number;
  /** p, or null where nothing is learnt */
  perUnit: number | null;
  relativeSd: number;
  verdict: Verdict;
  holds: BandFit;
};

function makeScale(question: AdviceQuestion): Scale {
  const { readings, worst, limits, expandedUncertainty, sensitivity, response } = question;
  const values = readings.map((reading) => reading.value);
  if (worst) values.push(worst.min, worst.max);
  const mn = values.reduce((x, y) => Math.min(x, y));
  const mx = values.reduce((x, y) => Math.max(x, y));
  const sag = question.quantity === "sag";
  const f = sag ? (x: number) => x * x : (x: number) => x;
  const grown = sag ? mn + mx : 1;
  const verdicts = [mn, mx].map((value) => judge(value, limits, expandedUncertainty).verdict);
  return {
    mn,
    mx,
    f,
    inverse: sag ? (y) => Math.sqrt(Math.max(0, y)) : (y) => y,
    a: f(mn),
    b: f(mx),
    perCentre: sensitivity * grown,
    perUnit: response ? response.perUnit * grown : null,
    relativeSd: response ? response.sd / Math.abs(response.perUnit) : 0.1,
    verdict: worstVerdict(verdicts),
    holds: bandFit({ min: mn, max: mx }, limits, expandedUncertainty, sag ? "square" : "linear"),
  };
}

type Wanted = { shift: number; provable: boolean; fits: boolean; reasons: ReasonCode[] };

/** Steps 3 and 4: the shift of f that is wanted, before anybody asks whether the adjuster reaches it. */
function wantedShift(question: AdviceQuestion, { f, a, b, holds }: Scale): Wanted {
  const { lo, hi } = question.limits;
  const u = question.expandedUncertainty;
  const tightIsGreatest = question.quantity === "tension";
  const innerLo = f(lo + u);
  const innerHi = f(hi - u);
  const fits = holds !== "too-wide";
  if (holds === "provable") {
    const aim = question.limits.aim ?? (lo + hi) / 2;
    const toTight = tightIsGreatest ? f(hi - 2 * u) - b : f(lo + 2 * u) - a;
    const ideal = question.school === "tight-spot" ? toTight : f(aim) - (a + b) / 2;
    const shift = Math.min(innerHi - b, Math.max(innerLo - a, ideal));
    return { shift, provable: true, fits, reasons: [] };
  }
  if (fits) return { shift: (f(lo) + f(hi)) / 2 - (a + b) / 2, provable: false, fits, reasons: ["not-provable"] };
  return {
    shift: tightIsGreatest ? innerHi - b : innerLo - a,
    provable: false,
    fits,
    reasons: ["provisional"],
  };
}

/** Step 5: the amount for a shift as far as the adjuster reaches, and the shift it then gives. */
function reach(
  question: AdviceQuestion,
  scale: Scale,
  wanted: number,
): { amount: number; shift: number; reaches: boolean } {
  const found = amountForShift(question, scale, wanted);
  return { ...found, shift: found.reaches ? wanted : shiftOf(question, scale, found.amount) };
}

function amountForShift(question: AdviceQuestion, scale: Scale, wanted: number): { amount: number; reaches: boolean } {
  const { adjuster, response } = question;
  if (adjuster.type === "eccentric") return amountFor(adjuster, wanted / (scale.perCentre * (response?.perUnit ?? 1)));
  if (scale.perUnit !== null) return withinTravel(wanted / scale.perUnit, adjuster.travel);
  return amountFor(adjuster, wanted / scale.perCentre);
}

function shiftOf(question: AdviceQuestion, scale: Scale, amount: number): number {
  const { adjuster, response } = question;
  if (adjuster.type === "eccentric") return scale.perCentre * (response?.perUnit ?? 1) * centreChange(adjuster, amount);
  if (scale.perUnit !== null) return scale.perUnit * amount;
  return scale.perCentre * centreChange(adjuster, amount);
}

/**
 * Step 7. Coming to the tight side with a screw that cannot go back, the amount is cut until the tightest expected value,
 * less z standard deviations of what is not known (the response and the reading), is still inside the limit.
 */
function cutForTightRisk(question: AdviceQuestion, scale: Scale, amount: number): number {
  const { adjuster, quantity, limits, expandedUncertainty } = question;
  if (adjuster.type !== "screw" || !adjuster.oneWay || amount <= 0) return amount;
  const tension = quantity === "tension";
  const now = tension ? scale.mx : scale.mn;
  const expected = (x: number) => scale.inverse(scale.f(now) + shiftOf(question, scale, x));
  const towardsTight = tension ? expected(amount) > now : expected(amount) < now;
  if (!towardsTight) return amount;
  const z = normalQuantile(1 - question.tightRisk);
  const safe = (x: number): boolean => {
    const value = expected(x);
    const doubt = z * Math.hypot(scale.relativeSd * (value - now), expandedUncertainty / 2);
    return tension ? value + doubt <= limits.hi : value - doubt >= limits.lo;
  };
  if (safe(amount)) return amount;
  if (!safe(0)) return 0;
  let low = 0;
  let high = amount;
  for (let i = 0; i < 200 && high - low > 1e-16 * amount; i++) {
    const middle = (low + high) / 2;
    if (middle === low || middle === high) break;
    if (safe(middle)) low = middle;
    else high = middle;
  }
  return low;
}

function tightestReading({ quantity, readings }: AdviceQuestion): AdviceReading {
  return readings.reduce((tightest, reading) =>
    (quantity === "tension" ? reading.value > tightest.value : reading.value < tightest.value) ? reading : tightest,
  );
}
