import { radians } from "../numerics";

export type PaperStrip = {
  thicknessMm: number;
  /** Rolled right through it lies on both flanks; slid in beside one it is a feeler. */
  flanks: 1 | 2;
  /** Share of the thickness that is left under pressure, over 0 to 1. */
  pressed: number;
  /** Half-range of the thickness. */
  toleranceMm: number;
  /** Normal. */
  pressureAngleDeg: number;
  helixAngleDeg: number;
  /** Transverse, at the working circles; left out: that of the reference circle. */
  workingPressureAngleDeg?: number | undefined;
};

export type StripMeans = {
  normalMm: number;
  circumferentialMm: number;
  /** Centre distance it stands for. */
  radialMm: number;
  /** Of the circumferential backlash, k = 2. */
  expandedUncertaintyMm: number;
};

/** Circumferential backlash of a normal one: 1/(cos α_wt·cos β_b), sin β_b = sin β·cos α_n (ISO 21771). */
function perNormal({ pressureAngleDeg, helixAngleDeg, workingPressureAngleDeg }: PaperStrip): {
  per: number;
  working: number;
} {
  const [normal, helix] = [radians(pressureAngleDeg), radians(helixAngleDeg)];
  const working =
    workingPressureAngleDeg === undefined
      ? Math.atan(Math.tan(normal) / Math.cos(helix))
      : radians(workingPressureAngleDeg);
  const baseHelix = Math.asin(Math.sin(helix) * Math.cos(normal));
  return { per: 1 / (Math.cos(working) * Math.cos(baseHelix)), working };
}

/**
 * What a strip in the mesh stands for: rolled right through it wraps the teeth and lies on both flanks, so the normal backlash is twice its
 * thickness. The same sheet lies on both, so its error counts twice and not √2 times; rectangular (JCGM 100:2008, 4.3.7). It holds
 * only where tips clear roots by more than the strip.
 *
 * @example paperStrip({ thicknessMm: 0.1, flanks: 2, pressed: 1, toleranceMm: 0.01, pressureAngleDeg: 20, helixAngleDeg: 0 }) // circumferential 0.2128356
 */
export function paperStrip(strip: PaperStrip): StripMeans {
  const { per, working } = perNormal(strip);
  const normalMm = strip.flanks * strip.pressed * strip.thicknessMm;
  return {
    normalMm,
    circumferentialMm: normalMm * per,
    radialMm: (normalMm * per) / (2 * Math.tan(working)),
    expandedUncertaintyMm: (2 * strip.flanks * strip.pressed * strip.toleranceMm * per) / Math.sqrt(3),
  };
}

/** The strip that would stand for a circumferential backlash. */
export const stripFor = (strip: PaperStrip, circumferentialMm: number): number =>
  circumferentialMm / (strip.flanks * strip.pressed * perNormal(strip).per);
