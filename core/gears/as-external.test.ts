import { expect, test } from "vitest";
import { mustHold } from "../quantity";
import { rackAsExternal, ringAsExternal } from "./as-external";
import { identifyGear } from "./identify";
import { gearPair, spurPair } from "./pair";

const found = (gear: ReturnType<typeof ringAsExternal>) =>
  mustHold(identifyGear({ ...gear, resolutionMm: 0.01, measuredBy: "diameter", tipToleranceMm: 0 }));

test.each([0.8, 1, 1.5, 2.5, 25.4 / 32])(
  "a ring of module %d is found by its circles as the exact pair has them",
  (moduleMm) => {
    const pair = mustHold(gearPair({ ...spurPair([18, 72], moduleMm), internal: true }));
    const [tipDiameterMm, rootDiameterMm] = [pair.tipDiameterMm[1], pair.rootDiameterMm[1]];
    expect(tipDiameterMm).toBeLessThan(rootDiameterMm);
    const ring = found(ringAsExternal({ toothCount: 72, tipDiameterMm, rootDiameterMm }));
    expect(ring.moduleEstimateMm).toBeCloseTo(moduleMm, 9);
    expect(ring.candidates[0]?.deviationPercent).toBeCloseTo(0, 6);
    expect(found(ringAsExternal({ toothCount: 72, tipDiameterMm })).moduleEstimateMm).toBeCloseTo(moduleMm, 9);
  },
);

test("a rack over ten pitches of module 2 is 62.83 mm long; a span that tells 0.8 from 32 DP does so here too", () => {
  expect(found(rackAsExternal(10, 20 * Math.PI)).candidates[0]).toMatchObject({ system: "module", value: 2 });
  // Over 4 pitches they differ by 4·π·0.00625 = 0.0785 mm: more than two steps of a hundredth.
  const names = found(rackAsExternal(4, 4 * Math.PI * 0.8))
    .confusable.flat()
    .map(({ system, value }) => `${system} ${value}`);
  expect(names).not.toContain("diametral-pitch 32");
});
