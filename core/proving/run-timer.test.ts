import fc from "fast-check";
import { expect, test } from "vitest";
import { isForgotten, ranMs, startTimer, turnedTo, watchTimer } from "./run-timer";

const minute = 60_000;

test("seen every second it counts what has gone by, wherever the clocks began", () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 600 }), fc.integer({ min: 0, max: 2e12 }), (seconds, wall) => {
      let timer = startTimer(wall, 17);
      for (let s = 1; s <= seconds; s++) timer = watchTimer(timer, wall + s * 1000, 17 + s * 1000, true);
      expect(ranMs(timer, wall + seconds * 1000)).toBe(seconds * 1000);
      expect(timer).toMatchObject({ jumpedMs: 0, unwatchedMs: 0 });
    }),
  );
});

test("a clock that is set back by an hour takes nothing off the run", () => {
  let timer = watchTimer(startTimer(0, 0), 10 * minute, 10 * minute, true);
  timer = watchTimer(timer, -49 * minute, 11 * minute, true);
  expect(timer.jumpedMs).toBe(-60 * minute);
  expect(ranMs(timer, -48 * minute)).toBe(12 * minute);
});

test("asleep or set forwards cannot be told apart: it counts on, and says that nobody saw it", () => {
  const timer = watchTimer(startTimer(0, 0), 30 * minute, minute, true);
  expect(timer).toMatchObject({ jumpedMs: 0, unwatchedMs: 29 * minute });
  expect(ranMs(timer, 30 * minute)).toBe(30 * minute);
  // A page that was loaded anew has a clock of its own that begins at nought.
  expect(watchTimer(startTimer(0, 5 * minute), 3 * minute, 1000, false)).toMatchObject({
    jumpedMs: 0,
    unwatchedMs: 3 * minute,
  });
});

test("forgotten overnight is said; a proof that is to take two hours is not forgotten after three", () => {
  const timer = startTimer(0, 0);
  expect(isForgotten(timer, 14 * 60 * minute, 3)).toBe(true);
  expect(isForgotten(timer, 3 * 60 * minute, 120)).toBe(false);
  expect(isForgotten(timer, 7 * 60 * minute, 120)).toBe(false);
  expect(isForgotten(timer, 9 * 60 * minute, 120)).toBe(true);
});

test("half a turn a minute stands at 350° + 90° = 80° after half a minute", () => {
  expect(turnedTo(350, 0.5, 30_000)).toBeCloseTo(80, 9);
});
