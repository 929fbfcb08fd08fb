import { growthOf } from "../reference";

/** What a frame is of, with its growth a kelvin. */
export const frameGrowthPerK = {
  steel: growthOf.steel.perK,
  "cast-iron": growthOf["cast-iron"].perK,
  aluminium: growthOf.aluminium.perK,
} as const;
export type FrameMaterial = keyof typeof frameGrowthPerK;
/** The same along a belt's cord. From memory. */
export const cordGrowthPerK = { glass: 5e-6, steel: 11.5e-6, aramid: -2e-6 } as const;
export type CordMaterial = keyof typeof cordGrowthPerK;

export type WarmBelt = {
  tensionN: number;
  /** EA. */
  stiffnessN: number;
  framePerK: number;
  cordPerK: number;
  fromC: number;
  toC: number;
};

/**
 * The tension of a belt whose frame and cord grow unlike: the frame carries all its centres apart, so the strain changes by the difference of both growths,
 * EA·(κ_frame − κ_cord)·ΔT. Pulleys are taken to grow with the frame, and both to be of one temperature.
 *
 * @returns N, not below 0: a belt does not push
 * @source statics of materials: the restrained bar, σ = E·κ·ΔT
 */
export const warmTension = ({ tensionN, stiffnessN, framePerK, cordPerK, fromC, toC }: WarmBelt): number =>
  Math.max(0, tensionN + stiffnessN * (framePerK - cordPerK) * (toC - fromC));
