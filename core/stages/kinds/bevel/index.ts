import { bevelPair, unwiseBevel } from "../../../bevels";
import { radians } from "../../../numerics";
import { accept, type Result } from "../../../quantity";
import { oneRatio } from "../../ratio";
import { meshRecurrences } from "../../recurrence";
import { roundedUp } from "../../rule";
import {
  backlashWay,
  meshFrame,
  meshLostMotion,
  recommendBesideMesh,
  toothedSides,
  toothedWays,
} from "../../toothed/mesh";
import type { Kind, RockedWheel } from "../kind";
import type { BevelElement } from "./schema";
import { bevelThrusts } from "./thrust";

/** A bevel pair; its shims lie behind one member. */
export const bevel: Kind<"bevel"> = {
  felt: "click",
  law: () => "geometry",
  frame: (element) => meshFrame(element.bevel.teeth),
  judgedBy: () => "backlash",
  waysToMeasure: () => toothedWays,
  limitWays: () => toothedWays,
  sides: () => toothedSides,
  toJudged: (element, way) => backlashWay(gearOf(element), way),
  sensitivity: (element) => bevelPair(element.bevel).backlashPerAxialMm[element.shimmed === "pinion" ? 0 : 1],
  ratios: (element) => {
    const { teeth } = element.bevel;
    const internal = bevelPair(element.bevel).pitchAngleDeg[1] > 90;
    return oneRatio(((internal ? 1 : -1) * teeth[1]) / teeth[0]);
  },
  efficiency: () => 0.97,
  lostMotionArcmin: (element, value) => meshLostMotion(gearOf(element), value),
  recurrences: (element) => meshRecurrences(element.bevel.teeth),
  thrusts: bevelThrusts,
  tangentialForceN: (element, outputTorqueNm) => {
    const { pitchDiameterMm, pitchAngleDeg } = bevelPair(element.bevel);
    const mean = pitchDiameterMm[1] - (element.faceWidthMm ?? 0) * Math.sin(radians(pitchAngleDeg[1]));
    return (2000 * outputTorqueNm) / mean;
  },
  rockedWheel: gearOf,
  teeth: (element) => element.bevel.teeth,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
  check: (element) => accept(unwiseBevel(element.bevel)),
  recommend: ({ bevel: { moduleMm: m } }) => {
    const lo = Math.max(0.05, 0.03 * m);
    // The rule's band is narrower than a bevel of its runout can hold: twice the least where that is more.
    const hi = Math.max(0.05 * m, 2 * lo);
    const facts = { m, twice: hi > 0.05 * m ? 1 : 0 };
    return { lo: roundedUp(lo, 0.01), hi: roundedUp(hi, 0.01), rule: "bevel", facts };
  },
  recommendSide: (_, quantity, asked) => recommendBesideMesh(quantity, asked),
  mirrored: (element) => {
    const { spiralAngleDeg } = element.bevel;
    return { ...element, bevel: { ...element.bevel, spiralAngleDeg: spiralAngleDeg === 0 ? 0 : -spiralAngleDeg } };
  },
};

function gearOf({ bevel: pair }: BevelElement): Result<RockedWheel> {
  return accept({
    radiusMm: bevelPair(pair).pitchDiameterMm[1] / 2,
    normalPerCircumferential: Math.cos(radians(pair.pressureAngleDeg)) * Math.cos(radians(pair.spiralAngleDeg)),
  });
}
