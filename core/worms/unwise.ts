import { type WormGeometry, wormPair } from "./worm-pair";

export type UnwiseWorm =
  | { code: "worm-jams"; byMm: number }
  | { code: "worm-thin"; quotient: number }
  | { code: "worm-seems-self-locking"; leadAngleDeg: number };

/** Diameter quotient d1/m_x below which a worm bends under load (common practice: 8 to 18). */
const leastQuotient = 6;
/** Lead angle below which a worm usually holds its load, until it is shaken or warm (common practice). */
const lockingLeadDeg = 5;

/** What is unwise in a worm and wheel: to be said and recorded, never refused. */
export function unwiseWorm(worm: WormGeometry): UnwiseWorm[] {
  const { nominalCentreDistanceMm, leadAngleDeg } = wormPair(worm);
  const found: UnwiseWorm[] = [];
  const short = nominalCentreDistanceMm - (worm.centreDistanceMm ?? nominalCentreDistanceMm);
  if (short > 1e-9) found.push({ code: "worm-jams", byMm: short });
  const quotient = worm.wormPitchDiameterMm / worm.axialModuleMm;
  if (quotient < leastQuotient) found.push({ code: "worm-thin", quotient });
  if (leadAngleDeg < lockingLeadDeg) found.push({ code: "worm-seems-self-locking", leadAngleDeg });
  return found;
}
