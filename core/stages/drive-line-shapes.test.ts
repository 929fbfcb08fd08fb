import { describe, expect, test } from "vitest";
import { everyKind, toothedBelt } from "~/tests/elements";
import type { Point } from "../drawing";
import { mustHold } from "../quantity";
import {
  driveLineShapes,
  type KeptDriveLine,
  type PlanetaryElement,
  pathLine,
  stagePath,
  stageShapes,
  usualAngle,
} from "./index";

/** The corners of a closed path of straight lines. */
const corners = (d: string): Point[] =>
  [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]): Point => [Number(x), Number(y)]);

/** How many times a polygon goes round a point, odd or even. */
const inside = (polygon: readonly Point[], [x, y]: Point): boolean =>
  polygon.reduce((is, [x1, y1], i) => {
    const [x2, y2] = polygon[(i + 1) % polygon.length] as Point;
    return y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1 ? !is : is;
  }, false);

describe("a stage to scale", () => {
  test.each(everyKind.map((element) => [element.kind, element] as const))(
    "%s lies in its box and has no holes in its figures",
    (_, element) => {
      const drawn = stageShapes(element);
      expect(drawn).not.toBeNull();
      for (const { d } of drawn?.shapes ?? []) expect(d).not.toMatch(/NaN|undefined|Infinity/);
      const { left, top, right, bottom } = drawn?.box ?? { left: 0, top: 0, right: 0, bottom: 0 };
      const slack = 0.08 * Math.max(right - left, bottom - top);
      for (const [x, y] of (drawn?.shapes ?? []).flatMap(({ role, d }) => (role === "body" ? corners(d) : []))) {
        expect(x).toBeGreaterThan(left - slack);
        expect(x).toBeLessThan(right + slack);
        expect(y).toBeGreaterThan(top - slack);
        expect(y).toBeLessThan(bottom + slack);
      }
    },
  );

  test("shafts stand as far apart as the centres are given", () => {
    for (const element of everyKind) {
      const centres =
        "centreDistanceMm" in element
          ? element.centreDistanceMm
          : element.kind === "gear-pair"
            ? element.pair.centreDistanceMm
            : null;
      if (typeof centres !== "number") continue;
      const [a, b] = stageShapes(element)?.shafts ?? [
        [0, 0],
        [0, 0],
      ];
      expect(Math.hypot(b[0] - a[0], b[1] - a[1])).toBeCloseTo(centres, 3);
    }
  });

  test("a planetary set is drawn in mesh: no tip stands in a tooth of the sun or the ring", () => {
    for (const element of everyKind.filter((one): one is PlanetaryElement => one.kind === "planetary")) {
      const { set } = element;
      const m = set.moduleMm ?? 1;
      const shapes = stageShapes(element)?.shapes ?? [];
      const ring = corners(shapes.find(({ role }) => role === "hollow")?.d ?? "");
      const bodies = shapes
        .filter(({ role, d }) => role === "body" && corners(d).length > 8)
        .map(({ d }) => corners(d));
      const sun = bodies.at(-1) as Point[];
      const planets = bodies.slice(0, -1);
      expect(planets).toHaveLength(set.planets);
      const arm = ((set.sun + set.planet[0]) * m) / 2;
      for (const [k, planet] of planets.entries()) {
        const turn = (2 * Math.PI * k) / set.planets;
        const at: Point = [arm * Math.sin(turn), -arm * Math.cos(turn)];
        const tipRadius = (set.planet[0] * m) / 2 + 0.9 * m;
        const corner = planet.filter(([x, y]) => Math.hypot(x - at[0], y - at[1]) > tipRadius);
        // Two corners a tooth; half way between them stands its tip.
        const tips = corner.flatMap(([x, y], i): Point[] => {
          const next = corner[i + 1];
          return next && i % 2 === 0 ? [[(x + next[0]) / 2, (y + next[1]) / 2]] : [];
        });
        expect(tips).toHaveLength(set.planet[0]);
        expect(tips.filter((tip) => inside(sun, tip))).toEqual([]);
        expect(tips.filter((tip) => !inside(ring, tip))).toEqual([]);
      }
    }
  });

  test("the line of a belt has the belt's own length: spans and arcs summed from the drawing", () => {
    for (const element of everyKind) {
      if (element.kind !== "toothed-belt" && element.kind !== "v-belt" && element.kind !== "chain") continue;
      const path = mustHold(stagePath(element));
      let [x, y] = [0, 0];
      let length = 0;
      for (const [, command, rest] of pathLine(path).matchAll(/([MLA])([^MLAZ]*)/g)) {
        const numbers = (rest ?? "").trim().split(/\s+/).map(Number);
        const [nx, ny] = numbers.slice(-2) as [number, number];
        const chord = Math.hypot(nx - x, ny - y);
        if (command === "L") length += chord;
        if (command === "A") {
          const [radius = 1, , , large] = numbers;
          const half = Math.asin(Math.min(1, chord / (2 * radius)));
          length += 2 * radius * (large ? Math.PI - half : half);
        }
        [x, y] = [nx, ny];
      }
      expect(length).toBeCloseTo(path.laid.lengthMm, 1);
    }
  });
});

describe("a drive line to scale", () => {
  const stages = [0, 1, 2, 3].map((i) => ({ id: `s${i}`, element: everyKind[0] ?? toothedBelt }));
  const line = (links: [stage: number, from: string, angleDeg: number, onto?: string][]): KeptDriveLine => ({
    sources: [{ id: "source-1", name: "Motor", rpm: 1, torqueNm: 1 }],
    links: links.map(([stage, from, angleDeg, onto]) => ({
      stageId: `s${stage}`,
      from,
      onto: onto ?? null,
      gear: 0,
      angleDeg,
    })),
    outputs: [],
  });

  test("every stage stands on the shaft that drives it, turned as it is laid, in a box round all of it", () => {
    const drawn = driveLineShapes(
      line([
        [0, "source-1", 0],
        [1, "s0", 90],
        [2, "s1", 180],
        [3, "s0", 30],
      ]),
      stages,
    );
    const placed = new Map(drawn.stages.map((stage) => [stage.id, stage]));
    expect(placed.get("s1")?.at).toEqual(placed.get("s0")?.driven);
    expect(placed.get("s2")?.at).toEqual(placed.get("s1")?.driven);
    expect(placed.get("s3")?.at).toEqual(placed.get("s0")?.driven);
    for (const stage of drawn.stages) {
      expect(Math.hypot(stage.driven[0] - stage.at[0], stage.driven[1] - stage.at[1])).toBeCloseTo(60.2, 6);
      expect(stage.box.left).toBeGreaterThanOrEqual(drawn.box.left);
      expect(stage.box.bottom).toBeLessThanOrEqual(drawn.box.bottom);
    }
    // Three turns of 90° in all bring the third shaft back level with the first, one centre distance to the side.
    const [first, third] = [placed.get("s0"), placed.get("s2")];
    expect(third?.driven[0]).toBeCloseTo(first?.at[0] ?? 0, 6);
    expect(Math.abs((third?.driven[1] ?? 0) - (first?.at[1] ?? 0))).toBeCloseTo(60.2, 6);
  });

  test("what hangs on nothing is left out; two motors stand apart; the usual turn is one of eight", () => {
    const two = {
      ...line([
        [0, "source-1", 0],
        [1, "source-2", 0],
      ]),
    };
    two.sources = [...two.sources, { id: "source-2", name: "Fan", rpm: 1, torqueNm: 1 }];
    const drawn = driveLineShapes(two, stages);
    const [a, b] = drawn.stages;
    expect(a && b && (a.box.bottom < b.box.top || b.box.bottom < a.box.top)).toBe(true);
    expect(driveLineShapes(line([[0, "nowhere", 0]]), stages).stages).toEqual([]);
    expect(typeof usualAngle).toBe("function");
  });
});
