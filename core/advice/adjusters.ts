import { degrees, radians } from "../numerics";
import type { Adjuster, Travel } from "./schema";

export type { Adjuster, Travel } from "./schema";

export type MoveUnit = "mm" | "turns" | "mm-at-lever" | "deg" | "mm-of-shim";

export const unitOf = (adjuster: Adjuster): MoveUnit =>
  (({ slide: "mm", screw: "turns", pivot: "mm-at-lever", eccentric: "deg", shims: "mm-of-shim" }) as const)[
    adjuster.type
  ];

export type LinearAdjuster = Exclude<Adjuster, { type: "eccentric" }>;

/** mm of centre distance per unit of a linear adjuster (calc contract, table of adjusters). */
export function gainOf(adjuster: LinearAdjuster): number {
  switch (adjuster.type) {
    case "slide":
      return Math.cos(radians(adjuster.angleDeg));
    case "screw":
      return adjuster.leadMm * Math.cos(radians(adjuster.angleDeg));
    case "pivot":
      return (adjuster.armMm / adjuster.leverMm) * Math.sin(radians(adjuster.angleDeg));
    case "shims":
      return adjuster.perMm;
  }
}

/** Change of centre distance, mm, that an amount of the adjuster gives; positive opens the centres. */
export function centreChange(adjuster: Adjuster, amount: number): number {
  if (adjuster.type !== "eccentric") return amount * gainOf(adjuster);
  const from = radians(adjuster.angleDeg);
  return adjuster.throwMm * (Math.cos(from + radians(amount)) - Math.cos(from));
}

/** Whether the adjuster can move the centres at all: a slot square to the line of centres cannot. */
export const canMove = (adjuster: Adjuster): boolean =>
  adjuster.type === "eccentric" || Math.abs(gainOf(adjuster)) > 1e-12;

/**
 * The amount that gives a change of centre distance, as far as the travel lets it.
 *
 * @returns amount, and whether it gives the whole change
 */
export function amountFor(adjuster: Adjuster, changeMm: number): { amount: number; reaches: boolean } {
  if (adjuster.type === "eccentric") return eccentricAmount(adjuster, changeMm);
  return withinTravel(changeMm / gainOf(adjuster), adjuster.travel);
}

export function withinTravel(amount: number, travel: Travel | undefined): { amount: number; reaches: boolean } {
  if (!travel) return { amount, reaches: true };
  const limited = Math.min(travel.max, Math.max(travel.min, amount));
  const reaches = Math.abs(limited - amount) <= 1e-9 * Math.max(1, Math.abs(amount));
  return { amount: reaches ? amount : limited, reaches };
}

/**
 * An eccentric gives throw·(cos(angle + x) − cos(angle)): two solutions a turn. Taken is the nearest within ±360° and, if
 * any lies there, within the travel; where none does, the turn within the travel that comes closest to the wanted change.
 */
function eccentricAmount(
  adjuster: Extract<Adjuster, { type: "eccentric" }>,
  changeMm: number,
): { amount: number; reaches: boolean } {
  const travel = adjuster.travel;
  const low = Math.max(-360, travel?.min ?? -360);
  const high = Math.min(360, travel?.max ?? 360);
  const inTravel = (x: number) => x >= low - 1e-9 && x <= high + 1e-9;
  const cosine = Math.cos(radians(adjuster.angleDeg)) + changeMm / adjuster.throwMm;
  if (Math.abs(cosine) <= 1 + 1e-12) {
    const turned = degrees(Math.acos(Math.min(1, Math.max(-1, cosine))));
    const amount = nearestToZero(everyTurn([turned, -turned], adjuster.angleDeg).filter(inTravel));
    if (amount !== null) return { amount, reaches: true };
  }
  const ends = [low, high, ...everyTurn([0, 180], adjuster.angleDeg).filter(inTravel)];
  const miss = (x: number) => Math.abs(centreChange(adjuster, x) - changeMm);
  const least = Math.min(...ends.map(miss));
  const amount = nearestToZero(ends.filter((x) => miss(x) <= least + 1e-12)) ?? 0;
  return { amount, reaches: false };
}

const everyTurn = (directions: readonly number[], fromDeg: number): number[] =>
  directions.flatMap((direction) => {
    const first = (direction - fromDeg) % 360;
    return [first - 360, first, first + 360].filter((x) => Math.abs(x) <= 360 + 1e-9);
  });

const nearestToZero = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((a, b) => (Math.abs(b) < Math.abs(a) - 1e-12 ? b : a));
