import { gearPair, type PairGeometry } from "../gears";
import { radians } from "../numerics";
import { mustHold, roundTo } from "../quantity";
import { normalDeviate, type Random } from "./random";

export type HiddenMesh = {
  pair: PairGeometry;
  /** Mean backlash now, mm. */
  meanMm: number;
  gear: { eccentricityMm: number; tightAngleDeg: number };
  pinion: { eccentricityMm: number; tightAngleDeg: number };
  /** What the adjuster really does, as a factor on its law. */
  response: number;
};

/** A gear mesh with hidden runout: read it with an indicator, move its centres, let it drift. */
export type SimulatedMesh = {
  read: (gearAngleDeg: number) => number;
  moveCentres: (changeMm: number) => void;
  drift: (changeMm: number) => void;
};

/**
 * @param resolutionMm steps of the simulated indicator
 * @param noiseSd standard deviation of one reading before rounding, mm
 */
export function simulatedMesh(
  hidden: HiddenMesh,
  resolutionMm: number,
  noiseSd: number,
  random: Random,
): SimulatedMesh {
  const perCentre = mustHold(gearPair(hidden.pair)).backlashPerCentreMm;
  const ratio = hidden.pair.teeth[1] / hidden.pair.teeth[0];
  let mean = hidden.meanMm;
  const wave = ({ eccentricityMm, tightAngleDeg }: HiddenMesh["gear"], angleDeg: number) =>
    eccentricityMm * Math.abs(perCentre) * Math.cos(radians(angleDeg - tightAngleDeg));
  return {
    read: (angle) => {
      const exact = mean - wave(hidden.gear, angle) - wave(hidden.pinion, angle * ratio);
      return Math.max(0, roundTo(exact + normalDeviate(random, noiseSd), resolutionMm));
    },
    moveCentres: (changeMm) => {
      mean += hidden.response * perCentre * changeMm;
    },
    drift: (changeMm) => {
      mean += changeMm;
    },
  };
}
