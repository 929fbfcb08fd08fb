import { degrees, radians } from "../numerics";

/** Worm and wheel as given, defaults filled in. Lengths mm, angles degrees. */
export type WormGeometry = {
  wormStarts: number;
  wheelTeeth: number;
  axialModuleMm: number;
  wormPitchDiameterMm: number;
  pressureAngleDeg: number;
  centreDistanceMm?: number | undefined;
};

export type WormPlay = { wheelBacklashMm?: number | undefined; wormEndFloatMm?: number | undefined };

export type WormPair = {
  ratio: number;
  leadAngleDeg: number;
  axialPressureAngleDeg: number;
  nominalCentreDistanceMm: number;
  /** Circumferential change at the wheel per mm of centre distance: 2·tan α_x. */
  backlashPerCentreMm: number;
  lostMotion: { meshArcmin: number; endFloatArcmin: number; totalArcmin: number };
};

/**
 * A worm and its wheel (ISO/TR 14521 symbols; README). Lost motion at the wheel is told in two parts, since the one answers to
 * the centre distance and the other to the worm's bearings alone. Without a measured backlash it is that of the centre
 * distance, not below 0; without either it is 0.
 *
 * @example wormPair({ wormStarts: 2, wheelTeeth: 30, axialModuleMm: 3, wormPitchDiameterMm: 44, pressureAngleDeg: 20 })
 *   // leadAngleDeg 7.765166, nominalCentreDistanceMm 67
 */
export function wormPair(worm: WormGeometry, play: WormPlay = {}): WormPair {
  const { wormStarts, wheelTeeth, axialModuleMm, wormPitchDiameterMm, centreDistanceMm } = worm;
  const lead = Math.atan((wormStarts * axialModuleMm) / wormPitchDiameterMm);
  const axial = Math.atan(Math.tan(radians(worm.pressureAngleDeg)) / Math.cos(lead));
  const wheelRadius = (wheelTeeth * axialModuleMm) / 2;
  const nominalCentreDistanceMm = wormPitchDiameterMm / 2 + wheelRadius;
  const backlashPerCentreMm = 2 * Math.tan(axial);
  const opened = centreDistanceMm === undefined ? 0 : centreDistanceMm - nominalCentreDistanceMm;
  const backlash = play.wheelBacklashMm ?? Math.max(0, opened * backlashPerCentreMm);
  const meshArcmin = degrees(backlash / wheelRadius) * 60;
  const endFloatArcmin = degrees((play.wormEndFloatMm ?? 0) / wheelRadius) * 60;
  return {
    ratio: wheelTeeth / wormStarts,
    leadAngleDeg: degrees(lead),
    axialPressureAngleDeg: degrees(axial),
    nominalCentreDistanceMm,
    backlashPerCentreMm,
    lostMotion: { meshArcmin, endFloatArcmin, totalArcmin: meshArcmin + endFloatArcmin },
  };
}

/** Efficiency with the worm driving, tan γ/tan(γ + ρ′), tan ρ′ = μ/cos α_n; friction of bearings and churning left out. */
export function wormEfficiency(worm: WormGeometry, friction: number): number {
  const lead = radians(wormPair(worm).leadAngleDeg);
  return Math.tan(lead) / Math.tan(lead + Math.atan(friction / Math.cos(radians(worm.pressureAngleDeg))));
}
