import { gearBlanks, gearPair, spurPair, toothOutlines } from "~/core/gears";
import { mustHold } from "~/core/quantity";

/**
 * A contact print as it comes about: two drawn flanks are brought together slice by slice along the face and turned through mesh; compound is
 * wiped off wherever they come as near as its film. Nothing of the reader's own formulas is in it: the flanks are the points of the
 * outlines that are drawn, and the shafts stand as they stand.
 */
export type Mounting = {
  teeth: readonly [number, number];
  /** Centres further apart than they should be, mm on module 1. */
  apartMm: number;
  /** mm a mm of face: the pinion's shaft inclined in the common plane (they part towards end 1), and out of it. */
  inclined: number;
  crossed: number;
  faceMm: number;
  filmMm: number;
};

export type SimulatedPrint = { depth: { from: number; to: number }; length: { from: number; to: number } };

const slices = 15;
const rolls = 21;
const flankPoints = 20;
const clearance = 0.06;
type Polar = { radius: number; angle: number };

/** The right flank of one tooth, from root to tip, seen from the middle of its gear; the tooth points along angle 0. */
function flankOf(teeth: readonly [number, number], member: 0 | 1): Polar[] {
  const [outline] = toothOutlines(gearBlanks(spurPair(teeth, 1))[member], flankPoints);
  // Behind the middle the points go from tip to root, angles clockwise from the top of the sheet.
  const half = (outline ?? []).slice(flankPoints + 1);
  return half
    .map(([x, y]) => ({ radius: Math.hypot(x, y), angle: Math.abs(Math.atan2(x, -y)) }))
    .sort((a, b) => a.radius - b.radius);
}

/** Angle of a flank at a radius; null where it does not reach. */
function angleAt(flank: readonly Polar[], radius: number): number | null {
  const first = flank[0] as Polar;
  const last = flank[flank.length - 1] as Polar;
  if (radius < first.radius || radius > last.radius) return null;
  let i = 1;
  while ((flank[i] as Polar).radius < radius) i++;
  const [a, b] = [flank[i - 1] as Polar, flank[i] as Polar];
  return b.radius === a.radius
    ? a.angle
    : a.angle + ((b.angle - a.angle) * (radius - a.radius)) / (b.radius - a.radius);
}

/** The print on the flank of the gear that turns away (`side` 1) or follows (−1); null where nothing touches. */
export function simulatePrint(mounting: Mounting, side: 1 | -1): SimulatedPrint | null {
  const { teeth, apartMm, inclined, crossed, faceMm, filmMm } = mounting;
  const [z1, z2] = teeth;
  const pair = mustHold(gearPair(spurPair(teeth, 1)));
  const pinion = flankOf(teeth, 0);
  const gear = flankOf(teeth, 1);
  const [root, tip] = [(gear[0] as Polar).radius, (gear[gear.length - 1] as Polar).radius];
  const centre = pair.centreDistanceMm + clearance + apartMm;
  const touched: { depth: number[]; length: number[] } = { depth: [], length: [] };
  const along = Array.from({ length: slices }, (_, i) => (i / (slices - 1) - 0.5) * faceMm);
  const cosine = Math.cos(Math.PI / 9);
  for (let roll = 0; roll < rolls; roll++) {
    const turn = ((roll / (rolls - 1) - 0.5) * 2.4 * 2 * Math.PI) / z1;
    // Gap of every point of the gear's middle tooth, as an angle of the gear, and the least of it over three teeth in every slice.
    let least = Number.POSITIVE_INFINITY;
    const gaps: { depth: number; length: number; radius: number; gap: number }[] = [];
    for (const [slice, at] of along.entries()) {
      const x = centre + inclined * (at + faceMm / 2);
      const y = side * crossed * at;
      for (const tooth of [-1, 0, 1]) {
        const mate = seenFromGear(pinion, turn + ((2 * tooth + 1) * Math.PI) / z1, x, y);
        for (const { radius, angle } of gear) {
          const other = angleAt(mate, radius);
          if (other === null) continue;
          const gap = other - (tooth * 2 * Math.PI) / z2 - angle - (turn * z1) / z2;
          if (gap < least) least = gap;
          if (tooth === 0)
            gaps.push({ depth: (radius - root) / (tip - root), length: slice / (slices - 1), radius, gap });
        }
      }
    }
    for (const { depth, length, radius, gap } of gaps) {
      if ((gap - least) * radius * cosine > filmMm) continue;
      touched.depth.push(depth);
      touched.length.push(length);
    }
  }
  if (touched.depth.length === 0) return null;
  const span = (values: readonly number[]) => ({ from: Math.min(...values), to: Math.max(...values) });
  return { depth: span(touched.depth), length: span(touched.length) };
}

/** The flank of a pinion's tooth that meets the gear's, in polar coordinates about the gear's middle, by rising radius. */
function seenFromGear(pinion: readonly Polar[], turn: number, x: number, y: number): Polar[] {
  return pinion
    .map(({ radius, angle }) => {
      // It points towards the gear, turned back; the flank that faces the gear's lies before it.
      const at = Math.PI - turn + angle;
      const px = x + radius * Math.cos(at);
      const py = y + radius * Math.sin(at);
      return { radius: Math.hypot(px, py), angle: Math.atan2(py, px) };
    })
    .sort((a, b) => a.radius - b.radius);
}
