import { radians } from "../numerics";
import { accept, type Result } from "../quantity";
import { gearPair, type PairGeometry } from "./pair";

export type ThermalMesh = { centreDistanceChangeMm: number; backlashChangeMm: number; backlashMm: number };

/**
 * What warming does to a mesh, linear in the expansions: the housing opens the centres, each gear grows about its own axis by
 * its working radius. About 1 % off the exact change of both gears for plastics over 40 K; unequal gears also change their
 * base pitch, which is not told here.
 *
 * @param housingPerK, gearPerK expansion coefficients, 1/K
 * @param housingByK, gearByK temperature rises from where the pair was installed
 */
export function thermalMesh(
  geometry: PairGeometry,
  housingPerK: number,
  gearPerK: readonly [number, number],
  housingByK: number,
  gearByK: readonly [number, number],
): Result<ThermalMesh> {
  const pair = gearPair(geometry);
  if (!pair.ok) return pair;
  const { centreDistanceMm, workingPitchDiameterMm, workingPressureAngleDeg, backlash } = pair.value;
  const centreChange = centreDistanceMm * housingPerK * housingByK;
  const growth = ([0, 1] as const).map((i) => (workingPitchDiameterMm[i] / 2) * gearPerK[i] * gearByK[i]) as [
    number,
    number,
  ];
  const opening = geometry.internal ? growth[1] - growth[0] - centreChange : centreChange - growth[0] - growth[1];
  const backlashChange = 2 * Math.tan(radians(workingPressureAngleDeg)) * opening;
  return accept({
    centreDistanceChangeMm: centreChange,
    backlashChangeMm: backlashChange,
    backlashMm: backlash.circumferentialMm + backlashChange,
  });
}
