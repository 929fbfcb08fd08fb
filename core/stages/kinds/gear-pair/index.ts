import { gearPair as meshOf } from "../../../gears";
import { meshRecurrences } from "../../recurrence";
import { backlashWay, meshFrame, meshLostMotion, toothedSides, toothedWays } from "../../toothed/mesh";
import type { Kind } from "../kind";
import { gearsOf } from "./gears";
import { rockedGear, tipWay } from "./mesh";
import { printedGear } from "./printed";
import { helicalThrust } from "./thrust";

/** A spur or helical pair on parallel axes, external or internal, switchable or not. */
export const gearPair: Kind<"gear-pair"> = {
  felt: "click",
  law: () => "geometry",
  frame: ({ pair }) => meshFrame(pair.teeth),
  judgedBy: () => "backlash",
  waysToMeasure: () => ["circumferential-backlash", "normal-backlash", "tip-clearance", "angular-backlash"],
  limitWays: () => toothedWays,
  sides: () => toothedSides,
  toJudged: (element, way) =>
    way.quantity === "tip-clearance" ? tipWay(element.pair) : backlashWay(rockedGear(element), way),
  sensitivity: ({ pair }) => {
    const mesh = meshOf(pair);
    return mesh.ok ? mesh.value.backlashPerCentreMm : null;
  },
  ratios: (element) =>
    gearsOf(element).map(({ name, teeth }) => ({
      name,
      ratio: ((element.pair.internal ? 1 : -1) * teeth[1]) / teeth[0],
    })),
  efficiency: () => 0.98,
  lostMotionArcmin: (element, value) => meshLostMotion(rockedGear(element), value),
  recurrences: ({ pair }) => meshRecurrences(pair.teeth),
  thrusts: ({ pair }) => helicalThrust(pair.helixAngleDeg),
  tangentialForceN: ({ pair }, outputTorqueNm) => {
    const mesh = meshOf(pair);
    return mesh.ok ? (2000 * outputTorqueNm) / mesh.value.workingPitchDiameterMm[1] : null;
  },
  rockedWheel: rockedGear,
  printed: printedGear,
  teeth: ({ pair }) => pair.teeth,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};
