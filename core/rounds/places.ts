import { type Frame, placeCount } from "../stages";
import { roundPlan } from "./round-plan";

/** On part of a turn fewer places tell as much. */
const arcPlaces = 8;

/**
 * Places to read in a round, from 1 at the witness mark: on a full turn of a pair of gears those of `roundPlan`, else evenly spread
 * over every belt; on a stage that turns only so far, spread over its arc with both ends, for nothing else is ever in mesh.
 *
 * @param even steps as even as the teeth allow, which tell one part from the other less well
 * @param arcDeg angles from and to, from the witness mark; null for a full turn
 */
export function placesToRead(frame: Frame, arcDeg: readonly [number, number] | null, even = false): number[] {
  const { places, teeth, usual, belts } = frame;
  if (arcDeg && arcDeg[1] - arcDeg[0] < 360) return placesOnArc(places, arcDeg);
  const count = Math.min(usual, places);
  if (teeth && !even) {
    const plan = roundPlan(teeth, count, 1);
    if (!plan.ok) return [];
    // Read on from the witness mark: a plan moved along within its turn tells the two parts apart as well as before.
    const first = Math.min(...plan.value.gearToothIndices);
    return plan.value.gearToothIndices.map((index) => index - first + 1);
  }
  const onOne = Array.from({ length: count }, (_, i) => Math.floor((i * places) / count) + 1);
  return Array.from({ length: belts }, (_, belt) => onOne.map((place) => belt * places + place))
    .flat()
    .filter((place) => place <= placeCount(frame));
}

function placesOnArc(z: number, arcDeg: readonly [number, number]): number[] {
  const first = Math.ceil((arcDeg[0] * z) / 360 - 1e-9);
  const last = Math.floor((arcDeg[1] * z) / 360 + 1e-9);
  const count = Math.min(arcPlaces, last - first + 1);
  if (count < 1) return [];
  const indices = Array.from({ length: count }, (_, i) =>
    Math.round(first + (count === 1 ? 0 : (i * (last - first)) / (count - 1))),
  );
  return indices.map((index) => (((index % z) + z) % z) + 1);
}
