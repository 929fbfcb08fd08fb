import { radians } from "../numerics";
import { mustHold, roundTo } from "../quantity";
import {
  frameOf,
  fromJudged,
  judgedBy,
  type MeasuredQuantity,
  onBelt,
  placeAngle,
  type StageElement,
  sensitivityOf,
  toJudged,
} from "../stages";
import { normalDeviate, type Random } from "./random";

type Runout = { eccentricityMm: number; tightAngleDeg: number };

export type HiddenStage = {
  element: StageElement;
  /** Mean of the judged quantity now. */
  mean: number;
  /** Of the part that is read round, and of the one that turns with it. */
  gear: Runout;
  pinion: Runout;
  /** What the adjuster really does, as a factor on its law. */
  response: number;
  /** How each belt of a set differs from the mean, as a part of it. */
  belts?: readonly number[] | undefined;
};

/** A stage with hidden wobble: read it as an instrument would, move what its adjuster moves, let it drift. */
export type SimulatedStage = {
  /** The judged quantity at a place, as the instrument lets it be seen. */
  read: (place: number, turn?: number) => number;
  /** What the instrument shows there. */
  measure: (place: number, turn?: number) => number;
  /** What a shown value is in the judged quantity. */
  judge: (measured: number) => number;
  moveCentres: (changeMm: number) => void;
  drift: (change: number) => void;
  /** Mean of the judged quantity as it stands. */
  mean: () => number;
};

/**
 * @param quantity what is measured
 * @param resolution steps of the simulated instrument, in the unit it shows
 * @param noiseSd standard deviation of one reading before rounding, in the same unit
 */
export function simulatedStage(
  hidden: HiddenStage,
  quantity: MeasuredQuantity,
  resolution: number,
  noiseSd: number,
  random: Random,
): SimulatedStage {
  const { element } = hidden;
  const frame = frameOf(element);
  const ratio = frame.teeth ? frame.teeth[1] / frame.teeth[0] : 1;
  const way = mustHold(toJudged(element, { quantity, held: null, indicatorRadiusMm: null, indicatorAngleDeg: 0 }));
  // Sag answers on the scale of its square.
  const squared = judgedBy(element) === "sag";
  const slope = sensitivityOf(element, squared ? 0.5 : hidden.mean, hidden.mean) ?? 1;
  let mean = hidden.mean;
  const wave = ({ eccentricityMm, tightAngleDeg }: Runout, angleDeg: number) =>
    eccentricityMm * (squared ? 1 : Math.abs(slope)) * Math.cos(radians(angleDeg - tightAngleDeg));
  const exact = (place: number, turn: number) => {
    const angle = placeAngle(frame, { tooth: place, turn });
    const ofBelt = 1 + (hidden.belts?.[onBelt(frame, place).belt - 1] ?? 0);
    return mean * ofBelt - wave(hidden.gear, angle) - wave(hidden.pinion, angle * ratio);
  };
  const measure = (place: number, turn = 1) => {
    const shown = fromJudged(way.convert, Math.max(1e-6, exact(place, turn)));
    return Math.max(resolution, roundTo(shown + normalDeviate(random, noiseSd), resolution));
  };
  return {
    measure,
    judge: way.convert,
    read: (place, turn) => way.convert(measure(place, turn)),
    moveCentres: (changeMm) => {
      const shift = hidden.response * slope * changeMm;
      mean = squared ? Math.sqrt(Math.max(0, mean * mean + shift)) : mean + shift;
    },
    drift: (change) => {
      mean += change;
    },
    mean: () => mean,
  };
}
