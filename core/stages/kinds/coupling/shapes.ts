import type { CouplingEnd } from "../../../couplings";
import { closed, type Shape, type StageShapes } from "../../../drawing";
import type { CouplingElement } from "./schema";

/** The coupling cut along the axis, driver at the left: shafts, hubs with their keys, and what joins them. To scale across; as long as hubs mostly are. */
export function couplingShapes({ ends, rimDiameterMm: rim, gapMm, make }: CouplingElement): StageShapes {
  const half = gapMm / 2;
  const sides = ([-1, 1] as const).map((side, i) => {
    const end = ends[i] as CouplingEnd;
    const hub = hubLength(end, rim);
    const at = (mm: number) => side * (half + mm);
    return {
      far: half + hub + 0.6 * end.shaftMm,
      shapes: [
        { role: "body", d: box(at(0), at(hub), end.boreMm / 2, rim / 2) },
        { role: "body", d: box(at(0), at(hub), -rim / 2, -end.boreMm / 2) },
        { role: "body", d: box(at(0), at(hub + 0.6 * end.shaftMm), -end.shaftMm / 2, end.shaftMm / 2) },
        ...holdShapes(end, at, hub),
      ] satisfies Shape[],
    };
  });
  const far = Math.max(...sides.map((side) => side.far));
  const between: Shape[] = make === "rigid" || gapMm === 0 ? [] : joined(make, half, rim);
  return {
    shapes: [
      ...sides.flatMap(({ shapes }) => shapes),
      ...between,
      { role: "axis", d: `M${-far - 0.1 * rim} 0H${far + 0.1 * rim}` },
    ],
    box: { left: -far - 0.1 * rim, top: -rim / 2, right: far + 0.1 * rim, bottom: rim / 2 },
    shafts: [
      [0, 0],
      [0, 0],
    ],
  };
}

/** Hubs are mostly one and a half times as long as their bore is wide, and not longer than their rim (for the drawing alone). */
const hubLength = ({ boreMm }: CouplingEnd, rim: number): number => Math.min(1.5 * boreMm, rim);

const box = (left: number, right: number, top: number, bottom: number) =>
  closed([
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ]);

/** Key, flat or clamping slit, where the shaft lies in its hub. */
function holdShapes(end: CouplingEnd, at: (mm: number) => number, hub: number): Shape[] {
  const r = end.shaftMm / 2;
  if (end.hold === "key")
    return [{ role: "mark", d: box(at(0.1 * hub), at(0.9 * hub), -r - end.key.keyMm / 2, -r + end.key.keyMm / 2) }];
  if (end.hold === "flat") return [{ role: "mark", d: box(at(0.1 * hub), at(0.9 * hub), -r, r - end.flat.shaftMm) }];
  return [{ role: "mark", d: box(at(0.65 * hub), at(0.7 * hub), -r - 0.3 * end.shaftMm, -r) }];
}

/** What stands between the hubs. */
function joined(make: CouplingElement["make"], half: number, rim: number): Shape[] {
  if (make === "bellows") {
    const folds = Array.from({ length: 4 }, (_, i) => -half + (2 * half * (i + 0.5)) / 4);
    return folds.map((x) => ({ role: "mark", d: box(x - half / 10, x + half / 10, -0.45 * rim, 0.45 * rim) }));
  }
  const reach = { jaw: [0.2, 0.5], disc: [0.15, 0.45], gear: [0.3, 0.5] }[make as "jaw" | "disc" | "gear"];
  const [inner, outer] = reach as [number, number];
  const thick = make === "disc" ? 0.3 * half : half;
  return [
    { role: "mark", d: box(-thick, thick, inner * rim, outer * rim) },
    { role: "mark", d: box(-thick, thick, -outer * rim, -inner * rim) },
  ];
}
