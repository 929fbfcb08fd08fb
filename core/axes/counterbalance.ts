import { above, alike, atMost, below, same } from "../numerics";
import { accept, type Result } from "../quantity";

/** What a spring or cord pulls at an extension, as read. */
export type StrandPoint = { extensionMm: number; forceN: number };

export type BalanceQuestion = {
  loadN: number;
  /** Two or more, extensions rising, forces not falling. */
  points: readonly StrandPoint[];
  /** Strands, 0 allowed. */
  strands: number;
  /** mm of strand per mm of load. */
  reeving: number;
  extensionAtTopMm: number;
  travelMm: number;
  frictionN: number;
  maxStrands: number;
  maxExtensionMm?: number | undefined;
  pulleyPitchDiameterMm?: number | undefined;
};

export type BalancePosition = {
  /** Downwards from the top. */
  atMm: number;
  carriedN: number;
  /** Load less what is carried. */
  residualN: number;
  /** What the drive must lift going up. */
  upN: number;
  /** Going down; negative: it must pull down. */
  downN: number;
};

export type Counterbalance = {
  /** No strand is stretched beyond its most. */
  feasible: boolean;
  positions: BalancePosition[];
  worstN: number;
  worstAtMm: number;
  worstGoing: "up" | "down";
  balanceAtMm: number | null;
  /** The load stays wherever it is left. */
  staysPut: boolean;
  bestStrands: number;
  bestWorstN: number;
  /** A strand goes beyond what was read of it. */
  extrapolated: boolean;
  /** The travel that keeps to the most extension. */
  reachMm?: number;
  torqueNm?: number;
};

/** Force of a strand at an extension: straight between the points, the first and the last line carried on, never below 0. */
export function strandForce(points: readonly StrandPoint[], extensionMm: number): number {
  const next = points.findIndex((point, i) => i > 0 && extensionMm <= point.extensionMm);
  const at = next === -1 ? points.length - 1 : next;
  const [a, b] = [points[at - 1] as StrandPoint, points[at] as StrandPoint];
  const slope = (b.forceN - a.forceN) / (b.extensionMm - a.extensionMm);
  return Math.max(0, a.forceN + slope * (extensionMm - a.extensionMm));
}

/** Where the first line, carried on, reaches no force; null where it never does. */
function slackAt([a, b]: readonly StrandPoint[]): number | null {
  if (!a || !b || b.forceN <= a.forceN) return null;
  return a.extensionMm - (a.forceN * (b.extensionMm - a.extensionMm)) / (b.forceN - a.forceN);
}

/**
 * How springs or cords carry a load along its travel: what is left for the drive going up and going down, where it balances, and how many
 * strands leave least. A straight strand carries too little at the top and too much at the bottom; balanced in the middle, half of the
 * change is left at either end, which is the best it can do.
 *
 * @example 28 N at 100, 44 N at 500; 8 strands, 330 N, from 120 over 420, friction 12 // worst 111.6 up at the top, balance at 311.25
 * @source statics; a strand is read, not calculated
 */
export function counterbalance(question: BalanceQuestion): Result<Counterbalance> {
  const { points, strands, extensionAtTopMm, reeving, travelMm, frictionN, maxExtensionMm } = question;
  const places = placesOf(question);
  const positions = places.map((atMm) => positionAt(question, strands, atMm));
  const worst = worstOf(positions);
  const tried = Array.from({ length: question.maxStrands + 1 }, (_, n) => ({
    n,
    worstN: worstOf(places.map((atMm) => positionAt(question, n, atMm))).worstN,
  }));
  const least = Math.min(...tried.map(({ worstN }) => worstN));
  const best = tried.find(({ worstN }) => atMost(worstN, least)) as (typeof tried)[number];
  const bottomMm = extensionAtTopMm + reeving * travelMm;
  const feasible = maxExtensionMm === undefined || atMost(bottomMm, maxExtensionMm);
  return accept({
    feasible,
    positions,
    ...worst,
    balanceAtMm: balanceOf(positions),
    staysPut: positions.every(({ residualN }) => atMost(Math.abs(residualN), frictionN)),
    bestStrands: best.n,
    bestWorstN: best.worstN,
    extrapolated:
      below(extensionAtTopMm, points[0]?.extensionMm ?? 0) || above(bottomMm, points.at(-1)?.extensionMm ?? 0),
    ...(!feasible && { reachMm: Math.max(0, ((maxExtensionMm ?? 0) - extensionAtTopMm) / reeving) }),
    ...(question.pulleyPitchDiameterMm !== undefined && {
      torqueNm: (worst.worstN * question.pulleyPitchDiameterMm) / 2000,
    }),
  });
}

/** Both ends of the travel, and between them where a strand's line turns: nothing worse lies between. */
function placesOf({ points, reeving, extensionAtTopMm, travelMm }: BalanceQuestion): number[] {
  const slack = slackAt(points);
  const corners = [...(slack === null ? [] : [slack]), ...points.map(({ extensionMm }) => extensionMm)]
    .map((extension) => (extension - extensionAtTopMm) / reeving)
    .filter((at) => above(at, 0) && below(at, travelMm))
    .sort((a, b) => a - b);
  return [0, ...corners.filter((at, i) => i === 0 || above(at, corners[i - 1] as number)), travelMm];
}

function positionAt(question: BalanceQuestion, strands: number, atMm: number): BalancePosition {
  const { points, reeving, extensionAtTopMm, loadN, frictionN } = question;
  const carriedN = strands * reeving * strandForce(points, extensionAtTopMm + reeving * atMm);
  const residualN = loadN - carriedN;
  return { atMm, carriedN, residualN, upN: residualN + frictionN, downN: residualN - frictionN };
}

function worstOf(positions: readonly BalancePosition[]): Pick<Counterbalance, "worstN" | "worstAtMm" | "worstGoing"> {
  const sizes = positions.map(({ upN, downN }) => Math.max(Math.abs(upN), Math.abs(downN)));
  const worstN = Math.max(...sizes);
  const first = positions[sizes.findIndex((size) => size >= worstN - same)] as BalancePosition;
  return { worstN, worstAtMm: first.atMm, worstGoing: first.residualN >= 0 ? "up" : "down" };
}

/** The first place where load and strands are even; between two places the residual is a straight line. */
function balanceOf(positions: readonly BalancePosition[]): number | null {
  for (const [i, { atMm, residualN }] of positions.entries()) {
    if (alike(residualN, 0)) return atMm;
    const next = positions[i + 1];
    if (next && !alike(next.residualN, 0) && residualN > 0 !== next.residualN > 0)
      return atMm + ((next.atMm - atMm) * residualN) / (residualN - next.residualN);
  }
  return null;
}
