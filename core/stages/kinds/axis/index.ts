import { accept } from "../../../quantity";
import { oneTurn } from "../../frame";
import { linear } from "../../measured";
import type { Kind } from "../kind";
import type { AxisElement } from "./schema";

/** In the order of its places. */
export const axisEnds = ["low end", "high end"] as const;

const readAs = ({ unit }: AxisElement) => (unit === "mm" ? "switch-to-buffer" : "switch-to-buffer-angle");

/**
 * A sliding or swinging axis, read at its two ends: how far each end switch acts before its buffer. Each end has a switch of its own that is
 * moved by itself, so no one adjuster sets both.
 */
export const axis: Kind<"axis"> = {
  felt: null,
  law: () => "geometry",
  frame: () => oneTurn({ word: "place", places: 2, wave: false, usual: 2, names: axisEnds, ends: true }),
  judgedBy: readAs,
  waysToMeasure: (element) => [readAs(element)],
  limitWays: (element) => [readAs(element)],
  sides: () => [],
  // Behind the buffer is below 0.
  toJudged: () => accept(linear(1)),
  sensitivity: () => null,
  ratios: () => [],
  efficiency: () => 1,
  lostMotionArcmin: null,
  recurrences: () => [],
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  printed: null,
  teeth: () => null,
  spanMm: () => null,
  slackByHand: () => null,
  wearLimit: () => null,
};
