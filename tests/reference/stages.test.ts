import { describe, expect, test } from "vitest";
import { gearPair } from "~/core/gears";
import { mustHold } from "~/core/quantity";
import {
  checkElement,
  fromJudged,
  type MeasuredQuantity,
  measuredUnit,
  pathPull,
  type StageElement,
  sensitivityOf,
  spanOf,
  stagePath,
  toJudged,
  waysToMeasure,
} from "~/core/stages";
import { beltWithIdlers, chain, everyKind, toothedBelt, vBelt } from "../elements";

const way = (element: StageElement, quantity: MeasuredQuantity, more = {}) =>
  mustHold(toJudged(element, { quantity, indicatorRadiusMm: null, indicatorAngleDeg: 0, held: null, ...more }));
const name = (element: StageElement) =>
  `${element.kind}${"idlers" in element ? ` with ${element.idlers.length} idlers` : ""}`;
const everyWay = everyKind.flatMap((element) =>
  waysToMeasure(element).map((quantity) => [name(element), quantity, element] as const),
);

describe("from what is measured to what is judged", () => {
  test.each(everyWay)("%s by %s: the slope against plain differences, and back again", (_, quantity, element) => {
    const { convert, factor } = way(element, quantity);
    const typical: Partial<Record<MeasuredQuantity, number>> = {
      "span-frequency": 60,
      "span-force": 12,
      elongation: 256,
    };
    const at = typical[quantity] ?? 0.6;
    const h = 1e-5 * at;
    const slope = (convert(at + h) - convert(at - h)) / (2 * h);
    expect(Math.abs(factor(at) / slope)).toBeCloseTo(1, quantity === "tip-clearance" ? 1 : 4);
    expect(measuredUnit[quantity].digits).toBeGreaterThanOrEqual(0);
    const judged = convert(at);
    if (judged > 0) expect(fromJudged(convert, judged) / at).toBeCloseTo(1, 6);
  });

  test("T = 4·m·L²·f²; f = √(T/(4·m·L²)) (wave on a string, any physics handbook)", () => {
    const span = (spanOf(toothedBelt) as number) / 1000;
    expect(way(toothedBelt, "span-frequency").convert(62)).toBeCloseTo(4 * 0.15 * span * span * 62 * 62, 6);
  });

  test("a force in the middle that deflects a tight span by a little: F·L/(4·y), from the triangle", () => {
    const span = spanOf(vBelt) as number;
    // The triangle of forces with its true angle: F = 2·T·sin(atan(2y/L)).
    const y = span / 64;
    const tension = 200;
    const force = 2 * tension * Math.sin(Math.atan((2 * y) / span));
    expect(way(vBelt, "span-force").convert(force) / tension).toBeCloseTo(1, 2);
    expect(way(vBelt, "span-deflection", { held: force }).convert(y) / tension).toBeCloseTo(1, 2);
  });

  test("an arc of 0.1 mm at 50 mm is 6.875 arc minutes; a tip inclined by 60° sees half of it", () => {
    const planetary = everyKind.find(({ kind }) => kind === "planetary") as StageElement;
    const read = way(planetary, "circumferential-backlash", { indicatorRadiusMm: 50 });
    expect(read.convert(0.1)).toBeCloseTo(6.8755, 3);
    const inclined = way(planetary, "circumferential-backlash", { indicatorRadiusMm: 50, indicatorAngleDeg: 60 });
    expect(inclined.convert(0.1)).toBeCloseTo(6.8755 / 2, 3);
  });

  test("twenty pitches of 12.7 that measure 256.54 mm have grown by 1 % (ISO 606 pitch)", () => {
    expect(way({ ...chain, inclinationDeg: 80 }, "elongation").convert(256.54)).toBeCloseTo(1, 9);
  });

  test("normal backlash of a helical pair, measured out in its normal plane", () => {
    const element = everyKind[1] as Extract<StageElement, { kind: "gear-pair" }>;
    const mesh = mustHold(gearPair(element.pair));
    // Rack in the normal plane at the working circle: the flank's normal makes α_wn with the tangent, the tooth β_w with the axis.
    const workingHelix = Math.atan(
      (Math.tan(Math.PI / 12) * mesh.workingPitchDiameterMm[0]) / ((20 * 2) / Math.cos(Math.PI / 12)),
    );
    const transverse = (mesh.workingPressureAngleDeg * Math.PI) / 180;
    const normalAngle = Math.atan(Math.tan(transverse) * Math.cos(workingHelix));
    const expected = 0.1 * Math.cos(normalAngle) * Math.cos(workingHelix);
    expect(way(element, "normal-backlash").convert(expected)).toBeCloseTo(0.1, 6);
  });
});

describe("what a millimetre of the adjuster does", () => {
  const lengthOf = (element: typeof toothedBelt) => mustHold(stagePath(element)).laid.lengthMm;
  const h = 1e-4;

  test("centres apart: the path's own length, against plain differences", () => {
    for (const element of [toothedBelt, vBelt, { ...beltWithIdlers, moved: "centres" as const }]) {
      const apart = (by: number) => lengthOf({ ...element, centreDistanceMm: element.centreDistanceMm + by });
      const slope = (apart(h) - apart(-h)) / (2 * h);
      expect(pathPull(mustHold(stagePath(element)), "centres")).toBeCloseTo(slope, 5);
    }
  });

  test("an idler: the steepest way, against plain differences in both directions", () => {
    for (const moved of [0, 1]) {
      const at = (dx: number, dy: number) =>
        lengthOf({
          ...beltWithIdlers,
          idlers: beltWithIdlers.idlers.map((idler, i) =>
            i === moved ? { ...idler, x: idler.x + dx, y: idler.y + dy } : idler,
          ),
        });
      const gradient = Math.hypot(at(h, 0) - at(-h, 0), at(0, h) - at(0, -h)) / (2 * h);
      expect(pathPull(mustHold(stagePath(beltWithIdlers)), moved)).toBeCloseTo(gradient, 5);
    }
  });

  test("belt tension: EA times the strain that a millimetre makes", () => {
    const grown = lengthOf({ ...toothedBelt, centreDistanceMm: toothedBelt.centreDistanceMm + 1 });
    const strain = (grown - lengthOf(toothedBelt)) / lengthOf(toothedBelt);
    expect(sensitivityOf(toothedBelt, 200, 200)).toBeCloseTo(60_000 * strain, 0);
  });

  test("backlash of gears outside, helical and inside, against the pair a hair further apart", () => {
    for (const element of everyKind.slice(0, 3)) {
      if (element.kind !== "gear-pair") throw new Error("three pairs come first");
      const { pair } = element;
      const centre = mustHold(gearPair(pair)).centreDistanceMm;
      const apart = (by: number) =>
        mustHold(gearPair({ ...pair, centreDistanceMm: centre + by })).backlash.circumferentialMm;
      // The working circles grow with the centres, and what there is of backlash with them: j/a a millimetre, left out as small.
      const grows = (apart(h) - apart(-h)) / (2 * h) - apart(0) / centre;
      expect(sensitivityOf(element, 0.1, 0.1)).toBeCloseTo(grows, 5);
    }
  });

  test("sag: the chain's length stays, so the slack that a millimetre takes goes out of the arc (arc measured in small pieces)", () => {
    const span = spanOf(chain) as number;
    const arc = (sag: number) => {
      let length = 0;
      for (let i = 0; i < 20_000; i++) {
        const x = ((i + 0.5) / 20_000) * 2 - 1;
        length += (Math.hypot(1, (4 * sag * x) / span) * span) / 20_000;
      }
      return length;
    };
    // Slack as the path has it, all in the one span.
    const pull = pathPull(mustHold(stagePath(chain)), "centres");
    const sag = 12;
    const slackNow = arc(sag) - span;
    let low = 0;
    let high = sag;
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (arc(middle) - span > slackNow - 0.0005 * pull) high = middle;
      else low = middle;
    }
    const slope = (high - sag) / 0.0005;
    expect((sensitivityOf(chain, sag, 10) as number) / slope).toBeCloseTo(1, 2);
  });

  test("nothing moves a planetary set, nor wear", () => {
    for (const element of everyKind.filter(({ kind }) => kind === "planetary"))
      expect(sensitivityOf(element, 5, 5)).toBeNull();
    expect(sensitivityOf({ ...chain, inclinationDeg: 80 }, 1, 1)).toBeNull();
  });
});

test("every element here has a geometry", () => {
  for (const element of everyKind) expect(checkElement(element)).toMatchObject({ ok: true });
});
