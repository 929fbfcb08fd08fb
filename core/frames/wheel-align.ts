import { judge, type Verdict } from "../limits";
import { degrees } from "../numerics";

/** Gaps from a straight edge to a face, mm, positive away from the edge: at the rim point that faces the other wheel, and at the one turned away. */
export type EdgeGaps = { nearMm: number; farMm: number; apartMm: number };

export type WheelAlignQuestion = {
  centreDistanceMm: number;
  movable: EdgeGaps;
  /** Left out: the edge lies flush on the fixed wheel. */
  fixed?: EdgeGaps | undefined;
  /** Of fixed and movable. */
  rimWidthMm?: readonly [number, number] | undefined;
  /** Of the movable wheel against a line parallel to the fixed face. */
  across?: { topMm: number; bottomMm: number; apartMm: number } | undefined;
  /** Behind the middle plane of the movable wheel. */
  feet?: { frontMm: number; rearMm: number } | undefined;
  limitDeg: number;
  /** Of a gap. */
  expandedUncertaintyMm: number;
};

export type WheelFoot = { apartMm: number; shimMm?: number };

export type WheelAlign = {
  angleDeg: number;
  /** Middle plane to middle plane; positive: the movable wheel lies farther from the edge. */
  offsetMm: number;
  twistDeg?: number;
  misalignmentDeg: number;
  limitDeg: number;
  overDeg: number;
  verdict: Verdict;
  moves?: { axialMm: number; front: WheelFoot; rear: WheelFoot };
};

/**
 * Two wheels by a straight edge across their faces: angle, offset and twist, and what the feet of the movable one need. Its centre stays, so
 * the tension does not change in first order.
 *
 * @example centres 480, near 0.4, far 1.1 over 150 // 0.267378°, offset 0.75 mm, together 0.356903°
 * @source geometry; the sum √(angle² + twist²) + atan(offset/C) and its limits: common practice
 */
export function wheelAlign(question: WheelAlignQuestion): WheelAlign {
  const { centreDistanceMm, movable, fixed, rimWidthMm, across, feet, limitDeg, expandedUncertaintyMm: u } = question;
  const fixedSlope = fixed ? (fixed.nearMm - fixed.farMm) / fixed.apartMm : 0;
  const fixedMean = fixed ? (fixed.nearMm + fixed.farMm) / 2 : 0;
  const angle = Math.atan((movable.farMm - movable.nearMm) / movable.apartMm) - Math.atan(fixedSlope);
  const widths = rimWidthMm ? (rimWidthMm[1] - rimWidthMm[0]) / 2 : 0;
  const offsetMm = (movable.nearMm + movable.farMm) / 2 - fixedMean - fixedSlope * centreDistanceMm + widths;
  const twist = across ? Math.atan((across.topMm - across.bottomMm) / across.apartMm) : 0;
  const misalignmentDeg = degrees(Math.hypot(angle, twist) + Math.atan(Math.abs(offsetMm) / centreDistanceMm));
  const base = Math.min(movable.apartMm, across?.apartMm ?? Number.POSITIVE_INFINITY);
  const slopes = 1 / base + 1 / centreDistanceMm + (fixed ? 2 / fixed.apartMm : 0);
  const foot = (atMm: number): WheelFoot => ({
    apartMm: atMm * Math.sin(angle),
    ...(across && { shimMm: atMm * Math.sin(twist) }),
  });
  return {
    angleDeg: degrees(angle),
    offsetMm,
    ...(across && { twistDeg: degrees(twist) }),
    misalignmentDeg,
    limitDeg,
    overDeg: Math.max(0, misalignmentDeg - limitDeg),
    verdict: judge(misalignmentDeg, { hi: limitDeg }, degrees(Math.SQRT2 * u * slopes)).verdict,
    ...(feet && { moves: { axialMm: -offsetMm, front: foot(feet.frontMm), rear: foot(feet.rearMm) } }),
  };
}
