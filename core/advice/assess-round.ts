import { gearPair, type PairGeometry } from "../gears";
import { accept, type Result, refuse } from "../quantity";
import { fitMeshRound, type Harmonics, type MeshRound, questionable } from "../rounds";
import type { Adjuster } from "./adjusters";
import { type Advice, advise } from "./advise";
import type { Response } from "./response";

/**
 * Below this the pinion is not fitted, though the positions could tell it apart: twice as many places as unknowns leave a
 * residual; with fewer, one wild reading becomes a runout that is not there (common practice).
 */
const placesForPinion = 10;

export type StageToAssess = {
  pair: PairGeometry;
  limits: { lo: number; aim?: number | undefined; hi: number };
  adjuster: Adjuster;
  /** As learnt; left out where no move has taught anything yet. */
  response?: Response | undefined;
  /** Of a stage that turns only so far; the worst is looked for there alone. */
  arcDeg?: readonly [number, number] | null | undefined;
};

export type BacklashAt = { gearAngleDeg: number; backlashMm: number };

export type Assessment = {
  /** null below three readings, or where the positions do not determine a fit. */
  fit: MeshRound | null;
  harmonics: Harmonics | null;
  advice: Advice;
  /** Indices of readings to be questioned. */
  questioned: number[];
};

/**
 * A round of backlash readings judged: the fit, its worst over the hunting cycle, and the next move. With fewer than three
 * readings the advice rests on the readings alone.
 *
 * @param readings at least one, mm at the working pitch circle
 * @param expandedUncertaintyMm of one reading
 * @returns the assessment, or the refusal of the pair; `no-readings` at readings
 */
export function assessRound(
  stage: StageToAssess,
  readings: readonly BacklashAt[],
  expandedUncertaintyMm: number,
): Result<Assessment> {
  if (readings.length === 0) return refuse("no-readings", ["readings"]);
  const pair = gearPair(stage.pair);
  if (!pair.ok) return pair;
  const places = new Set(readings.map((reading) => reading.gearAngleDeg)).size;
  const fitted = fitMeshRound(stage.pair, readings, {
    separatePinion: places >= placesForPinion,
    arcDeg: stage.arcDeg ?? undefined,
  });
  const fit = fitted.ok ? fitted.value.round : null;
  return accept({
    fit,
    harmonics: fitted.ok ? fitted.value.harmonics : null,
    advice: advise({
      quantity: "backlash",
      readings: readings.map((reading) => ({ gearAngleDeg: reading.gearAngleDeg, value: reading.backlashMm })),
      worst: fit ? { min: fit.worstTight.backlashMm, max: fit.worstLoose.backlashMm } : undefined,
      limits: stage.limits,
      expandedUncertainty: expandedUncertaintyMm,
      sensitivity: pair.value.backlashPerCentreMm,
      adjuster: stage.adjuster,
      response: stage.response,
      school: "centre-of-band",
      tightRisk: 0.005,
    }),
    questioned: questionable(readings, 3 * expandedUncertaintyMm),
  });
}
