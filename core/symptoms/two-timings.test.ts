import { expect, test } from "vitest";
import { turnLine } from "../practice/knocking-line";
import { tappedRate } from "../proving";
import { twoTimings } from "./two-timings";

const at = (perMinute: number, toleranceShare = 0.03) => ({ perMinute, toleranceShare });

test("a part turned tooth by tooth at two speeds goes with them, and is known better by both; a fan beside it stays", () => {
  const knocks = (rpm: number) => turnLine([{ teeth: [20, 47], joint: null }], { stage: 0, part: "driven" }, rpm, 60);
  const timed = (rpm: number) => {
    const rate = tappedRate(knocks(rpm));
    if (!rate.ok) throw new Error("not timed");
    return at(rate.value.perMinute, 0.02);
  };
  const both = twoTimings(timed(120), timed(200), 200 / 120);
  if (both.find !== "goes-with-it") throw new Error(both.find);
  expect(both.heard.perMinute).toBeCloseTo((120 * 20) / 47, 1);
  expect(both.heard.toleranceShare).toBeCloseTo(0.02 / Math.SQRT2, 9);
  expect(twoTimings(at(90), at(91), 200 / 120)).toEqual({ find: "stays" });
});

test("speeds too alike tell nothing, and what fits neither is said to", () => {
  expect(twoTimings(at(50), at(51), 1.02)).toEqual({ find: "too-alike" });
  expect(twoTimings(at(50), at(60), 2)).toEqual({ find: "neither" });
});

test("the surer timing counts for more", () => {
  const both = twoTimings(at(50, 0.05), at(102, 0.01), 2);
  expect(both).toMatchObject({ heard: { perMinute: expect.closeTo((50 / 25 + 51) / (1 / 25 + 1), 6) } });
});
