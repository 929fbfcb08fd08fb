import { circle, cross, type Point, placed, type Shape, type StageShapes } from "../../../drawing";
import { type GearBlank, toothCircles, toothOutlines } from "../../../gears";
import { planetarySet } from "../../../planetary";
import type { PlanetaryElement } from "./schema";

/**
 * A planetary set seen along its axis: sun, planets on their circle, ring 1; of stepped planets and ring 2 the pitch circles. A dot on every
 * planet, which has its number, shows how far it is clocked against the first, out along the arms where all are mounted alike.
 */
export function planetaryShapes({ set }: PlanetaryElement): StageShapes {
  const m = set.moduleMm ?? 1;
  const blank = (teeth: number, ring = false): GearBlank => ({
    teeth,
    moduleMm: m,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
    thinningMm: 0,
    ring,
  });
  const centre: Point = [0, 0];
  const [planetTeeth, ringTeeth] = [set.planet[0], set.ring[0]];
  const arm = ((set.sun + planetTeeth) * m) / 2;
  const outer = toothCircles(blank(ringTeeth, true)).rootDiameterMm / 2 + 1.5 * m;
  const solved = planetarySet(set);
  const clocking = solved.ok ? solved.value.clockingSteps : null;
  const markOn = ([x, y]: Point, k: number): Point => {
    const turn = 2 * Math.PI * (k / set.planets + (k * (clocking ?? 0)) / planetTeeth);
    const out = 0.34 * planetTeeth * m;
    return [x + out * Math.sin(turn), y - out * Math.cos(turn)];
  };
  const planets = Array.from({ length: set.planets }, (_, k): Shape[] => {
    const turn = (2 * Math.PI * k) / set.planets;
    const at: Point = [arm * Math.sin(turn), -arm * Math.cos(turn)];
    // Its tooth lies in a gap of the sun: rolled on the sun by the arm's angle.
    const rolled = (360 * k * set.sun) / (set.planets * planetTeeth);
    const toSun = 180 + 180 / planetTeeth;
    return [
      { role: "body", d: placed(toothOutlines(blank(planetTeeth), 3), at, (360 * k) / set.planets + toSun + rolled) },
      ...set.planet.slice(1).map((teeth): Shape => ({ role: "pitch", d: circle(at, (teeth * m) / 2) })),
      cross(at, 0.4 * m),
      ...(clocking === null ? [] : [{ role: "point" as const, d: circle(markOn(at, k), 0.7 * m) }]),
    ];
  });
  const shapes: Shape[] = [
    { role: "body", d: circle(centre, outer) },
    {
      role: "hollow",
      d: placed(
        toothOutlines(blank(ringTeeth, true), ringTeeth > 60 ? 2 : 3),
        centre,
        planetTeeth % 2 === 1 ? 180 / ringTeeth : 0,
      ),
    },
    ...set.ring.slice(1).map((teeth): Shape => ({ role: "pitch", d: circle(centre, (teeth * m) / 2) })),
    { role: "pitch", d: circle(centre, arm) },
    ...planets.flat(),
    { role: "body", d: placed(toothOutlines(blank(set.sun), 3), centre, 0) },
    cross(centre, 0.08 * outer),
  ];
  // Numbered in the order in which the arms are counted, clear of the mark.
  const labels = Array.from({ length: set.planets }, (_, k) => {
    const turn = (2 * Math.PI * k) / set.planets;
    const [x, y]: Point = [arm * Math.sin(turn), -arm * Math.cos(turn)];
    const [mx, my] = markOn([x, y], k);
    return { at: [x - (mx - x) / 2, y - (my - y) / 2] as Point, text: String(k + 1), heightMm: 0.26 * planetTeeth * m };
  });
  return { labels, shapes, box: { left: -outer, top: -outer, right: outer, bottom: outer }, shafts: [centre, centre] };
}
