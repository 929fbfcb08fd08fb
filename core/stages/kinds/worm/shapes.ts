import { circle, closed, cross, type Point, placed, type Shape, type StageShapes, short } from "../../../drawing";
import { toothOutlines } from "../../../gears";
import { wormPair } from "../../../worms";
import type { WormElement } from "./schema";

/** A worm seen from its side above its wheel: threads lean the way of their hand, the wheel with its true teeth. */
export function wormShapes({ worm, hand }: WormElement): StageShapes {
  const { axialModuleMm: m, wormPitchDiameterMm: d1, wheelTeeth, wormStarts } = worm;
  const centre = worm.centreDistanceMm ?? wormPair(worm).nominalCentreDistanceMm;
  const wheel: Point = [0, centre];
  const [tip, root] = [d1 / 2 + m, d1 / 2 - 1.2 * m];
  const pitch = Math.PI * m;
  const half = Math.max(2.5, 1.5 * wormStarts) * pitch;
  const blank = {
    teeth: wheelTeeth,
    moduleMm: m,
    pressureAngleDeg: worm.pressureAngleDeg,
    helixAngleDeg: 0,
    profileShift: 0,
    thinningMm: 0,
    ring: false,
  };
  // A right-hand thread on a level axis runs from the upper left to the lower right; half a turn is half a lead.
  const lean = ((hand === "right" ? 1 : -1) * wormStarts * pitch) / 4;
  const count = Math.floor((2 * half - 2 * Math.abs(lean)) / pitch);
  const threads = Array.from({ length: count }, (_, i) => {
    const x = -((count - 1) * pitch) / 2 + i * pitch;
    return `M${short(x - lean)} ${short(-tip)}L${short(x + lean)} ${short(tip)}`;
  });
  const neck = half + 0.35 * d1;
  const shapes: Shape[] = [
    { role: "body", d: placed(toothOutlines(blank, wheelTeeth > 60 ? 2 : 3), wheel, 180 / wheelTeeth) },
    { role: "pitch", d: circle(wheel, (wheelTeeth * m) / 2) },
    cross(wheel, 0.08 * wheelTeeth * m),
    {
      role: "body",
      d: closed([
        [-neck, -root * 0.7],
        [neck, -root * 0.7],
        [neck, root * 0.7],
        [-neck, root * 0.7],
      ]),
    },
    {
      role: "body",
      d: closed([
        [-half, -tip],
        [half, -tip],
        [half, tip],
        [-half, tip],
      ]),
    },
    { role: "mark", d: threads.join("") },
    { role: "axis", d: `M${short(-neck - m)} 0H${short(neck + m)}` },
  ];
  const radius = ((wheelTeeth + 2) * m) / 2;
  return {
    shapes,
    box: { left: -Math.max(neck, radius), top: -tip, right: Math.max(neck, radius), bottom: centre + radius },
    shafts: [[0, 0], wheel],
  };
}
