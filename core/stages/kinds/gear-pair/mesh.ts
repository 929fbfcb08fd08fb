import { type GearPair, gearPair, type PairGeometry } from "../../../gears";
import { radians } from "../../../numerics";
import { accept, type Result } from "../../../quantity";
import type { ToJudged } from "../../measured";
import type { RockedWheel } from "../kind";
import type { GearElement } from "./schema";

/**
 * How far real tips and roots stray from the drawing, half the range in mm: common practice. A clearance between tip and root
 * carries it into the backlash that is worked out from it.
 */
const tipStrayMm = 0.05;

/** From the clearance of the pinion's tip to the gear's root the centre distance is the present one plus what it differs from its nominal. */
export function tipWay(pair: PairGeometry): Result<ToJudged> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  const { centreDistanceMm, tipClearanceMm, backlashPerCentreMm } = mesh.value;
  const sign = pair.internal ? -1 : 1;
  const slope = Math.abs(backlashPerCentreMm);
  return accept({
    convert: (mm) => {
      const there = gearPair({ ...pair, centreDistanceMm: centreDistanceMm + sign * (mm - tipClearanceMm[0]) });
      return there.ok ? there.value.backlash.circumferentialMm : Number.NaN;
    },
    factor: () => slope,
    ownUncertainty: (slope * tipStrayMm * Math.SQRT2) / Math.sqrt(3),
    indicatorRadiusMm: null,
  });
}

export function rockedGear({ pair }: GearElement): Result<RockedWheel> {
  const mesh = gearPair(pair);
  if (!mesh.ok) return mesh;
  return accept({
    radiusMm: mesh.value.workingPitchDiameterMm[1] / 2,
    normalPerCircumferential: normalPerCircumferential(pair, mesh.value),
  });
}

/** j_n/j_t of a pair on parallel axes: cos α_wt·cos β_b. */
export function normalPerCircumferential(pair: PairGeometry, mesh: GearPair): number {
  const baseHelix = Math.asin(Math.sin(radians(pair.helixAngleDeg)) * Math.cos(radians(pair.pressureAngleDeg)));
  return Math.cos(radians(mesh.workingPressureAngleDeg)) * Math.cos(baseHelix);
}
