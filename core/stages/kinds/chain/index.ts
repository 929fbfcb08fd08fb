import { type StrandShape, wearLimitOf } from "../../../chains";
import { accept } from "../../../quantity";
import { oneTurn } from "../../frame";
import { linear, usualPitches } from "../../measured";
import { oneRatio } from "../../ratio";
import { pathPull, runDiameters, stagePath } from "../../runs/path";
import { spanMm } from "../../runs/span";
import { slopePerSpan } from "../../sensitivity";
import type { Kind } from "../kind";
import type { ChainElement } from "./schema";
import { isSteep } from "./steep";

/** A chain never gets shorter: by so much less it was counted or read wrongly (common practice). */
const leastOfNominal = 0.99;

/** A chain over two sprockets and any idlers: judged by its sag, a steep one by its wear. */
export const chain: Kind<"chain"> = {
  felt: "strand",
  law: () => "geometry",
  // Links are counted for its wear; its sag is read as it goes round.
  frame: (element) =>
    oneTurn({ word: isSteep(element) ? "link" : "round", places: element.links, wave: false, usual: 4 }),
  judgedBy: (element) => (isSteep(element) ? "elongation" : "sag"),
  waysToMeasure: (element) => (isSteep(element) ? ["elongation"] : ["sag", "hand-movement"]),
  limitWays: (element) => (isSteep(element) ? ["elongation"] : ["sag"]),
  sides: (element) =>
    isSteep(element) ? ["offset", "angle", "run-clearance"] : ["elongation", "offset", "angle", "run-clearance"],
  toJudged: ({ pitchMm }, way) => {
    // Up and down together; half of it is what the limits are about.
    if (way.quantity === "hand-movement") return accept(linear(0.5));
    if (way.quantity !== "elongation") return accept(linear(1));
    const counted = (way.held ?? usualPitches) * pitchMm;
    return accept({
      convert: (mm) => (mm < leastOfNominal * counted ? Number.NaN : 100 * (mm / counted - 1)),
      factor: () => 100 / counted,
      ownUncertainty: 0,
      indicatorRadiusMm: null,
    });
  },
  // Sag goes as the root of the slack: the slope is that at the mean of the round. A chain that hangs straight has none.
  sensitivity: (element, { mean, strand }) =>
    !isSteep(element) && mean > 0 ? sagSlope(element, strand) / (2 * mean) : null,
  ratios: ({ teeth }) => oneRatio(teeth[1] / teeth[0]),
  efficiency: () => 0.97,
  lostMotionArcmin: null,
  recurrences: (element) => {
    const [d1, d2] = runDiameters(element);
    return [
      { part: "driver-turn", timesPerTurn: 1 },
      { part: "driven-turn", timesPerTurn: d1 / d2 },
      { part: "link", timesPerTurn: element.teeth[0] },
      { part: "chain-round", timesPerTurn: element.teeth[0] / element.links },
    ];
  },
  thrusts: () => [],
  tangentialForceN: () => null,
  rockedWheel: null,
  printed: null,
  teeth: () => null,
  spanMm,
  // The rule for sag does not hold on a steep run; its slack is set all the same.
  slackByHand: (element) => {
    const span = isSteep(element) ? spanMm(element) : null;
    return span === null ? null : { spanMm: span, centreDistanceMm: element.centreDistanceMm };
  },
  wearLimit: ({ teeth }) => wearLimitOf(teeth),
};

/**
 * d(s²)/dC: the slack of a span that hangs is 8s²/(3L), of one moved by hand 2y²/L, and all that the path takes up goes out of it:
 * −3·L·pull/8 or −L·pull/2 a mm.
 */
function sagSlope(element: ChainElement, strand: StrandShape): number {
  const path = stagePath(element);
  if (!path.ok) return Number.NaN;
  const span = Math.max(...path.value.laid.spans.map(({ lengthMm }) => lengthMm));
  return -slopePerSpan[strand] * span * pathPull(path.value, element.moved);
}
