import { roundPlan } from "./round-plan";

/** Places of a full round: enough to tell gear runout from pinion runout with two over. */
const usualPlaces = 12;
/** On part of a turn fewer tell as much. */
const arcPlaces = 8;

/**
 * Teeth to read in a round, from 1 at the witness mark: on a full turn those of `roundPlan`; on a stage that turns only so far, places
 * spread evenly over its arc with both ends, for nothing else is ever in mesh.
 *
 * @param arcDeg gear angles from and to, from the witness mark; null for a full turn
 */
export function placesToRead(teeth: readonly [number, number], arcDeg: readonly [number, number] | null): number[] {
  const z = teeth[1];
  if (!arcDeg || arcDeg[1] - arcDeg[0] >= 360) {
    const plan = roundPlan(teeth, Math.min(usualPlaces, z), 1);
    return plan.ok ? plan.value.gearToothIndices.map((index) => index + 1) : [];
  }
  const first = Math.ceil((arcDeg[0] * z) / 360 - 1e-9);
  const last = Math.floor((arcDeg[1] * z) / 360 + 1e-9);
  const count = Math.min(arcPlaces, last - first + 1);
  if (count < 1) return [];
  const indices = Array.from({ length: count }, (_, i) =>
    Math.round(first + (count === 1 ? 0 : (i * (last - first)) / (count - 1))),
  );
  return indices.map((index) => (((index % z) + z) % z) + 1);
}
