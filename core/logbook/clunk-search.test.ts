import fc from "fast-check";
import { expect, test } from "vitest";
import { clunkNoise, clunkSearch, whineNoise } from "./clunk-search";
import type { Entry } from "./entry";

const move = (tighter: number) =>
  ({ kind: "move", body: { amount: -tighter, direction: tighter > 0 ? "apart" : "together" } }) as unknown as Entry;
const run = (noise: string, more: object = {}) =>
  ({
    kind: "proof",
    body: { way: "powered", speed: "fast", outcome: "ran", noise, currentA: null, ...more },
  }) as unknown as Entry;

test("whatever the belt needs, the search ends no more than two steps above it, and never with a clunk", () => {
  fc.assert(
    fc.property(fc.integer({ min: -40, max: 40 }), fc.constantFrom(0.05, 0.125, 1), (needs, step) => {
      const heard = (at: number) => (at < (needs - 0.5) * step ? clunkNoise : "quiet");
      const entries: Entry[] = [run(heard(0))];
      let at = 0;
      for (let n = 0; n < 60; n++) {
        const { found, next } = clunkSearch(entries, step);
        if (next === null) throw new Error("lost");
        if (found && Math.abs(next) < 1e-9) break;
        at += next;
        entries.push(move(next), run(heard(at)));
      }
      const last = clunkSearch(entries, step);
      expect(last.found).toBe(true);
      expect(heard(last.at)).toBe("quiet");
      expect(last.at).toBeLessThanOrEqual((needs + 1.5) * step + 1e-9);
    }),
  );
});

test("slow runs, turns by hand and runs of which nothing was heard teach nothing; a whine and its current stand with their step", () => {
  const idle = [
    run(clunkNoise, { speed: "slow" }),
    run(clunkNoise, { way: "by-hand" }),
    run("  "),
    run("quiet", { outcome: "stalled" }),
  ];
  expect(clunkSearch(idle, 0.1)).toMatchObject({ steps: [], next: null, found: false });
  const { steps, next } = clunkSearch([...idle, move(0.4), run(`${whineNoise}, hot`, { currentA: 3.1 })], 0.1);
  expect(steps).toMatchObject([{ at: 0.4, clunk: false, noise: "whine, hot", currentA: 3.1 }]);
  expect(next).toBeCloseTo(-0.2, 9);
});

test("an adjuster without a scale is told the way, not how far", () => {
  expect(clunkSearch([run(clunkNoise)], 0)).toMatchObject({ clunkAt: 0, next: null });
});

test.each([
  ["Clunks when reversed", true],
  ["CLUNK", true],
  ["no clunk, a whine", false],
  ["knock once a turn", false],
])("noted as %j it clunks: %s", (noise, clunk) => {
  expect(clunkSearch([run(noise)], 0.1).steps).toMatchObject([{ clunk }]);
});
