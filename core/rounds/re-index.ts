import { gcd, lcm } from "../numerics";
import type { Harmonics } from "./fit-round";

export type ReIndexed = {
  /** From the least to the greatest fitted value as the teeth mesh now. */
  spread: number;
  /** Turning the pinion on by so many teeth before it goes back into mesh gives the least spread there is. */
  turnOn: number;
  spreadThen: number;
  /** What would be left if the one or the other ran true. */
  gearTrued: number;
  pinionTrued: number;
};

/**
 * What is gained where the two wobbles meet differently, or one of them is trued. Which teeth of the pinion meet which of the gear repeats with
 * what both counts have in common: in a whole ratio always the same ones meet, so the tight side of the pinion can be turned away from
 * that of the gear; in a hunting pair every tooth meets every other, and turning it on gains nothing.
 *
 * @param harmonics fitted with both waves
 * @param teeth pinion and gear
 * @returns null where the two were not told apart
 */
export function reIndex({ gear, pinion }: Harmonics, [z1, z2]: readonly [number, number]): ReIndexed | null {
  if (!pinion) return null;
  const wave = (of: typeof gear, tooth: number, teeth: number) =>
    -of.amplitude * Math.cos((2 * Math.PI * tooth) / teeth - of.tightRad);
  const ofGear = Array.from({ length: z2 }, (_, k) => wave(gear, k, z2));
  const ofPinion = Array.from({ length: z1 }, (_, k) => wave(pinion, k, z1));
  const cycle = lcm(z1, z2);
  const spreadAt = (turned: number): number => {
    let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    for (let k = 0; k < cycle; k++) {
      const value = (ofGear[k % z2] as number) + (ofPinion[(k + turned) % z1] as number);
      if (value < least) least = value;
      if (value > most) most = value;
    }
    return most - least;
  };
  const span = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
  const spread = spreadAt(0);
  let best = { turnOn: 0, spreadThen: spread };
  for (let turned = 1; turned < gcd(z1, z2); turned++) {
    const then = spreadAt(turned);
    if (then < best.spreadThen - 1e-9) best = { turnOn: turned, spreadThen: then };
  }
  return { spread, ...best, gearTrued: span(ofPinion), pinionTrued: span(ofGear) };
}
