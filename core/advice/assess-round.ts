import { accept, type Result } from "../quantity";
import { type JudgedRound, judgeRound, type RoundToJudge } from "../rounds";
import {
  handSquare,
  type JudgedQuantity,
  type MeasuredQuantity,
  type StageElement,
  sensitivityOf,
  strandRead,
} from "../stages";
import { type Adjuster, amountFor, gainOf, type Travel } from "./adjusters";
import { type Advice, type AdviceQuestion, advise, type Quantity } from "./advise";
import { stiffnessGuessed } from "./prior";
import type { Response } from "./response";
import { tensionFirst } from "./tension-first";

export type RoundToAssess = Omit<RoundToJudge, "limits"> & {
  /** null: not known; then no move is advised. */
  limits: { lo: number; aim?: number | undefined; hi: number } | null;
  /** null: nothing on this stage can be adjusted. */
  adjuster: Adjuster | null;
  /** What was held to it: the slack of a chain shows otherwise by hand than hanging. */
  read?: MeasuredQuantity | undefined;
  /** On the scale of `learnFromMoves`: as learnt, or what is expected before any move has taught. */
  response?: Response | undefined;
  /** Where a round is put inside its limits; by default in the middle. */
  school?: "centre-of-band" | "tight-spot" | undefined;
};

export type Assessment = {
  judged: JudgedRound;
  /** null where nothing can be moved, or a move would not change what is read. */
  advice: Advice | null;
  /** Change of the judged quantity per mm of centre distance, now; null where nothing can be adjusted. */
  sensitivity: number | null;
};

/**
 * A round judged, and the next move. A stage without an adjuster, and a chain judged by its wear, are judged only.
 *
 * @returns the assessment, or `all-struck` at readings
 */
export function assessRound(round: RoundToAssess): Result<Assessment> {
  const found = judgeRound(round);
  if (!found.ok) return found;
  const judged = found.value;
  const { element, limits, adjuster, expandedUncertainty } = round;
  const ends = judged.least + judged.greatest;
  const strand = strandRead(round.read);
  const sensitivity = sensitivityOf(
    element,
    ends / 2,
    limits ? (limits.aim ?? (limits.lo + limits.hi) / 2) : ends / 2,
    strand,
  );
  const quantity = advised[judged.quantity];
  const response =
    round.response && quantity
      ? unscaled(round.response, quantity, ends, strand === "triangle" ? handSquare : 1)
      : undefined;
  return accept({
    judged,
    sensitivity,
    advice:
      adjuster && sensitivity && quantity && limits
        ? adviseSafely(element, judged, {
            quantity,
            readings: judged.counting,
            worst: { min: judged.least, max: judged.greatest },
            limits,
            expandedUncertainty,
            sensitivity,
            adjuster,
            response,
            school: round.school ?? "centre-of-band",
            tightRisk: 0.005,
          })
        : null,
  });
}

/**
 * Of a belt whose stiffness is a guess only a safe part of the way is advised (`tensionFirst`): so far that the chance of passing the upper
 * limit stays small, and back no further than keeps it taut.
 */
function adviseSafely(element: StageElement, judged: JudgedRound, question: AdviceQuestion): Advice {
  const whole = advise(question);
  if (!stiffnessGuessed(element) || !question.response || !whole.move) return whole;
  const { sensitivity, adjuster, response, limits } = question;
  const factor = adjuster.type === "eccentric" ? response.perUnit : 1;
  // In mm of centre distance, on which the stiffness acts evenly whatever the adjuster.
  const perMm = adjuster.type === "eccentric" ? sensitivity * factor : perMmOf(adjuster, response.perUnit);
  const first = tensionFirst({
    tensionN: Math.max(1e-9, judged.greatest),
    readingSdN: Math.max(1e-9, judged.expandedUncertainty / 2),
    perUnitN: Math.abs(perMm),
    spread: response.sd / Math.abs(response.perUnit),
    limitsN: { lo: limits.lo, aim: limits.aim, hi: limits.hi },
    risk: question.tightRisk,
    moves: [],
  });
  if (!first.ok) return whole;
  const taut = judged.greatest / (Math.abs(perMm) * (1 + response.sd / Math.abs(response.perUnit)) ** 2.5758);
  const reach = [first.value.safeAmount, -taut].map((mm) => amountFor(adjuster, Math.sign(perMm) * mm).amount);
  const travel: Travel = { min: Math.min(...reach), max: Math.max(...reach) };
  if (whole.move.amount >= travel.min && whole.move.amount <= travel.max) return whole;
  const within = adjuster.travel
    ? { min: Math.max(travel.min, adjuster.travel.min), max: Math.min(travel.max, adjuster.travel.max) }
    : travel;
  const cut = advise({ ...question, adjuster: { ...adjuster, travel: within } });
  return {
    ...cut,
    feasible: whole.feasible,
    reasons: [...cut.reasons.filter((code) => code !== "provisional"), "guessed-stiffness"],
  };
}

/** Change of the tension per mm of centre distance, from that per unit of the adjuster. */
const perMmOf = (adjuster: Exclude<Adjuster, { type: "eccentric" }>, perUnit: number): number =>
  perUnit / gainOf(adjuster);

const advised: Record<JudgedQuantity, Quantity | null> = {
  backlash: "backlash",
  "lost-motion": "backlash",
  tension: "tension",
  sag: "sag",
  elongation: null,
  "shaft-offset": null,
  gap: "clearance",
  "switch-to-buffer": null,
  "switch-to-buffer-angle": null,
};

/** Of sag the change of its square a unit is learnt; `advise` wants that of the sag itself at the mean of the round. */
const unscaled = (response: Response, quantity: Quantity, ends: number, square: number): Response =>
  quantity === "sag" ? { perUnit: (square * response.perUnit) / ends, sd: (square * response.sd) / ends } : response;
