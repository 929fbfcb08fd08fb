import { accept, type Result, refuse } from "../quantity";
import { type ChainGeometry, inclination, leastCentre } from "./pitch-lines";

export type ChainLook = {
  /** Over so many counted pitches, roller to roller on the same side, under a light pull. */
  measured?: { pitches: number; mm: number } | undefined;
  sagMm?: number | undefined;
  targetSagMm?: number | undefined;
  wearLimitPercent?: number | undefined;
};

export type ChainCondition = {
  elongationPercent?: number;
  wearLimitPercent: number;
  wearVerdict?: "within" | "beyond";
  spanMm: number;
  sagPercent?: number;
  sagPerCentreMm?: number;
  /** Positive: apart. */
  moveCentreMm?: number;
};

/** Elongation at which the chain rides up its larger sprocket: 200/z2 %, never more than 3 % (Machinery's Handbook). */
export const wearLimitOf = ([z1, z2]: readonly [number, number]): number => Math.min(3, 200 / Math.max(z1, z2));

export const elongationPercent = (pitchMm: number, { pitches, mm }: { pitches: number; mm: number }): number =>
  100 * (mm / (pitches * pitchMm) - 1);

/**
 * How a chain stands: stretched by how much, hanging by how much, and what brings the sag where it is wanted. The slack of a
 * level span goes as the square of its sag, 8s²/(3L), and all of it sits in the one slack span, so the way from sag to sag is
 * ΔC = 4·(s² − s_t²)/(3·L·cos φ); the tangent at s alone would pull the chain straight.
 *
 * @returns the condition, or `circles-overlap` at centreDistanceMm
 * @example chainCondition({ pitchMm: 12.7, teeth: [17, 51] }, 500, { sagMm: 20, targetSagMm: 10 }) // moveCentreMm 0.8154042
 */
export function chainCondition(
  chain: ChainGeometry,
  centreDistanceMm: number,
  look: ChainLook,
): Result<ChainCondition> {
  const least = leastCentre(chain);
  if (centreDistanceMm < least) return refuse("circles-overlap", ["centreDistanceMm"], { leastMm: least });
  const slope = Math.cos(inclination(chain, centreDistanceMm));
  const spanMm = centreDistanceMm * slope;
  const { measured, sagMm, targetSagMm } = look;
  const wearLimitPercent = look.wearLimitPercent ?? wearLimitOf(chain.teeth);
  const stretched = measured && elongationPercent(chain.pitchMm, measured);
  return accept({
    ...(stretched === undefined
      ? {}
      : { elongationPercent: stretched, wearVerdict: stretched >= wearLimitPercent ? "beyond" : "within" }),
    wearLimitPercent,
    spanMm,
    ...(sagMm === undefined ? {} : { sagPercent: (100 * sagMm) / spanMm }),
    ...(sagMm === undefined || sagMm === 0 ? {} : { sagPerCentreMm: (-3 * spanMm * slope) / (8 * sagMm) }),
    ...(sagMm === undefined || targetSagMm === undefined
      ? {}
      : { moveCentreMm: (4 * (sagMm ** 2 - targetSagMm ** 2)) / (3 * spanMm * slope) }),
  });
}
