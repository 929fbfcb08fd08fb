/** How a toothed belt's teeth are shaped. */
export const toothProfiles = ["trapezoidal", "curvilinear"] as const;
export type ToothProfile = (typeof toothProfiles)[number];

/**
 * Grams a metre for every millimetre of width, by pitch: usual rubber and polyurethane belts of the profiles of ISO 5296 and ISO 13050. From
 * memory; makers differ by some 15 %.
 */
const gramsByPitch: Record<ToothProfile, Readonly<Record<number, number>>> = {
  trapezoidal: { 2.5: 1.5, 5: 2.4, 10: 4.8, 20: 8.4 },
  curvilinear: { 2: 1.4, 3: 2.4, 5: 4.1, 8: 5.8, 14: 10 },
};

/** V-belts by section, the top width in mm: classical and narrow ones of ISO 4184. */
export const vSections = [
  "10",
  "13",
  "17",
  "22",
  "32",
  "9.7 narrow",
  "12.7 narrow",
  "16.3 narrow",
  "22 narrow",
] as const;
export type VSection = (typeof vSections)[number];

/** kg/m of one belt. From memory. */
const kgBySection: Record<VSection, number> = {
  "10": 0.064,
  "13": 0.109,
  "17": 0.196,
  "22": 0.324,
  "32": 0.668,
  "9.7 narrow": 0.074,
  "12.7 narrow": 0.123,
  "16.3 narrow": 0.195,
  "22 narrow": 0.377,
};

/** How far a belt may weigh otherwise than its class, as a standard uncertainty: half of 15 % (common practice). */
export const classSpread = 0.075;

/**
 * Mass a metre of a toothed belt by its class: pitch, profile and width.
 *
 * @returns kg/m; null where no class of that pitch is known
 */
export function toothedBeltMass(profile: ToothProfile, pitchMm: number, widthMm: number): number | null {
  const grams = gramsByPitch[profile][pitchMm];
  return grams === undefined ? null : (grams * widthMm) / 1000;
}

/** Mass a metre of one V-belt by its section, kg/m. */
export const vBeltMass = (section: VSection): number => kgBySection[section];
