import { radians } from "../numerics";
import { type BevelGeometry, bevelPair } from "./bevel-pair";

export type UnwiseBevel =
  | { code: "bevel-undercut"; member: 0 | 1; virtualTeeth: number; least: number }
  | { code: "bevel-internal"; pitchAngleDeg: number };

/** What is unwise in a bevel pair: to be said and recorded, never refused. */
export function unwiseBevel(bevel: BevelGeometry): UnwiseBevel[] {
  const { pitchAngleDeg } = bevelPair(bevel);
  const found: UnwiseBevel[] = [];
  // An unshifted rack-cut tooth is undercut below 2/sin²α teeth (ISO 53 rack); a bevel counts as the spur gear of its back cone.
  const least = 2 / Math.sin(radians(bevel.pressureAngleDeg)) ** 2;
  for (const member of [0, 1] as const) {
    if (pitchAngleDeg[member] >= 90) {
      found.push({ code: "bevel-internal", pitchAngleDeg: pitchAngleDeg[member] });
      continue;
    }
    // A spiral tooth counts in its normal section: cos³β as for a helical gear.
    const virtualTeeth =
      bevel.teeth[member] / (Math.cos(radians(pitchAngleDeg[member])) * Math.cos(radians(bevel.spiralAngleDeg)) ** 3);
    if (virtualTeeth < least) found.push({ code: "bevel-undercut", member, virtualTeeth, least });
  }
  return found;
}
