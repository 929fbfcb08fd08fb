import { bevelPair } from "../../../bevels";
import { radians } from "../../../numerics";
import { accept, type Result } from "../../../quantity";
import { wholeDepthOf } from "../../printable";
import { oneRatio } from "../../ratio";
import { meshRecurrences } from "../../recurrence";
import { backlashWay, meshFrame, meshLostMotion, toothedSides, toothedWays } from "../../toothed/mesh";
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
  printed: ({ bevel: b, faceWidthMm }) => ({
    kinds: ["bevel"],
    wholeDepthMm: wholeDepthOf(b.moduleMm),
    faceWidthMm: faceWidthMm ?? null,
    pressureAngleDeg: b.pressureAngleDeg,
    spiral: b.spiralAngleDeg !== 0,
  }),
  teeth: (element) => element.bevel.teeth,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};

function gearOf({ bevel: pair }: BevelElement): Result<RockedWheel> {
  return accept({
    radiusMm: bevelPair(pair).pitchDiameterMm[1] / 2,
    normalPerCircumferential: Math.cos(radians(pair.pressureAngleDeg)) * Math.cos(radians(pair.spiralAngleDeg)),
  });
}
