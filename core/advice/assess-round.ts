import { accept, type Result, refuse } from "../quantity";
import { fitRound, questionable, type ReadingAt, type RoundFit } from "../rounds";
import { frameOf, type JudgedQuantity, judgedBy, type StageElement, sensitivityOf } from "../stages";
import type { Adjuster } from "./adjusters";
import { type Advice, advise, type Quantity } from "./advise";
import { judgeOnly } from "./judge-only";
import type { Response } from "./response";

/**
 * Below this the pinion is not fitted, though the positions could tell it apart: twice as many places as unknowns leave a
 * residual; with fewer, one wild reading becomes a runout that is not there (common practice).
 */
const placesForPinion = 10;

export type StageToAssess = {
  element: StageElement;
  limits: { lo: number; aim?: number | undefined; hi: number };
  /** null: nothing on this stage can be adjusted. */
  adjuster: Adjuster | null;
  /** As learnt, on the scale of `learnFromMoves`; left out where no move has taught anything yet. */
  response?: Response | undefined;
  /** Of a stage that turns only so far; the worst is looked for there alone. */
  arcDeg?: readonly [number, number] | null | undefined;
  /** Where a round is put inside its limits; by default in the middle. */
  school?: "centre-of-band" | "tight-spot" | undefined;
};

export type Assessment = {
  /** null below three readings, or where nothing comes round in waves or the positions do not determine a fit. */
  fit: RoundFit | null;
  advice: Advice;
  /** Change of the judged quantity per mm of centre distance, now; null where nothing can be adjusted. */
  sensitivity: number | null;
  /** Indices of readings to be questioned. */
  questioned: number[];
};

/**
 * A round judged: the fit, its worst over the hunting cycle, and the next move. With fewer than three readings, or where no wave is to
 * be expected, the advice rests on the readings alone. A stage without an adjuster, and a chain judged by its wear, are judged only.
 *
 * @param readings at least one, in the judged unit
 * @param expandedUncertainty of one reading
 * @returns the assessment, or `no-readings` at readings
 */
export function assessRound(
  stage: StageToAssess,
  readings: readonly ReadingAt[],
  expandedUncertainty: number,
): Result<Assessment> {
  if (readings.length === 0) return refuse("no-readings", ["readings"]);
  const { element, limits, adjuster } = stage;
  const frame = frameOf(element);
  const places = new Set(readings.map((reading) => reading.gearAngleDeg)).size;
  const fitted = frame.wave
    ? fitRound(frame.teeth ?? [1, frame.places], readings, {
        separatePinion: frame.teeth !== null && places >= placesForPinion,
        arcDeg: stage.arcDeg ?? undefined,
      })
    : null;
  const fit = fitted?.ok ? fitted.value : null;
  const values = readings.map((reading) => reading.value);
  const worst = fit ? { min: fit.least.value, max: fit.greatest.value } : undefined;
  const seen = worst ? [...values, worst.min, worst.max] : values;
  const ends = Math.min(...seen) + Math.max(...seen);
  const sensitivity = sensitivityOf(element, ends / 2, limits.aim ?? (limits.lo + limits.hi) / 2);
  const question = { readings, worst, limits, expandedUncertainty };
  const quantity = advised[judgedBy(element)];
  return accept({
    fit,
    sensitivity,
    advice:
      adjuster && sensitivity && quantity
        ? advise({
            ...question,
            quantity,
            sensitivity,
            adjuster,
            response: stage.response && unscaled(stage.response, quantity, ends),
            school: stage.school ?? "centre-of-band",
            tightRisk: 0.005,
          })
        : judgeOnly(question, judgedBy(element)),
    questioned: frame.wave ? questionable(readings, 3 * expandedUncertainty) : [],
  });
}

const advised: Record<JudgedQuantity, Quantity | null> = {
  backlash: "backlash",
  "lost-motion": "backlash",
  tension: "tension",
  sag: "sag",
  elongation: null,
  gap: "clearance",
};

/** Of sag the change of its square a unit is learnt; `advise` wants that of the sag itself at the mean of the round. */
const unscaled = (response: Response, quantity: Quantity, ends: number): Response =>
  quantity === "sag" ? { perUnit: response.perUnit / ends, sd: response.sd / ends } : response;
