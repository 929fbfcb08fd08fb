import { boxRound, circle, cross, type Point, placed, type Shape, type StageShapes, short } from "../../../drawing";
import { type GearBlank, gearBlanks, gearPair, type PairGeometry, toothCircles, toothOutlines } from "../../../gears";

/** A spur or helical pair side by side; null where it has no geometry. */
export function gearShapes(pair: PairGeometry): StageShapes | null {
  const mesh = gearPair(pair);
  if (!mesh.ok) return null;
  const a = mesh.value.centreDistanceMm;
  // Inside a ring the pinion stands at (0, 0) and the ring's middle to its left, where they touch on the right.
  const at: [Point, Point] = [
    [0, 0],
    [pair.internal ? -a : a, 0],
  ];
  // A tooth of the pinion looks at the gear, a gap of the gear at the pinion.
  const turn = [90, (pair.internal ? 90 : -90) + 180 / pair.teeth[1]] as const;
  const blanks = gearBlanks(pair);
  const radii = blanks.map(outerRadius) as [number, number];
  const gear = (i: 0 | 1): Shape[] => [
    ...(blanks[i].ring ? [{ role: "body" as const, d: circle(at[i], radii[i]) }] : []),
    {
      role: blanks[i].ring ? "hollow" : "body",
      d: placed(toothOutlines(blanks[i], flankPoints(blanks[i])), at[i], turn[i]),
    },
    { role: "pitch", d: circle(at[i], mesh.value.workingPitchDiameterMm[i] / 2) },
    ...slants(
      pair.helixAngleDeg * (i === 0 ? 1 : pair.internal ? 1 : -1),
      at[i],
      toothCircles(blanks[i]).rootDiameterMm / 2,
    ),
    cross(at[i], 0.08 * Math.min(...radii)),
  ];
  return {
    shapes: [...gear(1), ...gear(0), { role: "axis", d: `M0 0H${short(at[1][0])}` }],
    box: boxRound([
      { at: at[0], radius: radii[0] },
      { at: at[1], radius: radii[1] },
    ]),
    shafts: at,
  };
}

export const flankPoints = ({ teeth }: GearBlank): number => (teeth > 60 ? 2 : 3);

function outerRadius(blank: GearBlank): number {
  const { rootDiameterMm, tipDiameterMm } = toothCircles(blank);
  return blank.ring ? rootDiameterMm / 2 + 1.5 * blank.moduleMm : tipDiameterMm / 2;
}

/** Three strokes on the face of a helical gear, leaning the way its teeth run. */
function slants(helixDeg: number, [x, y]: Point, radius: number): Shape[] {
  if (helixDeg === 0) return [];
  const lean = Math.sign(helixDeg) * 0.16 * radius;
  const strokes = [-0.25, 0, 0.25].map(
    (at) =>
      `M${short(x + at * radius - lean)} ${short(y + 0.62 * radius)}L${short(x + at * radius + lean)} ${short(y + 0.38 * radius)}`,
  );
  return [{ role: "mark", d: strokes.join("") }];
}
