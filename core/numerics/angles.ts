export const radians = (degrees: number): number => (degrees * Math.PI) / 180;
export const degrees = (radian: number): number => (radian * 180) / Math.PI;

/** The same direction in [0, 360). */
export function turnDegrees(angle: number): number {
  const rest = angle % 360;
  const positive = rest < 0 ? rest + 360 : rest;
  return positive === 360 || positive === 0 ? 0 : positive;
}
