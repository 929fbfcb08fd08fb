import fc from "fast-check";
import { expect, test } from "vitest";
import { fittedAt, type Harmonics } from "./fit-round";
import { reIndex } from "./re-index";

const of = (gear: [number, number], pinion: [number, number]): Harmonics => ({
  mean: 0.15,
  gear: { amplitude: gear[0], tightRad: gear[1] },
  pinion: { amplitude: pinion[0], tightRad: pinion[1] },
});

test("in a whole ratio the pinion's tight side is turned away from the gear's; in 1 : 1 equal wobbles cancel", () => {
  // 20 : 20, both tight at tooth 0: turned on by half a turn nothing is left.
  const even = reIndex(of([0.03, 0], [0.03, 0]), [20, 20]);
  expect(even).toMatchObject({ turnOn: 10, spread: expect.closeTo(0.12, 9), spreadThen: expect.closeTo(0, 9) });
  expect(even).toMatchObject({ gearTrued: expect.closeTo(0.06, 9), pinionTrued: expect.closeTo(0.06, 9) });
});

test("in a hunting pair turning it on gains nothing", () => {
  expect(reIndex(of([0.03, 1], [0.02, 2]), [19, 46])).toMatchObject({ turnOn: 0 });
  expect(reIndex({ ...of([0.03, 1], [0, 0]), pinion: null }, [19, 46])).toBeNull();
});

test("agrees with the fitted round looked at place by place, the pinion's wave turned on", () => {
  const teeth = fc.constantFrom([12, 36], [18, 54], [20, 30], [15, 40]) as fc.Arbitrary<[number, number]>;
  const angle = fc.double({ min: 0, max: 6.28, noNaN: true });
  const size = fc.double({ min: 0.001, max: 0.1, noNaN: true });
  fc.assert(
    fc.property(teeth, size, angle, size, angle, ([z1, z2], a, at, b, bt) => {
      const found = reIndex(of([a, at], [b, bt]), [z1, z2]);
      const spreadOf = (turned: number) => {
        const turnedOn = of([a, at], [b, bt - (2 * Math.PI * turned) / z1]);
        const values = Array.from({ length: z1 * z2 }, (_, k) => fittedAt(turnedOn, (k * 360) / z2, z2 / z1));
        return Math.max(...values) - Math.min(...values);
      };
      const all = Array.from({ length: z1 }, (_, turned) => spreadOf(turned));
      expect(found?.spread).toBeCloseTo(all[0] as number, 9);
      expect(found?.spreadThen).toBeCloseTo(Math.min(...all), 8);
      expect(all[found?.turnOn ?? 0]).toBeCloseTo(Math.min(...all), 8);
    }),
    { numRuns: 40, seed: 3 },
  );
});
