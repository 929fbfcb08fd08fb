import { expect, test } from "vitest";
import { optionField, optionTexts, readOption } from "./read-option";
import { wantedIn, wantedRpmOf } from "./wanted-speed";

const typed = { name: "Worm and belt", motor: "1400", ratio: "-35", wheel: "2 in", efficiency: "60", outcome: "open" };

test("an option is read as it was typed and comes back into its fields; what is left empty is not known", () => {
  const read = readOption(typed);
  expect(read.value).toMatchObject({
    motorRpm: 1400,
    ratio: -35,
    wheelDiameterMm: 50.8,
    efficiency: 0.6,
    motorTorqueNm: null,
    price: null,
    measuredRpm: null,
  });
  const texts = read.value && optionTexts(read.value);
  expect(texts).toMatchObject({ ratio: "-35", wheel: "50.8", efficiency: "60", torque: "" });
  expect(readOption(texts ?? {}).value).toEqual(read.value);
});

test.each([
  [{ ratio: "0" }, { ratio: "is-zero" }],
  [{ efficiency: "120" }, { efficiency: "too-large" }],
  [{ name: "" }, { name: "missing" }],
  [{ outcome: "lost" }, { why: "missing" }],
  [{ wheel: "3 kg" }, { wheel: "wrong-dimension" }],
])("%j is refused at its field", (change, problems) => {
  const read = readOption({ ...typed, ...change });
  expect(Object.fromEntries(Object.entries(read.problems ?? {}).map(([name, { code }]) => [name, code]))).toEqual(
    problems,
  );
});

test("a refusal of the server stands at the field that is meant", () => {
  expect([["motorRpm"], ["measuredRpm"], ["why"]].map(optionField)).toEqual(["motor", "measured", "why"]);
});

test("a wanted speed is turned into turns of each wheel, of a model by what it stands for", () => {
  const wanted = wantedIn(new URLSearchParams("speed=9&unit=km/h"));
  // 2.5 m/s on 500 mm: 95.5 turns a minute; in a scale of 1 to 20 a twentieth.
  expect(wantedRpmOf(wanted, { wheelDiameterMm: 500, scale: null })).toBeCloseTo(95.493, 3);
  expect(wantedRpmOf(wanted, { wheelDiameterMm: 500, scale: 20 })).toBeCloseTo(95.493 / 20, 4);
  expect(wantedRpmOf(wanted, { wheelDiameterMm: null, scale: null })).toBeNull();
  expect(wantedRpmOf(wantedIn(new URLSearchParams("speed=40")), { wheelDiameterMm: null, scale: null })).toBe(40);
  expect(wantedIn(new URLSearchParams("speed=x"))).toBeNull();
});
