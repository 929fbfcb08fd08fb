import { expect, test } from "vitest";
import { toothedBelt } from "../../tests/elements";
import { rollerGrid } from "../belts";
import { mustHold } from "../quantity";
import { assessRound } from "./assess-round";
import { rollerSettings } from "./roller-settings";
import { roundedMove } from "./rounded-move";

const adjuster = { type: "slide" as const, angleDeg: 0 };
const limits = { lo: 100, hi: 140 };
const readings = [60, 62, 61, 63].map((value, i) => ({ tooth: 12 * i + 1, angleDeg: 90 * i, value, struck: false }));
const assessed = mustHold(
  assessRound({
    element: toothedBelt,
    adjuster,
    limits,
    readings,
    expandedUncertainty: 2,
    how: "as-found",
    known: null,
    response: { perUnit: 20, sdRel: 0.1, unit: "mm" },
  } as never),
);

test("holes alone read what the advised move in whole holes reads; barrels between them come nearer", () => {
  const settings = rollerSettings(
    assessed.advice,
    adjuster,
    3,
    { nowMm: 20, atHandMm: [18, 22, 24] },
    assessed.judged,
    limits,
  );
  const whole = roundedMove(assessed.advice, adjuster, 3, assessed.judged, limits);
  const holesAlone = settings.find(({ amount, barrelMm }) => barrelMm === 20 && amount === whole?.amount);
  expect(holesAlone).toMatchObject({ min: whole?.min, max: whole?.max, verdict: whole?.verdict });
  const middle = (setting: { min: number; max: number } | null | undefined) =>
    Math.abs(((setting?.min ?? 0) + (setting?.max ?? 0)) / 2 - 120);
  expect(settings[0]?.verdict).toBe("conforms");
  expect(middle(settings[0])).toBeLessThanOrEqual(middle(whole));
  // Every barrel in every hole once, the best first by verdict.
  expect(new Set(settings.map(({ holes, barrelMm }) => `${holes} ${barrelMm}`)).size).toBe(settings.length);
  expect(
    settings
      .filter(({ holes }) => holes === 0)
      .map(({ barrelMm }) => barrelMm)
      .sort(),
  ).toEqual([18, 20, 22, 24]);
});

test("a barrel presses by half of its diameter: as the exact path over a roller that is wrapped a little (belt path, rollerGrid)", () => {
  const pulleys = [
    { x: 0, y: 0, pitchDiameterMm: 40, side: "inside" as const },
    { x: 75, y: 36, pitchDiameterMm: 20, side: "outside" as const },
    { x: 150, y: 0, pitchDiameterMm: 40, side: "inside" as const },
  ];
  const lengthWith = (y: number, diameterMm: number) =>
    mustHold(
      rollerGrid(
        pulleys.map((pulley, i) => (i === 1 ? { ...pulley, y } : pulley)) as never,
        { index: 1, holes: [{ x: 75, y }], diametersMm: [diameterMm], addRadiusMm: 0 },
        { lengthMm: 400, stiffnessN: 9000, limitsN: { lo: 1, hi: 2 } },
      ),
    ).rows[0]?.lengthMm ?? Number.NaN;
  const [still, hole, barrel] = [lengthWith(26, 20), lengthWith(25, 20), lengthWith(26, 22)];
  expect(Math.abs(hole - still)).toBeGreaterThan(0.01);
  expect(Math.abs((barrel - still) / (hole - still) - 1)).toBeLessThan(0.1);
});

test("on a guessed stiffness no setting goes further than the safe part of the way", () => {
  const guessed = { ...assessed.advice, reasons: ["guessed-stiffness"] } as typeof assessed.advice;
  const settings = rollerSettings(guessed, adjuster, 1, { nowMm: 20, atHandMm: [22, 40] }, assessed.judged, limits);
  expect(settings.length).toBeGreaterThan(2);
  for (const { amount } of settings) {
    expect(amount).toBeGreaterThanOrEqual(0);
    expect(amount).toBeLessThanOrEqual((assessed.advice?.move?.amount ?? 0) + 1e-9);
  }
});

test("none where no move is asked for", () => {
  expect(rollerSettings(null, adjuster, 3, { nowMm: 20, atHandMm: [22] }, assessed.judged, limits)).toEqual([]);
});
