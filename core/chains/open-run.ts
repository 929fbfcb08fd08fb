import { atLeast, atMost, same } from "../numerics";
import { accept, type Result } from "../quantity";

/** One side of a chain or cord with ends that runs over a wheel and turns less than a turn. */
export type RunSide = {
  /** From where it leaves the wheel to the nearest joint. */
  jointMm: number;
  /** The joint must not come nearer. */
  guardMm: number;
  /** Nor go farther. */
  endMm?: number | undefined;
};

/** The wheel: a groove for cord, teeth for chain. */
export type RunWheel = { pitchDiameterMm: number } | { pitchMm: number; teeth: number };

/** A block and tackle on one end. */
export type Tackle = {
  falls: number;
  sheaveEfficiency: number;
  /** Whether the hauling part comes from the fixed block, or from the moving one and so is one of the falls. */
  haulFrom: "fixed" | "moving";
  loadN: number;
  loadTravelMm: number;
};

export type OpenRunQuestion = {
  wheel: RunWheel;
  wrapDeg: number;
  sides: readonly [RunSide, RunSide];
  neededDeg?: { forward: number; back: number } | undefined;
  tackle?: Tackle | undefined;
};

export type RunRange = { mm: number; deg: number; limitedBy: "wheel" | "end" };

export type TackleForces = {
  haulN: number;
  lowerN: number;
  /** The last part, while raising. */
  deadEndN: number;
  haulTravelMm: number;
  efficiency: number;
};

export type OpenRun = {
  mmPerTurn: number;
  pitchDiameterMm: number;
  /** From joint to joint. */
  cordLengthMm: number;
  /** Of a chain; not rounded. */
  links?: number;
  forward: RunRange;
  back: RunRange;
  /** Round the wheel, positive towards side 0; null where no shift gives both. */
  shiftMm?: number | null;
  /** By how much both needs together are more than there is. */
  shortMm?: number;
  feasible: boolean;
  tackle?: TackleForces;
};

/**
 * How far a chain or cord with ends can turn before a joint meets the wheel, its guide or its end, and where to shift it: what one direction
 * gains the other loses, the sum stays.
 *
 * Forward runs cord from side 0 to side 1. A chain takes teeth · pitch a turn (the polygon) and shifts by whole pitches, away from nothing.
 *
 * @param sides `endMm` not below `jointMm`
 * @source general statics of pulleys with sheaves that lose: handbooks of lifting tackle
 */
export function openRun({ wheel, wrapDeg, sides, neededDeg, tackle }: OpenRunQuestion): Result<OpenRun> {
  const chain = "teeth" in wheel ? wheel : null;
  const pitchDiameterMm = "teeth" in wheel ? wheel.pitchMm / Math.sin(Math.PI / wheel.teeth) : wheel.pitchDiameterMm;
  const mmPerTurn = chain ? chain.teeth * chain.pitchMm : Math.PI * pitchDiameterMm;
  const [first, second] = sides;
  const range = (paying: RunSide, taking: RunSide): RunRange => {
    const toWheel = paying.jointMm - paying.guardMm;
    const toEnd = taking.endMm === undefined ? Number.POSITIVE_INFINITY : taking.endMm - taking.jointMm;
    const mm = Math.min(toWheel, toEnd);
    return { mm, deg: (mm / mmPerTurn) * 360, limitedBy: atMost(toWheel, toEnd) ? "wheel" : "end" };
  };
  const forward = range(first, second);
  const back = range(second, first);
  const cordLengthMm = first.jointMm + second.jointMm + (mmPerTurn * wrapDeg) / 360;
  const needed = neededDeg && {
    forward: (neededDeg.forward * mmPerTurn) / 360,
    back: (neededDeg.back * mmPerTurn) / 360,
  };
  const shiftMm = needed && shiftBetween(needed.forward - forward.mm, back.mm - needed.back, chain?.pitchMm);
  return accept({
    mmPerTurn,
    pitchDiameterMm,
    cordLengthMm,
    ...(chain && { links: cordLengthMm / chain.pitchMm }),
    forward,
    back,
    ...(needed && {
      shiftMm: shiftMm ?? null,
      shortMm: Math.max(0, needed.forward + needed.back - forward.mm - back.mm),
    }),
    feasible: needed ? shiftMm !== null : atLeast(forward.mm, 0) && atLeast(back.mm, 0),
    ...(tackle && { tackle: tackleForces(tackle) }),
  });
}

/** The least shift between two bounds, in whole steps away from 0 where there are steps; null where there is none. */
function shiftBetween(low: number, high: number, stepMm: number | undefined): number | null {
  if (!atMost(low, high)) return null;
  if (atMost(low, 0) && atLeast(high, 0)) return 0;
  const least = low > 0 ? low : high;
  if (stepMm === undefined) return least;
  const shift = Math.sign(least) * Math.ceil(Math.abs(least) / stepMm - same) * stepMm;
  return atLeast(shift, low) && atMost(shift, high) ? shift : null;
}

function tackleForces({ falls, sheaveEfficiency: e, haulFrom, loadN, loadTravelMm }: Tackle): TackleForces {
  const first = haulFrom === "fixed" ? 1 : 0;
  const parts = (each: number) => {
    let sum = 0;
    for (let k = 0; k < falls; k++) sum += each ** (first + k);
    return sum;
  };
  const haulN = loadN / parts(e);
  return {
    haulN,
    lowerN: loadN / parts(1 / e),
    deadEndN: haulN * e ** (first + falls - 1),
    haulTravelMm: falls * loadTravelMm,
    efficiency: loadN / (falls * haulN),
  };
}
