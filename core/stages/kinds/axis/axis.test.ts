import fc from "fast-check";
import { expect, test } from "vitest";
import { everyKind } from "~/tests/elements";
import { loadAgainstMotor } from "../../../axes";
import { mustHold } from "../../../quantity";
import { judgeRound } from "../../../rounds";
import type { AxisElement } from "../../element";
import { axisGiven } from "./given";
import { loadByGear, stopsIn, travelWith } from "./travel";

const [sliding, swinging] = everyKind.filter((known): known is AxisElement => known.kind === "axis") as [
  AxisElement,
  AxisElement,
];
const codes = (element: AxisElement) => mustHold(axisGiven.check(element)).map(({ code }) => code);

test("limits are the room that a switch has: from the stop, as read before as computed, to the end of the work", () => {
  // Handbook of axes: 260 mm/s, 0.02 s, 2600 mm/s² stop in 18.2.
  expect(stopsIn(sliding)).toBeCloseTo(18.2, 9);
  expect(axisGiven.recommend(sliding, {})).toMatchObject({ lo: 18.2, hi: 35 });
  expect(axisGiven.recommend({ ...sliding, stopsIn: 22.03 }, {})).toMatchObject({ lo: 22.1, hi: 35 });
  expect(axisGiven.recommend(swinging, {})).toMatchObject({ lo: 4.5, hi: 8 });
  expect(axisGiven.recommend({ ...sliding, stopsIn: 36 }, {})).toBeNull();
});

test("a stop that was read is the one that is left, and what hits the buffer is told by it", () => {
  const { ends } = travelWith({ ...sliding, stopsIn: 20 }, { low: 20, high: 15 });
  expect(ends.low).toMatchObject({ margin: 0, speedAtBuffer: 0 });
  // Braked evenly over 20, three quarters of the energy are gone after 15.
  expect(ends.high.margin).toBe(-5);
  expect(ends.high.speedAtBuffer).toBeCloseTo(130, 9);
});

test("an end without room, a sensor that runs out, a cord beyond its stretch, a motor too weak: each is said, never refused", () => {
  const balance = sliding.balance as NonNullable<AxisElement["balance"]>;
  const motor = sliding.motor as NonNullable<AxisElement["motor"]>;
  expect(codes(sliding)).toEqual([]);
  expect(codes({ ...sliding, stopsIn: 42 })).toEqual(["axis-travel", "axis-travel"]);
  expect(codes({ ...sliding, sensor: { turnsAvailable: 10, turnsPerShaftTurn: 1 } })).toContain("axis-travel");
  expect(codes({ ...sliding, balance: { ...balance, maxExtensionMm: 1000 } })).toEqual(["strand-overstretched"]);
  expect(codes({ ...sliding, balance: { ...balance, extensionAtTopMm: 90 } })).toEqual(["strand-beyond-reading"]);
  expect(codes({ ...sliding, motor: { ...motor, torqueNm: 0.1 } })).toEqual(["motor-too-weak"]);
});

test("what a motor needs lifts the load as far in a turn as its own work does, whatever the gear", () => {
  const amount = fc.double({ min: 0.1, max: 1000, noNaN: true });
  fc.assert(
    fc.property(
      amount,
      amount,
      amount,
      fc.double({ min: 0.05, max: 1, noNaN: true }),
      (forceN, mmPerTurn, ratio, efficiency) => {
        const [gear] = loadAgainstMotor({ forceN, mmPerTurn, motorNm: 2, gears: [{ name: "a", ratio, efficiency }] });
        // Work of the motor over one turn of the shaft, less what is lost, in N·m.
        const work = 2 * Math.PI * (gear?.neededNm ?? 0) * ratio * efficiency;
        expect(work).toBeCloseTo((forceN * mmPerTurn) / 1000, 6);
        expect((gear?.share ?? 0) * (gear?.margin ?? 0)).toBeCloseTo(1, 9);
      },
    ),
  );
  // A balanced load asks for what the strands leave, and for all that it carries besides.
  const alone = loadByGear({ ...sliding, load: { forceN: 330, payloadN: 0, frictionN: 12, armMm: null } });
  const laden = loadByGear({ ...sliding, load: { forceN: 330, payloadN: 500, frictionN: 12, armMm: null } });
  expect((laden?.[0]?.neededNm ?? 0) - (alone?.[0]?.neededNm ?? 0)).toBeCloseTo((500 * 60) / 2000 / Math.PI / 8, 9);
});

test("what was read at one end says nothing of the other: no round is carried over", () => {
  const known = {
    id: "before",
    readings: [1, 2].map((tooth) => ({ tooth, gearAngleDeg: 180 * (tooth - 1), value: 25 })),
  };
  const readings = [{ tooth: 2, angleDeg: 180, value: 30, struck: false }];
  const found = judgeRound({ element: sliding, limits: null, readings, expandedUncertainty: 0.1, how: "set", known });
  expect(mustHold(found).counting).toEqual([{ tooth: 2, gearAngleDeg: 180, value: 30 }]);
  // Far apart, and both can be held: each by its own switch.
  const apart = [
    { tooth: 1, angleDeg: 0, value: 22, struck: false },
    { ...readings[0], value: -6 } as (typeof readings)[0],
  ];
  const limits = { lo: 18.2, hi: 35 };
  const both = judgeRound({ element: sliding, limits, readings: apart, expandedUncertainty: 0.1, how: "check", known });
  expect(mustHold(both)).toMatchObject({ verdict: "does-not-conform", holds: "provable" });
});
