import { expect, test } from "vitest";
import type { Frame } from "../stages";
import { setShares } from "./set-shares";

const frame = { word: "place", places: 2, belts: 3 } as Frame;
const read = (...newtons: number[]) => newtons.map((value, i) => ({ tooth: i + 1, value, struck: false }));

test("belts of a set share by the mean of each; a struck reading says nothing, a belt that was not read leaves it open", () => {
  // Means 100, 120, 110: −9.1, +9.1 and 0 % of 110.
  const set = read(98, 102, 121, 119, 110, 110);
  const shares = setShares(frame, set, 0);
  expect(shares?.strands.map(({ deviationPercent }) => Math.round(deviationPercent * 10) / 10)).toEqual([-9.1, 9.1, 0]);
  expect(shares).toMatchObject({ weakest: "1", overPulled: "2", verdict: "conforms" });
  expect(setShares(frame, set, 3)?.verdict).toBe("undecided");
  const struck = [...set, { tooth: 1, value: 500, struck: true }];
  expect(setShares(frame, struck, 0)).toEqual(shares);
  expect(setShares(frame, read(98, 102, 121, 119), 0)).toBeNull();
  expect(setShares({ ...frame, belts: 1 }, set, 0)).toBeNull();
  expect(setShares(frame, read(0, 0, 0, 0, 0, 0), 1)).toBeNull();
});
