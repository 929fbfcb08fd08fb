import { bevelPair } from "../../../bevels";
import { closed, open, type Point, type Shape, type StageShapes } from "../../../drawing";
import { radians } from "../../../numerics";
import type { BevelElement } from "./schema";

/** A bevel pair cut through both axes: the pitch cones with their faces, apex to the right of the pinion, the gear below. */
export function bevelShapes({ bevel, faceWidthMm, shimmed }: BevelElement): StageShapes {
  const { pitchAngleDeg, coneDistanceMm: cone } = bevelPair(bevel);
  const face = Math.min(faceWidthMm ?? cone / 3, 0.9 * cone);
  const addendum = bevel.moduleMm;
  const shafts = radians(bevel.shaftAngleDeg);
  // Unit vectors from the apex out along each axis: the pinion's to the left, the gear's turned from it by the shaft angle.
  const axes: [Point, Point] = [
    [-1, 0],
    [-Math.cos(shafts), Math.sin(shafts)],
  ];
  const back = ([0, 1] as const).map((i): Point => along(axes[i], cone * Math.cos(radians(pitchAngleDeg[i])), 0)) as [
    Point,
    Point,
  ];
  const corners: Point[] = [];
  const member = (i: 0 | 1): Shape[] => {
    const delta = radians(pitchAngleDeg[i]);
    const edge = (distance: number, out: number): [Point, Point] => {
      const axial = distance * Math.cos(delta) - out * Math.sin(delta);
      const radial = distance * Math.sin(delta) + out * Math.cos(delta);
      return [along(axes[i], axial, radial), along(axes[i], axial, -radial)];
    };
    const [outerA, outerB] = edge(cone, addendum);
    const [innerA, innerB] = edge(cone - face, (addendum * (cone - face)) / cone);
    const hub = 0.35 * cone * Math.sin(delta);
    const behind = cone * Math.cos(delta) + 0.28 * cone;
    const hubAt = [
      along(axes[i], cone * Math.cos(delta) - addendum * Math.sin(delta), hub),
      along(axes[i], behind, hub),
      along(axes[i], behind, -hub),
      along(axes[i], cone * Math.cos(delta) - addendum * Math.sin(delta), -hub),
    ];
    const [pitchA, pitchB] = edge(cone, 0);
    corners.push(outerA, outerB, innerA, innerB, ...hubAt);
    const shim = 0.05 * cone;
    const shims = [
      along(axes[i], behind, hub),
      along(axes[i], behind + shim, hub),
      along(axes[i], behind + shim, -hub),
      along(axes[i], behind, -hub),
    ];
    return [
      { role: "body", d: closed(hubAt) },
      { role: "body", d: closed([outerA, innerA, innerB, outerB]) },
      { role: "pitch", d: open([pitchA, [0, 0], pitchB]) },
      { role: "axis", d: open([[0, 0], along(axes[i], behind + 3 * shim, 0)]) },
      ...(shimmed === (i === 0 ? "pinion" : "gear") ? [{ role: "mark" as const, d: closed(shims) }] : []),
    ];
  };
  const shapes = [...member(1), ...member(0)];
  const shift = ([x, y]: Point): Point => [x, y];
  const all = corners.map(shift);
  return {
    shapes,
    box: {
      left: Math.min(...all.map(([x]) => x), 0),
      top: Math.min(...all.map(([, y]) => y), 0),
      right: Math.max(...all.map(([x]) => x), 0),
      bottom: Math.max(...all.map(([, y]) => y), 0),
    },
    shafts: back,
  };
}

/** A point so far out along an axis from the apex, and so far square to it. */
const along = ([ux, uy]: Point, axial: number, radial: number): Point => [
  ux * axial - uy * radial,
  uy * axial + ux * radial,
];
