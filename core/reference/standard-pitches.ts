/** Normal modules, mm: ISO 54:1996 first and second choice from 1, with 3.25 and 3.75 of older tables; below 1 the usual
 * fine-pitch steps (DIN 780, from memory). */
export const standardModulesMm = [
  0.1, 0.12, 0.15, 0.2, 0.25, 0.3, 0.35, 0.4, 0.45, 0.5, 0.55, 0.6, 0.7, 0.75, 0.8, 0.9, 1, 1.125, 1.25, 1.375, 1.5,
  1.75, 2, 2.25, 2.5, 2.75, 3, 3.25, 3.5, 3.75, 4, 4.5, 5, 5.5, 6, 6.5, 7, 8, 9, 10,
] as const;

/** Diametral pitches, 1/in (Machinery's Handbook, "Spur gearing"). */
export const standardDiametralPitches = [
  200, 180, 160, 150, 120, 100, 96, 80, 72, 64, 56, 48, 44, 40, 36, 32, 28, 24, 20, 18, 16, 14, 12, 10, 8, 6, 5, 4, 3,
] as const;

/** Normal pressure angles met in practice, degrees (ISO 53: 20; 14.5 and 25 of inch practice). */
export const commonPressureAnglesDeg = [14.5, 20, 25] as const;

/** Module of a diametral pitch, exact: 25.4/P mm. */
export const moduleOfDiametralPitch = (perInch: number): number => 25.4 / perInch;
