import { accept, type Result, refuse } from "../quantity";
import type { CouplingEnd, ShaftErrors } from "./schema";

type Window = { lo: number; hi: number };

export type CouplingQuestion = {
  ends: readonly [CouplingEnd, CouplingEnd];
  clearanceMm: Window;
  /** Of a key in its slot, or across a flat: a loose one hammers. */
  holdClearanceMm: Window;
  errors?: ShaftErrors | undefined;
  /** What the coupling allows of each alone. */
  allow?: ShaftErrors | undefined;
  growth?:
    | {
        /** From each fixed bearing to its hub's face. */
        lengthMm: readonly [number, number];
        perK: readonly [number, number];
        fromC: number;
        toC: readonly [number, number];
        runGapMm: number;
      }
    | undefined;
  torqueNm?: number | undefined;
  ratedNm?: number | undefined;
  /** 1 even, 1.5 with starts and stops, 2 with shocks or reversing (common practice). */
  serviceFactor?: number | undefined;
};

export type CouplingFault =
  | "bore-too-tight"
  | "bore-too-wide"
  | "key-too-tight"
  | "key-too-wide"
  | "flat-too-tight"
  | "flat-too-wide"
  | "gap-closed"
  | "misaligned"
  | "torque";

export type CouplingFit = {
  ends: { clearanceMm: number; holdClearanceMm?: number }[];
  shares?: { radial?: number; angular?: number; axial?: number };
  shareSum?: number;
  growthMm?: number;
  /** To leave cold between the hubs. */
  gapMm?: number;
  torqueMargin?: number;
  faults: { end?: 0 | 1; code: CouplingFault; by: number }[];
  ok: boolean;
};

const slack = 1e-9;

/**
 * Whether a coupling fits both shafts, leaves room for what they grow, lives with their errors and carries the torque. Shares of errors
 * add up (common practice of catalogues: allowances are for each alone).
 *
 * @returns the answer; or `missing` at the allowance of an error that is given, at `ratedNm` or `torqueNm` where one is without the other
 */
export function fitCoupling(asked: CouplingQuestion): Result<CouplingFit> {
  const { growth, torqueNm, ratedNm, serviceFactor } = asked;
  if (torqueNm === undefined && (ratedNm !== undefined || serviceFactor !== undefined))
    return refuse("missing", ["torqueNm"]);
  if (torqueNm !== undefined && ratedNm === undefined) return refuse("missing", ["ratedNm"]);
  const faults: CouplingFit["faults"] = [];
  const ends = asked.ends.map((end, i) => {
    const clearanceMm = end.boreMm - end.shaftMm;
    const held = holdOf(end);
    faults.push(...outside("bore", clearanceMm, asked.clearanceMm, i as 0 | 1));
    if (!held) return { clearanceMm };
    faults.push(...outside(held.by, held.clearanceMm, asked.holdClearanceMm, i as 0 | 1));
    return { clearanceMm, holdClearanceMm: held.clearanceMm };
  });
  const growthMm =
    growth &&
    ([0, 1] as const).reduce<number>(
      (sum, i) => sum + growth.lengthMm[i] * growth.perK[i] * (growth.toC[i] - growth.fromC),
      0,
    );
  const gapMm = growth && growthMm !== undefined ? growth.runGapMm + growthMm : undefined;
  if (gapMm !== undefined && gapMm < -slack) faults.push({ code: "gap-closed", by: -gapMm });
  const shares = sharesOf(asked, growthMm);
  if (!shares.ok) return shares;
  const given = Object.values(shares.value);
  const shareSum = given.reduce((sum, share) => sum + share, 0);
  if (shareSum > 1 + slack) faults.push({ code: "misaligned", by: shareSum - 1 });
  const torqueMargin =
    torqueNm !== undefined && ratedNm !== undefined ? ratedNm / (torqueNm * (serviceFactor ?? 1)) : undefined;
  if (torqueMargin !== undefined && torqueMargin < 1 - slack) faults.push({ code: "torque", by: 1 - torqueMargin });
  return accept({
    ends,
    ...(given.length > 0 ? { shares: shares.value, shareSum } : {}),
    ...(growthMm === undefined ? {} : { growthMm }),
    ...(gapMm === undefined ? {} : { gapMm }),
    ...(torqueMargin === undefined ? {} : { torqueMargin }),
    faults,
    ok: faults.length === 0,
  });
}

function holdOf(end: CouplingEnd): { by: "key" | "flat"; clearanceMm: number } | null {
  if (end.hold === "key") return { by: "key", clearanceMm: end.key.slotMm - end.key.keyMm };
  if (end.hold === "flat") return { by: "flat", clearanceMm: end.flat.boreMm - end.flat.shaftMm };
  return null;
}

function outside(what: "bore" | "key" | "flat", value: number, { lo, hi }: Window, end: 0 | 1): CouplingFit["faults"] {
  if (value < lo - slack) return [{ end, code: `${what}-too-tight`, by: lo - value }];
  return value > hi + slack ? [{ end, code: `${what}-too-wide`, by: value - hi }] : [];
}

const keys = [
  ["radialMm", "radial"],
  ["angularDeg", "angular"],
  ["axialMm", "axial"],
] as const;

/** Where no axial error is given, what the shafts grow counts as one. */
function sharesOf(
  { errors = {}, allow = {} }: CouplingQuestion,
  growthMm: number | undefined,
): Result<NonNullable<CouplingFit["shares"]>> {
  const shares: NonNullable<CouplingFit["shares"]> = {};
  for (const [key, name] of keys) {
    const allowed = allow[key];
    const grown = key === "axialMm" && growthMm !== undefined && allowed !== undefined ? Math.abs(growthMm) : undefined;
    const error = errors[key] ?? grown;
    if (error === undefined) continue;
    if (allowed === undefined) return refuse("missing", ["allow", key]);
    shares[name] = error / allowed;
  }
  return accept(shares);
}
