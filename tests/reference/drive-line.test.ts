import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { spurPair } from "~/core/gears";
import { mustHold } from "~/core/quantity";
import { efficiencyOf, lostMotionArcmin, ratiosOf, recurrencesOf, type StageElement, thrustsOf } from "~/core/stages";
import { aheadPercent, type DriveGraph, type DriveLink, driveLine } from "~/core/trains";
import { run } from "./run";

const link = (id: string, from: string, ratio: number, more: Partial<DriveLink> = {}): DriveLink => ({
  id,
  from,
  onto: null,
  ratio,
  efficiency: 1,
  lostMotionArcmin: null,
  ...more,
});
const motor = { id: "motor", name: "Motor", rpm: 1400, torqueNm: 2 };
const graph = (links: DriveLink[], outputs: DriveGraph["outputs"] = []): DriveGraph => ({
  sources: [motor],
  links,
  outputs,
});
const shaft = (g: DriveGraph, id: string) => mustHold(driveLine(g)).shafts.find((s) => s.id === id);

describe("a drive line", () => {
  test("in a row it says what the contract's train says, for any stages", () => {
    const stage = fc.record({
      ratio: fc.double({ min: 0.2, max: 9, noNaN: true }),
      efficiency: fc.double({ min: 0.5, max: 1, noNaN: true }),
      lostMotionArcmin: fc.double({ min: 0, max: 30, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(stage, { minLength: 1, maxLength: 8 }), (stages) => {
        const links = stages.map((s, i) => link(`s${i}`, i === 0 ? "motor" : `s${i - 1}`, s.ratio, s));
        const out = mustHold(
          driveLine(graph(links, [{ at: `s${links.length - 1}`, name: "Out", wheelDiameterMm: 90, scale: null }])),
        ).outputs[0];
        const train = run("train", {
          stages: links.map(({ id, ratio, efficiency, lostMotionArcmin: lost }) => ({
            id,
            ratio,
            efficiency,
            lostMotionArcmin: lost,
          })),
          inputRpm: 1400,
          inputTorqueNm: 2,
          wheelDiameterMm: 90,
        });
        expect(out?.shaft.rpm).toBeCloseTo(train.outputRpm, 6);
        expect(out?.shaft.torqueNm).toBeCloseTo(train.outputTorqueNm, 6);
        expect(out?.surfaceMPerS).toBeCloseTo(train.surfaceSpeedMPerS, 8);
        expect(out?.lostMotionArcmin).toBeCloseTo(train.lostMotionAtOutputArcmin, 6);
        expect(out?.shares.map(({ share }) => share)).toEqual(
          train.contributions.map((c: { share: number }) => expect.closeTo(c.share, 9)),
        );
      }),
      { seed: 8, numRuns: 100 },
    );
  });

  test("branches to two outputs: one against the other in per cent; an idler cancels in ratio and turns the sense back", () => {
    const links = [
      link("belt", "motor", 2),
      link("a", "belt", -3),
      link("idler", "belt", -20 / 40),
      link("b", "idler", -40 / 20),
    ];
    const outputs = [
      { at: "a", name: "Cutter", wheelDiameterMm: 100, scale: null },
      { at: "b", name: "Feed", wheelDiameterMm: 33, scale: null },
    ];
    const [cutter, feed] = mustHold(driveLine(graph(links, outputs))).outputs;
    expect(cutter?.shaft).toMatchObject({ ratio: -6, torqueNm: 12, path: ["belt", "a"] });
    expect(feed?.shaft.ratio).toBeCloseTo(2, 12);
    // 33/2 against 100/6: a hundredth slower.
    expect(cutter && feed ? aheadPercent(feed, cutter) : null).toBeCloseTo(-1, 9);
  });

  test("what was never read stays visible and adds nothing", () => {
    const links = [
      link("a", "motor", 3, { lostMotionArcmin: 20 }),
      link("b", "a", 4),
      link("c", "b", 2, { lostMotionArcmin: 5 }),
    ];
    const [out] = mustHold(
      driveLine(graph(links, [{ at: "c", name: "", wheelDiameterMm: null, scale: null }])),
    ).outputs;
    expect(out?.lostMotionArcmin).toBeCloseTo(20 / 8 + 5, 12);
    expect(out?.shares[1]).toEqual({ id: "b", arcmin: null, share: 0 });
  });

  test("a shaft driven twice alike is one shaft; at different speeds it is refused with the ratio that would fit", () => {
    const twice = (ratio: number) => graph([link("a", "motor", 2), link("b", "motor", ratio, { onto: "a" })]);
    expect(shaft(twice(2), "a")).toMatchObject({ ratio: 2 });
    expect(driveLine(twice(2.1))).toMatchObject({
      ok: false,
      refusal: { code: "driven-twice", path: ["links", 1, "onto"], facts: { fits: 2, is: 2.1 } },
    });
    // Two belts from the same source in opposite senses fight as well.
    expect(driveLine(twice(-2)).ok).toBe(false);
  });

  test("a loop, through however many stages, and a shaft that is not there are named; what nothing drives stands still", () => {
    const loop = graph([link("a", "c", 2), link("b", "a", 2), link("c", "b", 2)]);
    expect(driveLine(loop)).toMatchObject({ ok: false, refusal: { code: "train-loops", path: ["links", 0, "from"] } });
    expect(driveLine(graph([link("a", "a", 2)])).ok).toBe(false);
    expect(driveLine(graph([link("a", "elsewhere", 2)]))).toMatchObject({ refusal: { code: "no-such-shaft" } });
    const idle = { ...graph([link("a", "motor", 2)]), sources: [{ ...motor, rpm: null }] };
    expect(shaft(idle, "a")).toMatchObject({ ratio: 2, rpm: null });
  });
});

const pair: StageElement = {
  kind: "gear-pair",
  pair: { ...spurPair([20, 40], 2, 60.2), helixAngleDeg: 15 },
  parts: {},
};
const worm = (hand: "right" | "left"): StageElement => ({
  kind: "worm",
  hand,
  worm: { wormStarts: 2, wheelTeeth: 30, axialModuleMm: 3, wormPitchDiameterMm: 44, pressureAngleDeg: 20 },
});
const bevel = (spiralAngleDeg: number): StageElement => ({
  kind: "bevel",
  shimmed: "gear",
  bevel: { teeth: [20, 40], moduleMm: 3, shaftAngleDeg: 90, pressureAngleDeg: 20, spiralAngleDeg },
});

describe("senses and thrusts", () => {
  test("external pairs reverse, internal ones, belts and chains do not; a right-hand worm turns its wheel against it", () => {
    const ratio = (element: StageElement) => ratiosOf(element)[0]?.ratio;
    expect(ratio(pair)).toBe(-2);
    expect(ratio({ kind: "gear-pair", parts: {}, pair: { ...spurPair([20, 60], 2), internal: true } })).toBe(3);
    expect(ratio(worm("right"))).toBe(-15);
    expect(ratio(worm("left"))).toBe(15);
    expect(ratio(bevel(0))).toBe(-2);
  });

  // A screw in its nut: right-hand, turned clockwise, it is pushed away from the hand that turns it (any mechanics text).
  test("a right-hand helical driver or worm turning clockwise is pushed away from its drive; its partner the other way", () => {
    const way = (element: StageElement, member: 0 | 1, turning: string) =>
      thrustsOf(element).find((t) => t.member === member && t.turning === turning)?.way;
    expect(way(pair, 0, "clockwise")).toBe("away-from-drive");
    expect(way(pair, 1, "clockwise")).toBe("towards-drive");
    expect(way(pair, 0, "counter-clockwise")).toBe("towards-drive");
    expect(way(worm("left"), 0, "clockwise")).toBe("towards-drive");
  });

  // Bevel thrust: Wa = Wt·(tan φ·sin γ ∓ sin ψ·cos γ)/cos ψ (Machinery's Handbook, thrust of spiral bevels); straight: always out of mesh.
  test("bevels: the cone pushes out of mesh, a right-hand spiral turning clockwise pulls its pinion in", () => {
    for (const { way, perTangential, member } of thrustsOf(bevel(0))) {
      expect(way).toBe("out-of-mesh");
      const delta = Math.atan(member === 0 ? 0.5 : 2);
      expect(perTangential).toBeCloseTo(Math.tan(Math.PI / 9) * Math.sin(delta), 12);
    }
    const pinion = thrustsOf(bevel(35)).filter(({ member }) => member === 0);
    const [delta, beta] = [Math.atan(0.5), (35 * Math.PI) / 180];
    const pull = (Math.tan(Math.PI / 9) * Math.sin(delta) - Math.sin(beta) * Math.cos(delta)) / Math.cos(beta);
    expect(pinion.find(({ turning }) => turning === "clockwise")).toMatchObject({
      way: "into-mesh",
      perTangential: expect.closeTo(-pull, 12),
    });
    expect(pinion.find(({ turning }) => turning === "counter-clockwise")).toMatchObject({ way: "out-of-mesh" });
  });

  test("lost motion of a mesh at its gear, and a worm's efficiency (γ 7.7652°, μ 0.05: 0.7141)", () => {
    // j_t/(d_w2/2)·3437.7468 arcminutes; d_w2 = 2·a·40/60.
    const radius = (60.2 * 40) / 60;
    expect(lostMotionArcmin(pair, 0.12)).toBeCloseTo((0.12 / radius) * 3437.7468, 4);
    expect(efficiencyOf(worm("right"))).toBeCloseTo(0.7141, 4);
    // Wheel of 30 teeth, module 3: 45 mm. What the worm floats along its axis the wheel turns by, on top of the mesh.
    expect(lostMotionArcmin(worm("right"), 0.12, 0.05)).toBeCloseTo((0.17 / 45) * 3437.7468, 3);
    expect(lostMotionArcmin(pair, 0.12, 0.05)).toBe(lostMotionArcmin(pair, 0.12));
  });
});

test("what comes round: hunting teeth, chain and belt rounds, planets", () => {
  const times = (element: StageElement, part: string) =>
    recurrencesOf(element).find((r) => r.part === part)?.timesPerTurn;
  // 20 and 40 teeth meet again after 40 teeth: two turns of the pinion.
  expect(times(pair, "same-teeth")).toBeCloseTo(0.5, 12);
  const chain: StageElement = {
    kind: "chain",
    pitchMm: 12.7,
    teeth: [17, 51],
    links: 100,
    centreDistanceMm: 413.374153,
    idlers: [],
    moved: "centres",
    inclinationDeg: 0,
  };
  expect(times(chain, "chain-round")).toBe(0.17);
  const belt: StageElement = {
    kind: "toothed-belt",
    pitchMm: 2,
    teeth: [20, 60],
    beltTeeth: 140,
    centreDistanceMm: 99.18161425,
    idlers: [],
    moved: "centres",
    massKgPerM: 0.01,
    stiffnessN: null,
    bendingStiffnessNMm2: 0,
  };
  expect(times(belt, "belt-round")).toBeCloseTo(20 / 140, 9);
  const set: StageElement = {
    kind: "planetary",
    set: {
      kind: "simple",
      sun: 18,
      planet: [27],
      ring: [72],
      planets: 3,
      fixed: "ring",
      input: "sun",
      output: "carrier",
    },
  };
  // Carrier 18/90 of a turn: the sun turns 0.8 against it and meets three planets each time; the ring stands, and meets three a turn of the carrier.
  expect(times(set, "sun-tooth")).toBeCloseTo(2.4, 12);
  expect(times(set, "ring-tooth")).toBeCloseTo(0.6, 12);
  expect(times(set, "carrier-turn")).toBeCloseTo(0.2, 12);
});
