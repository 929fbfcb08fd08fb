import { bisect } from "../numerics";
import { accept, type Result, refuse } from "../quantity";

/** A strand moved up and down by hand is a triangle each way; one that hangs is an arc. */
export type StrandShape = "triangle" | "arc";

/** A roller pressed square on a straight strand between two fixed points. */
export type PressedRoller = {
  /** Its centre over this place of the strand. */
  alongMm: number;
  diameterMm: number;
  /** How far its lowest point stands beyond the line now. */
  pressMm: number;
  spanMm: number;
  maxPressMm?: number | undefined;
};

export type HandSlackQuestion = {
  spanMm: number;
  /** Whole free movement at mid-span, up and down together. */
  movementMm: number;
  shape: StrandShape;
  forceN?: number | undefined;
  /** Half of the movement, as a part of the span. */
  target: { loPercent: number; hiPercent: number };
  centreDistanceMm: number;
  roller?: PressedRoller | undefined;
};

export type HandSlack = {
  percent: number;
  excessMm: { triangle: number; arc: number };
  target: { loPercent: number; hiPercent: number; movementMm: number };
  /** Length that is too much; negative: too little. */
  takeUpMm: number;
  /** Positive: apart. */
  moveCentreMm: number;
  tensionN?: number;
  roller?: { pressMm: number; moveMm: number; leftMm?: number };
  feasible: boolean;
};

export type DriveWay = "level" | "steep" | "reversing";

/** Half of the free movement as a part of the span (common practice). */
export const handSlackTarget: Record<DriveWay, { loPercent: number; hiPercent: number }> = {
  level: { loPercent: 2, hiPercent: 4 },
  steep: { loPercent: 1, hiPercent: 2 },
  reversing: { loPercent: 1, hiPercent: 2 },
};

/** Length beyond the straight line of a strand that is moved by `y` to one side at mid-span. */
export const excessOf: Record<StrandShape, (spanMm: number, y: number) => number> = {
  triangle: (span, y) => (4 * y * y) / (Math.hypot(span, 2 * y) + span),
  arc: (span, y) =>
    y === 0 ? 0 : Math.hypot(span, 4 * y) / 2 + ((span * span) / (8 * y)) * Math.asinh((4 * y) / span) - span,
};

/** Whole movement up and down of a strand with so much length too much: the triangle's excess the other way round. */
export const movementOf = (spanMm: number, excessMm: number): number => Math.sqrt(excessMm * (excessMm + 2 * spanMm));

/**
 * A strand whose slack is felt by hand, on level and steep drives: half of the movement against its target, the length to take up, and what
 * the centres or a roller on the strand have to do for it. Near the straight line the excess of a triangle is 2y²/L and of an arc
 * 8y²/3L, so a movement by hand read as a hanging sag asks for a third too much.
 *
 * @returns the slack, or `movement-missing` at movementMm, `centre-below-span` at centreDistanceMm, `roller-too-near-the-end` at roller.alongMm,
 *   `beyond-most-press` at roller.pressMm
 * @example handSlack({ spanMm: 400, movementMm: 60, shape: "triangle", target: level, centreDistanceMm: 400 }) // excess 4.474968
 */
export function handSlack(question: HandSlackQuestion): Result<HandSlack> {
  const { spanMm, movementMm, shape, forceN, target, centreDistanceMm, roller } = question;
  if (forceN !== undefined && movementMm === 0) return refuse("movement-missing", ["movementMm"]);
  if (centreDistanceMm < spanMm) return refuse("centre-below-span", ["centreDistanceMm"], { leastMm: spanMm });
  const y = movementMm / 2;
  const wanted = (((target.loPercent + target.hiPercent) / 2) * spanMm) / 100;
  const excess = excessOf[shape];
  const takeUpMm = excess(spanMm, y) - excess(spanMm, wanted);
  const pressed = roller ? press(roller, takeUpMm) : null;
  if (pressed && !pressed.ok) return pressed;
  return accept({
    percent: (100 * y) / spanMm,
    excessMm: { triangle: excessOf.triangle(spanMm, y), arc: excessOf.arc(spanMm, y) },
    target: { ...target, movementMm: 2 * wanted },
    takeUpMm,
    moveCentreMm: (takeUpMm * centreDistanceMm) / (2 * spanMm),
    ...(forceN === undefined ? {} : { tensionN: (forceN * Math.hypot(spanMm, 2 * y)) / (4 * y) }),
    ...(pressed ? { roller: pressed.value } : {}),
    feasible: pressed?.value.leftMm === undefined,
  });
}

/** How much a roller pressed `p` beyond the line lengthens the way of the strand: both tangents and both turns, less the span. */
export function rollerTakesUp({ alongMm, diameterMm, spanMm }: PressedRoller, p: number): number {
  const r = diameterMm / 2;
  const sides = [alongMm, spanMm - alongMm].map((b) => {
    const d = Math.hypot(b, r - p);
    return Math.sqrt(Math.max(0, d * d - r * r)) + r * (Math.asin(Math.min(1, r / d)) - Math.atan2(r - p, b));
  });
  return sides.reduce((a, b) => a + b, 0) - spanMm;
}

function press(roller: PressedRoller, takeUpMm: number): Result<NonNullable<HandSlack["roller"]>> {
  const { alongMm, diameterMm, pressMm, spanMm, maxPressMm } = roller;
  if (Math.min(alongMm, spanMm - alongMm) < diameterMm / 2)
    return refuse("roller-too-near-the-end", ["roller", "alongMm"]);
  if (maxPressMm !== undefined && pressMm > maxPressMm)
    return refuse("beyond-most-press", ["roller", "pressMm"], { mostMm: maxPressMm });
  const wanted = rollerTakesUp(roller, pressMm) + takeUpMm;
  const over = (p: number) => rollerTakesUp(roller, p) - wanted;
  const stop = (at: number) => ({ pressMm: at, moveMm: at - pressMm, leftMm: wanted - rollerTakesUp(roller, at) });
  if (over(0) > 0) return accept(over(0) <= 1e-9 ? { pressMm: 0, moveMm: -pressMm } : stop(0));
  if (maxPressMm !== undefined && over(maxPressMm) <= 0)
    return accept(over(maxPressMm) >= -1e-9 ? { pressMm: maxPressMm, moveMm: maxPressMm - pressMm } : stop(maxPressMm));
  let high = maxPressMm ?? Math.max(1, pressMm, spanMm);
  while (over(high) < 0) high *= 2;
  const at = bisect(over, 0, high);
  return accept({ pressMm: at, moveMm: at - pressMm });
}
