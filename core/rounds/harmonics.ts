import { conditionNumber, radians } from "../numerics";

/** 1, cos θ, sin θ of the gear. */
export const gearTerms = (gearAngleDeg: number): number[] => {
  const theta = radians(gearAngleDeg);
  return [1, Math.cos(theta), Math.sin(theta)];
};

/** The gear's terms and cos ρθ, sin ρθ of the pinion. */
export const pairTerms = (gearAngleDeg: number, ratio: number): number[] => {
  const phi = radians(gearAngleDeg) * ratio;
  return [...gearTerms(gearAngleDeg), Math.cos(phi), Math.sin(phi)];
};

/** 2-norm condition number of rows of terms. */
export function conditionOf(rows: readonly (readonly number[])[]): number {
  const width = rows[0]?.length ?? 0;
  return conditionNumber(Array.from({ length: width }, (_, column) => rows.map((row) => row[column] ?? 0)));
}

/** Gear and pinion can be told apart at or below this condition number. */
export const separableCondition = 10;
