import { radians } from "../../numerics";
import type { BeltElement } from "../element";
import { stagePath } from "./path";

/** What a belt, or all of a set, pulls at the shafts of driver and driven at rest, N. */
export type ShaftPulls = { driverN: number; drivenN: number };

/**
 * Static pull on the shafts: both strands at one tension, 2·T·sin(wrap/2) for each belt. Running, the tight strand has more and the slack one less;
 * their sum stays (common practice).
 *
 * @param tensionN of one strand of one belt
 * @returns null where the belt has no path
 * @source statics; the handbooks of belts
 */
export function shaftPulls(element: BeltElement, tensionN: number): ShaftPulls | null {
  const path = stagePath(element);
  if (!path.ok) return null;
  const { laid, driven } = path.value;
  const belts = element.kind === "v-belt" ? element.belts : 1;
  const pull = (wrapDeg: number) => 2 * belts * tensionN * Math.sin(radians(wrapDeg) / 2);
  return { driverN: pull(laid.wraps[0]?.deg ?? 0), drivenN: pull(laid.wraps[driven]?.deg ?? 0) };
}
