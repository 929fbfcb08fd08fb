import { degrees, radians } from "../../../numerics";
import { planetarySet, relativeSpeeds } from "../../../planetary";
import { accept } from "../../../quantity";
import { marks, oneTurn } from "../../frame";
import { linear } from "../../measured";
import { oneRatio } from "../../ratio";
import type { Recurrence } from "../../recurrence";
import type { Kind } from "../kind";
import type { PlanetaryElement } from "./schema";

/** A planetary set, judged by the lost motion at its output; nothing on it can be adjusted. */
export const planetary: Kind<"planetary"> = {
  felt: "shaft",
  law: () => "geometry",
  frame: () => oneTurn({ word: "place", places: marks, wave: true, usual: marks }),
  judgedBy: () => "lost-motion",
  waysToMeasure: () => ["angular-backlash", "circumferential-backlash"],
  limitWays: () => ["angular-backlash"],
  sides: () => ["end-float", "runout"],
  toJudged: (element, way) => {
    if (way.quantity === "angular-backlash") return accept(linear(1));
    // Arcminutes, from an indicator at a radius on the output.
    const tip = way.indicatorRadiusMm ?? planetCircleMm(element);
    const factor = degrees(1 / tip) * 60 * Math.cos(radians(way.indicatorAngleDeg));
    return accept(linear(factor, { indicatorRadiusMm: tip }));
  },
  sensitivity: () => null,
  ratios: ({ set }) => {
    const solved = planetarySet(set);
    return solved.ok && solved.value.ratio !== null ? oneRatio(solved.value.ratio) : [];
  },
  efficiency: () => 0.95,
  lostMotionArcmin: (_, value) => Math.max(0, value),
  recurrences,
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  printed: null,
  teeth: () => null,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};

/** Radius of the circle on which the planets stand; a module of 1 where none is known. */
export const planetCircleMm = ({ set }: PlanetaryElement): number =>
  ((set.sun + set.planet[0]) * (set.moduleMm ?? 1)) / 2;

/**
 * N planets pass a tooth of the sun N times as often as the sun turns against the carrier, and one of the ring N times as often as the ring
 * does (Willis): each has a frequency of its own.
 */
function recurrences({ set }: PlanetaryElement): Recurrence[] {
  const rel = (member: string) => relativeSpeeds(set)[member] ?? 0;
  const input = rel(set.input) - rel(set.fixed);
  // Turns of the sun against the carrier for one of the driving member.
  const against = input === 0 ? 0 : Math.abs(1 / input);
  const rings = set.kind === "simple" ? ["ring"] : ["ring1", "ring2"];
  return [
    { part: "driver-turn", timesPerTurn: 1 },
    { part: "sun-tooth", timesPerTurn: set.planets * against },
    ...rings.map((ring) => ({
      part: "ring-tooth" as const,
      timesPerTurn: set.planets * Math.abs(rel(ring)) * against,
    })),
    { part: "carrier-turn", timesPerTurn: Math.abs(rel(set.fixed)) * against },
    { part: "tooth", timesPerTurn: set.sun * against },
    { part: "driven-turn", timesPerTurn: Math.abs(rel(set.output) - rel(set.fixed)) * against },
  ];
}
