import { radians } from "../../../numerics";
import { accept, type Result } from "../../../quantity";
import { wormEfficiency, wormPair } from "../../../worms";
import { oneTurn } from "../../frame";
import { wholeDepthOf } from "../../printable";
import { oneRatio } from "../../ratio";
import { type Thrust, turnings } from "../../thrust";
import { backlashWay, meshLostMotion, toothedSides, toothedWays } from "../../toothed/mesh";
import type { Kind, RockedWheel } from "../kind";
import type { WormElement } from "./schema";

/** Steel on bronze, well lubricated (common practice). */
export const wormFriction = 0.05;

/** A worm and its wheel. */
export const worm: Kind<"worm"> = {
  felt: "worm",
  law: () => "geometry",
  // The worm stands alike at every tooth of the wheel as often as it has starts: its own wobble cannot be told from here.
  frame: (element) => oneTurn({ word: "tooth", places: element.worm.wheelTeeth, wave: true, usual: 8 }),
  judgedBy: () => "backlash",
  waysToMeasure: () => toothedWays,
  limitWays: () => toothedWays,
  sides: () => toothedSides,
  toJudged: (element, way) => backlashWay(wheelOf(element), way),
  sensitivity: (element) => wormPair(element.worm).backlashPerCentreMm,
  ratios: ({ hand, worm: { wheelTeeth, wormStarts } }) =>
    oneRatio(((hand === "right" ? -1 : 1) * wheelTeeth) / wormStarts),
  efficiency: (element) => wormEfficiency(element.worm, wormFriction),
  lostMotionArcmin: (element, value, endFloatMm) => meshLostMotion(wheelOf(element), value, Math.max(0, endFloatMm)),
  recurrences: ({ worm: { wormStarts, wheelTeeth } }) => [
    { part: "worm-turn", timesPerTurn: 1 },
    { part: "tooth", timesPerTurn: wormStarts },
    { part: "driven-turn", timesPerTurn: wormStarts / wheelTeeth },
  ],
  thrusts,
  tangentialForceN: (element, outputTorqueNm) =>
    (2000 * outputTorqueNm) / (element.worm.wheelTeeth * element.worm.axialModuleMm),
  rockedWheel: wheelOf,
  printed: ({ worm: w }) => ({
    kinds: ["worm"],
    wholeDepthMm: wholeDepthOf(w.axialModuleMm),
    faceWidthMm: null,
    pressureAngleDeg: w.pressureAngleDeg,
    spiral: false,
  }),
  teeth: (element) => [element.worm.wormStarts, element.worm.wheelTeeth],
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};

function wheelOf({ worm: w }: WormElement): Result<RockedWheel> {
  const lead = Math.atan((w.wormStarts * w.axialModuleMm) / w.wormPitchDiameterMm);
  return accept({
    radiusMm: (w.wheelTeeth * w.axialModuleMm) / 2,
    normalPerCircumferential: Math.cos(radians(w.pressureAngleDeg)) * Math.cos(lead),
  });
}

/**
 * The worm is pushed like a screw in its nut; its wheel along its own axis as the worm's threads sweep past it, by tan(γ + ρ′), for there
 * friction is as much as the lead.
 */
function thrusts({ worm: geometry, hand }: WormElement): Thrust[] {
  const { leadAngleDeg } = wormPair(geometry);
  const friction = Math.atan(wormFriction / Math.cos(radians(geometry.pressureAngleDeg)));
  const along = Math.tan(radians(leadAngleDeg) + friction);
  return turnings.flatMap((turning): Thrust[] => {
    const away = (hand === "right") === (turning === "clockwise");
    return [
      // The worm's axial force is the wheel's tangential one.
      { member: 0, turning, perTangential: 1, way: away ? "away-from-drive" : "towards-drive" },
      { member: 1, turning, perTangential: along, way: "with-the-worm" },
    ];
  });
}
