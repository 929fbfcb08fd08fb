export const growingMaterials = [
  "steel",
  "stainless",
  "cast-iron",
  "brass",
  "aluminium",
  "zinc",
  "acetal",
  "pa6",
  "pa66",
  "pc",
  "abs",
  "pla",
  "phenolic",
] as const;
export type GrowingMaterial = (typeof growingMaterials)[number];

/**
 * Linear growth a kelvin, and from dry to half wet air (about 50 % relative humidity) and soaked, as a share of the length. Usual values from
 * memory; where a range is usual, its middle. A maker's figure overrules them.
 */
export const growthOf: Readonly<Record<GrowingMaterial, { perK: number; humid: number; soaked: number }>> = {
  steel: { perK: 11.5e-6, humid: 0, soaked: 0 },
  stainless: { perK: 16e-6, humid: 0, soaked: 0 },
  "cast-iron": { perK: 10.5e-6, humid: 0, soaked: 0 },
  brass: { perK: 19e-6, humid: 0, soaked: 0 },
  aluminium: { perK: 23e-6, humid: 0, soaked: 0 },
  zinc: { perK: 27e-6, humid: 0, soaked: 0 },
  acetal: { perK: 110e-6, humid: 0, soaked: 0.002 },
  pa6: { perK: 90e-6, humid: 0.007, soaked: 0.0225 },
  pa66: { perK: 90e-6, humid: 0.0055, soaked: 0.02 },
  pc: { perK: 65e-6, humid: 0, soaked: 0 },
  abs: { perK: 85e-6, humid: 0, soaked: 0 },
  pla: { perK: 68e-6, humid: 0, soaked: 0 },
  phenolic: { perK: 30e-6, humid: 0, soaked: 0 },
};
