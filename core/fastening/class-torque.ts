/** Property classes of screws (ISO 898-1, ISO 3506-1) whose torque is known here. */
export type PropertyClass = "8.8" | "10.9" | "12.9" | "A2-70";

/** Stress area of coarse metric threads, mm² (ISO 898-1, table 4). */
const stressArea: Readonly<Record<number, number>> = {
  2: 2.07,
  2.5: 3.39,
  3: 5.03,
  4: 8.78,
  5: 14.2,
  6: 20.1,
  8: 36.6,
  10: 58,
  12: 84.3,
  14: 115,
  16: 157,
};
/** Proof stress, MPa, up to M16 (ISO 898-1); of A2-70 its 0.2 % limit (ISO 3506-1). */
const proofMPa: Record<PropertyClass, number> = { "8.8": 580, "10.9": 830, "12.9": 970, "A2-70": 450 };
/** Nut factor of dry and of oiled threads (Machinery's Handbook; it scatters by a quarter and more). */
const nutFactor = { dry: 0.2, lubricated: 0.15 } as const;

/**
 * Torque of a coarse metric screw by its class into a thread as strong as itself: T = K·F·d, F = 0.75·S_p·A_s.
 *
 * @param size "M6", "m 6"
 * @returns N·m; null for a size that is not M2 to M16
 * @example classTorque("M6", "8.8") // 10.49
 * @source Machinery's Handbook (0.75 of proof for joints that are opened again; K); ISO 898-1 (stress area, proof stress)
 */
export function classTorque(
  size: string,
  propertyClass: PropertyClass,
  threads: keyof typeof nutFactor = "dry",
): number | null {
  const d = Number(/^\s*M\s*(\d+(?:[.,]\d+)?)\s*$/i.exec(size)?.[1]?.replace(",", "."));
  const area = stressArea[d];
  if (area === undefined) return null;
  return (nutFactor[threads] * 0.75 * proofMPa[propertyClass] * area * d) / 1000;
}
