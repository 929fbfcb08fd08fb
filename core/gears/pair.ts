import { degrees } from "../numerics";
import { accept, type Result, refuse } from "../quantity";
import { inverseInvolute, involute } from "./involute";
import { type GearBlank, isUndercut, type ToothCircles, toothCircles } from "./tooth-circles";

/** Pinion and gear as given, defaults filled in. Lengths mm, angles degrees; see README for signs. */
export type PairGeometry = {
  teeth: readonly [number, number];
  moduleMm: number;
  pressureAngleDeg: number;
  helixAngleDeg: number;
  profileShift: readonly [number, number];
  thinningMm: readonly [number, number];
  faceWidthMm?: number | undefined;
  tipDiameterMm?: readonly [number, number] | undefined;
  internal: boolean;
  centreDistanceMm?: number | undefined;
};

/** A plain spur pair: 20°, unshifted, unthinned, external. */
export const spurPair = (
  teeth: readonly [number, number],
  moduleMm: number,
  centreDistanceMm?: number,
): PairGeometry => ({
  teeth,
  moduleMm,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: [0, 0],
  thinningMm: [0, 0],
  internal: false,
  centreDistanceMm,
});

export type GearPair = {
  moduleMm: number;
  referenceDiameterMm: [number, number];
  baseDiameterMm: [number, number];
  tipDiameterMm: [number, number];
  rootDiameterMm: [number, number];
  workingPitchDiameterMm: [number, number];
  referenceCentreDistanceMm: number;
  zeroBacklashCentreDistanceMm: number;
  centreDistanceMm: number;
  workingPressureAngleDeg: number;
  transverseContactRatio: number;
  overlapRatio: number;
  backlash: { circumferentialMm: number; normalMm: number; radialMm: number; angularArcmin: [number, number] };
  backlashPerCentreMm: number;
  tipClearanceMm: [number, number];
  undercut: [boolean, boolean];
  ratio: number;
};

/**
 * A pair in mesh at its installed centre distance (ISO 21771). Backlash is exact, pitch less both tooth thicknesses at the
 * working circles; `backlashPerCentreMm` is the tangent ±2·tan α_wt, which explains but falls short by about 3.5·Δa²/a.
 * Without a centre distance the pair stands where unthinned teeth would mesh free of backlash.
 *
 * @returns the pair, or a refusal: `no-zero-backlash-distance` at profileShift, `centre-distance-too-small` at
 *   centreDistanceMm (facts: leastMm), `ring-not-larger` at teeth.1
 * @example gearPair({ teeth: [20, 40], moduleMm: 1, …, centreDistanceMm: 30.1 }) // circumferentialMm 0.0739450102
 */
export function gearPair(geometry: PairGeometry): Result<GearPair> {
  const { teeth, internal, moduleMm } = geometry;
  if (internal && teeth[1] <= teeth[0]) return refuse("ring-not-larger", ["teeth", 1], { pinion: teeth[0] });
  const sign = internal ? -1 : 1;
  const blanks = gearBlanks(geometry);
  const circles = [toothCircles(blanks[0]), toothCircles(blanks[1])] as const;
  const alphaT = circles[0].transverseAngle;
  const baseSum = (circles[1].baseDiameterMm + sign * circles[0].baseDiameterMm) / 2;

  const unthinned = involuteFreeOfBacklash(circles, sign, geometry.thinningMm, geometry);
  const thinned = involuteFreeOfBacklash(circles, sign, [0, 0], geometry);
  if (unthinned <= 0 || thinned <= 0) return refuse("no-zero-backlash-distance", ["profileShift"]);
  const freeAngle = inverseInvolute(thinned);
  const nominalDistance = baseSum / Math.cos(inverseInvolute(unthinned));
  const centreDistance = geometry.centreDistanceMm ?? nominalDistance;
  const cosine = baseSum / centreDistance;
  if (cosine > 1) return refuse("centre-distance-too-small", ["centreDistanceMm"], { leastMm: baseSum });
  const alphaW = Math.acos(cosine);

  const workingRadius = circles.map((c) => c.baseDiameterMm / (2 * cosine)) as [number, number];
  const backlash = sign * 2 * centreDistance * (involute(alphaW) - involute(freeAngle));
  const baseHelix = circles[0].baseHelix;
  return accept({
    moduleMm,
    referenceDiameterMm: both(circles, (c) => c.referenceDiameterMm),
    baseDiameterMm: both(circles, (c) => c.baseDiameterMm),
    tipDiameterMm: both(circles, (c) => c.tipDiameterMm),
    rootDiameterMm: both(circles, (c) => c.rootDiameterMm),
    workingPitchDiameterMm: [2 * workingRadius[0], 2 * workingRadius[1]],
    referenceCentreDistanceMm: ((teeth[1] + sign * teeth[0]) * circles[0].transverseModuleMm) / 2,
    zeroBacklashCentreDistanceMm: baseSum / Math.cos(freeAngle),
    centreDistanceMm: centreDistance,
    workingPressureAngleDeg: degrees(alphaW),
    transverseContactRatio: contactRatio(circles, sign, centreDistance, alphaW, alphaT),
    overlapRatio: overlapRatio(geometry),
    backlash: {
      circumferentialMm: backlash,
      normalMm: backlash * Math.cos(alphaW) * Math.cos(baseHelix),
      radialMm: backlash / (2 * Math.tan(alphaW)),
      angularArcmin: [degrees(backlash / workingRadius[0]) * 60, degrees(backlash / workingRadius[1]) * 60],
    },
    backlashPerCentreMm: sign * 2 * Math.tan(alphaW),
    tipClearanceMm: tipClearance(circles, internal, centreDistance),
    undercut: [isUndercut(blanks[0]), isUndercut(blanks[1])],
    ratio: teeth[1] / teeth[0],
  });
}

/** Both members of a pair as gears by themselves. */
export function gearBlanks(geometry: PairGeometry): [GearBlank, GearBlank] {
  const blank = (index: 0 | 1): GearBlank => ({
    teeth: geometry.teeth[index],
    moduleMm: geometry.moduleMm,
    pressureAngleDeg: geometry.pressureAngleDeg,
    helixAngleDeg: geometry.helixAngleDeg,
    profileShift: geometry.profileShift[index],
    thinningMm: geometry.thinningMm[index],
    ring: geometry.internal && index === 1,
    tipDiameterMm: geometry.tipDiameterMm?.[index],
  });
  return [blank(0), blank(1)];
}

type Circles = readonly [ToothCircles, ToothCircles];

const both = <T>(circles: Circles, pick: (c: ToothCircles) => T): [T, T] => [pick(circles[0]), pick(circles[1])];

/** inv α where the teeth, made thicker again by `restoredMm`, touch on both flanks: inv α_t + (s_t1 + s_t2 − π·m_t)/(d1 ± d2). */
function involuteFreeOfBacklash(
  circles: Circles,
  sign: number,
  restoredMm: readonly [number, number],
  geometry: PairGeometry,
): number {
  const restored = (restoredMm[0] + restoredMm[1]) / Math.cos((geometry.helixAngleDeg * Math.PI) / 180);
  const thickness = circles[0].thicknessMm + circles[1].thicknessMm + restored;
  const excess = thickness - Math.PI * circles[0].transverseModuleMm;
  const diameters = circles[0].referenceDiameterMm + sign * circles[1].referenceDiameterMm;
  return involute(circles[0].transverseAngle) + excess / diameters;
}

function contactRatio(circles: Circles, sign: number, centre: number, alphaW: number, alphaT: number): number {
  const reach = (c: ToothCircles) => Math.sqrt(Math.max(0, (c.tipDiameterMm / 2) ** 2 - (c.baseDiameterMm / 2) ** 2));
  const path = reach(circles[0]) + sign * reach(circles[1]) - sign * centre * Math.sin(alphaW);
  return path / (Math.PI * circles[0].transverseModuleMm * Math.cos(alphaT));
}

export function overlapRatio(geometry: PairGeometry): number {
  const helix = (Math.abs(geometry.helixAngleDeg) * Math.PI) / 180;
  return ((geometry.faceWidthMm ?? 0) * Math.sin(helix)) / (Math.PI * geometry.moduleMm);
}

function tipClearance(circles: Circles, internal: boolean, centre: number): [number, number] {
  const tip = both(circles, (c) => c.tipDiameterMm / 2);
  const root = both(circles, (c) => c.rootDiameterMm / 2);
  return internal
    ? [root[1] - centre - tip[0], tip[1] - centre - root[0]]
    : [centre - tip[0] - root[1], centre - tip[1] - root[0]];
}
