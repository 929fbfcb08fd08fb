import { expect, test } from "vitest";
import { wedgeWatch } from "./wedge-guard";

/** Keys one after the other, so many ms apart; whether the Enter at the end is swallowed. */
function swallowed(keys: string, apart: number, more: { inReading?: boolean; repeat?: boolean } = {}): boolean {
  const swallows = wedgeWatch();
  let at = 1000;
  for (const key of keys) {
    swallows({ key, at, repeat: false, inReading: more.inReading ?? false });
    at += apart;
  }
  return swallows({ key: "Enter", at, repeat: more.repeat ?? false, inReading: more.inReading ?? false });
}

test("an instrument's Enter does nothing outside of a reading field: it never acknowledges, goes live or signs", () => {
  expect(swallowed("0.25", 2)).toBe(true);
  expect(swallowed("0.25", 49)).toBe(true);
  expect(swallowed("0.25", 2, { inReading: true })).toBe(false);
});

test("a hand's Enter goes through, also one after another; one that is held down does not", () => {
  expect(swallowed("12", 90)).toBe(false);
  expect(swallowed("", 0)).toBe(false);
  expect(swallowed("", 0, { repeat: true })).toBe(true);
});
