import { pulleyOutlines } from "../belts";
import { type GearBlank, gearBlanks, toothCircles, toothOutlines } from "../gears";
import { frameOf, placeCount, type StageElement } from "../stages";
import type { Point } from "./shape";

/** The part that is read round, one run of points a place; radii in its own measure. */
export type PartOutline = {
  outline: Point[][];
  /** What is painted at each place, where that is not its run of the outline. */
  marks?: Point[][];
  tipRadius: number;
  rootRadius: number;
};

/** The part inside which a round is drawn: the gear, wheel, pulley or chain itself, with as many places as it is read at. */
export function partOutline(element: StageElement): PartOutline {
  switch (element.kind) {
    case "gear-pair":
      return ofGear(gearBlanks(element.pair)[1]);
    case "worm":
      return ofGear(spurBlank(element.worm.wheelTeeth, element.worm.axialModuleMm, element.worm.pressureAngleDeg));
    case "bevel":
      return ofGear(spurBlank(element.bevel.teeth[1], element.bevel.moduleMm, element.bevel.pressureAngleDeg));
    case "toothed-belt": {
      const outline = pulleyOutlines(element.teeth[1], element.pitchMm);
      return { outline, ...radii(outline) };
    }
    case "chain":
      return chainRing(element.links);
    default:
      return markedWheel(placeCount(frameOf(element)));
  }
}

const spurBlank = (teeth: number, moduleMm: number, pressureAngleDeg: number): GearBlank => ({
  teeth,
  moduleMm,
  pressureAngleDeg,
  helixAngleDeg: 0,
  profileShift: 0,
  thinningMm: 0,
  ring: false,
});

function ofGear(blank: GearBlank): PartOutline {
  const circles = toothCircles(blank);
  return {
    outline: toothOutlines(blank),
    tipRadius: circles.tipDiameterMm / 2,
    rootRadius: circles.rootDiameterMm / 2,
  };
}

function radii(outline: readonly (readonly Point[])[]): { tipRadius: number; rootRadius: number } {
  const all = outline.flat().map(([x, y]) => Math.hypot(x, y));
  return { tipRadius: Math.max(...all), rootRadius: Math.min(...all) };
}

const polar = (radius: number, angle: number): Point => [radius * Math.sin(angle), -radius * Math.cos(angle)];

/** A smooth wheel with a mark at every place that is read. */
function markedWheel(places: number): PartOutline {
  const step = (2 * Math.PI) / places;
  const half = Math.min(0.05, step / 4);
  const arc = (from: number, to: number) =>
    Array.from({ length: 25 }, (_, i) => polar(0.93, from + ((to - from) * i) / 24));
  const outline = Array.from({ length: places }, (_, i) => {
    const at = i * step;
    return [
      ...arc(at - step / 2, at - half),
      polar(1, at - half),
      polar(1, at + half),
      ...arc(at + half, at + step / 2),
    ];
  });
  const marks = Array.from({ length: places }, (_, i) => {
    const at = i * step;
    return [polar(0.93, at - half), polar(1, at - half), polar(1, at + half), polar(0.93, at + half)];
  });
  return { outline, marks, tipRadius: 1, rootRadius: 0.93 };
}

/** A chain laid in a ring: outer and inner links in turn; of a real sprocket only a part of it ever lies on the teeth. */
function chainRing(links: number): PartOutline {
  const step = (2 * Math.PI) / links;
  const outline = Array.from({ length: links }, (_, i) => {
    const at = i * step;
    const out = i % 2 === 0 ? 1 : 0.985;
    return [
      polar(0.93, at - 0.42 * step),
      polar(out, at - 0.42 * step),
      polar(out, at + 0.42 * step),
      polar(0.93, at + 0.42 * step),
    ];
  });
  return { outline, tipRadius: 1, rootRadius: 0.93 };
}
