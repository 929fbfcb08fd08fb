import { expect, test } from "vitest";
import { feelsOf, feltAs } from "~/core/stages";
import { everyKind } from "~/tests/elements";
import { testStage } from "~/tests/stage";
import { buildFeel } from "./feel";

const felt = { kind: "feel" as const, phase: "check" as const, method: "by hand" as const, places: [] };
const stageOf = (element: (typeof everyKind)[number]) => {
  const base = testStage("s");
  return { ...base, kind: element.kind, geometry: { ...base.geometry, element } };
};
const refused = (built: ReturnType<typeof buildFeel>) =>
  built.ok ? "taken" : `${built.refusal.code} ${built.refusal.path.join(".")}`;

test.each(everyKind.map((element) => [element.kind, element] as const))(
  "a %s takes the words of its own kind and no others",
  (kind, element) => {
    const own = feltAs(element);
    for (const scale of ["click", "worm", "strand", "shaft"] as const) {
      for (const feel of feelsOf(scale)) {
        const built = buildFeel({ ...felt, places: [{ tooth: 1, feel }] }, stageOf(element));
        expect(built.ok, `${kind} ${feel}`).toBe(own !== null && feelsOf(own).includes(feel));
      }
    }
  },
);

test("an entry keeps how many places the turn has, so that anybody can judge it again", () => {
  const built = buildFeel({ ...felt, places: [{ tooth: 3, feel: "binds" }] }, testStage("s"));
  expect(built.ok && built.value).toMatchObject({
    of: 40,
    judged: { verdict: "outside", side: "tight", step: "apart" },
  });
});

/** Gears of 20 and 40 teeth, module 2: limits of the test stage in millimetres of circumferential backlash. */
const paper = (
  prints: [number, "falls out" | "even" | "bunched at one end" | "cut through"][],
  sheet: object | null,
) => ({
  ...felt,
  method: "paper strip" as const,
  paper: {
    prints: prints.map(([tooth, print]) => ({ tooth, print })),
    sheet: sheet && { flanks: 2 as const, pressed: 1, toleranceMm: 0, thicknessMm: 0.05, ...sheet },
  },
});

test("paper at one place says whether it is right there, and no more; all round it says so", () => {
  const stage = testStage("s");
  const judged = (input: Parameters<typeof buildFeel>[0]) => {
    const built = buildFeel(input, stage);
    return built.ok ? built.value.judged : built.refusal;
  };
  const all = [1, 9, 17, 25, 33];
  expect(judged(paper([[5, "even"]], null))).toMatchObject({ by: "paper", verdict: "not-known", step: "none" });
  expect(
    judged(
      paper(
        all.map((at) => [at, "even"]),
        null,
      ),
    ),
  ).toMatchObject({ verdict: "inside" });
  expect(judged(paper([[5, "cut through"]], null))).toMatchObject({ verdict: "outside", side: "tight", step: "apart" });
  expect(
    judged(
      paper(
        all.map((at) => [at, at === 9 ? "bunched at one end" : "even"]),
        null,
      ),
    ),
  ).toMatchObject({
    verdict: "outside",
    skew: true,
    step: "none",
  });
});

test("an even print of a sheet that stands for more than the limits allow is loose, of one that stands for less tight", () => {
  const stage = testStage("s");
  const { lo, hi } = stage.limits ?? { lo: 0, hi: 0 };
  const all = [1, 9, 17, 25, 33].map((at): [number, "even"] => [at, "even"]);
  const of = (normalMm: number) => {
    const built = buildFeel(paper(all, { thicknessMm: normalMm / 2 }), stage);
    return built.ok ? built.value : null;
  };
  expect(of((lo + hi) / 2)?.judged).toMatchObject({ verdict: "inside" });
  expect(of(2 * hi)?.judged).toMatchObject({ verdict: "outside", side: "loose", step: "together" });
  expect(of(lo / 2)?.judged).toMatchObject({ verdict: "outside", side: "tight", step: "apart" });
  expect(of(lo / 2)?.paper?.sheet).toMatchObject({ verdict: "does-not-conform" });
});

test("a print is read by the teeth of the stage, right only with both flanks; one on the wrong kind is refused", () => {
  const stage = testStage("s");
  const span = { depth: { from: 0.25, to: 0.85 }, length: { from: 0.1, to: 0.9 }, diagonal: false };
  const print = (flanks: ("drive" | "coast")[], more: object = {}) => ({
    ...felt,
    method: "marking paint" as const,
    print: {
      kind: "spur" as const,
      prints: flanks.map((flank) => ({ flank, ...span, ...more })),
      boltSpanMm: null,
      filmMm: 0.01,
      wholeDepthMm: null,
      faceWidthMm: null,
    },
  });
  const judged = (input: Parameters<typeof buildFeel>[0]) => {
    const built = buildFeel(input, stage);
    return built.ok ? built.value : null;
  };
  expect(judged(print(["drive", "coast"]))?.judged).toMatchObject({ by: "print", verdict: "inside" });
  // Nobody said how thick the film is: that is kept, and the usual one is reckoned with.
  const unsaid = print(["drive", "coast"], { length: { from: 0, to: 0.4 } });
  const tilted = judged({ ...unsaid, print: { ...unsaid.print, filmMm: null, faceWidthMm: 10 } });
  expect(tilted?.print).toMatchObject({ filmMm: null, findings: ["inclined"] });
  expect(tilted?.print?.moves[0]?.mmPerMm).toBeCloseTo(0.0073, 4);
  // Words of feel beside a print are none of it, and the means names the method.
  const mixed = judged({ ...print(["drive", "coast"]), method: "by hand", places: [{ tooth: 1, feel: "stiff" }] });
  expect(mixed).toMatchObject({ method: "marking paint", places: [] });
  expect(judged(print(["drive"]))?.judged).toMatchObject({ verdict: "not-known" });
  const deep = judged(print(["drive", "coast"], { depth: { from: 0.02, to: 0.3 } }));
  expect(deep?.judged).toMatchObject({ verdict: "outside", side: "tight", step: "apart" });
  // Module 2: twice the check value of the handbook, 0.1755 on module 1.
  expect(deep?.print?.moves).toEqual([{ what: "apart", amountMm: expect.closeTo(0.351, 9) }]);
  const wrong = print(["drive"]);
  expect(refused(buildFeel({ ...wrong, print: { ...wrong.print, kind: "worm" } }, stage))).toBe(
    "no-words-for-this-kind print",
  );
  expect(refused(buildFeel(print(["drive"], { length: { from: 0.9, to: 0.1 } }), stage))).toBe(
    "window-upside-down print.prints.0.length.from",
  );
});

test("a pinion's clearance to its ring is printed too, by the depth of tooth that was said; without one it cannot be", () => {
  const gap = everyKind.find(({ kind }) => kind === "gap");
  if (gap?.kind !== "gap") throw new Error("no gap");
  const stage = { ...stageOf({ ...gap, what: "pinion-clearance" }), kind: "gap" as const };
  const span = { depth: { from: 0.05, to: 0.75 }, length: { from: 0.1, to: 0.9 }, diagonal: false };
  const print = (wholeDepthMm: number | null) =>
    buildFeel(
      {
        ...felt,
        method: "marking paint",
        print: {
          kind: "ring-pinion",
          prints: [
            { flank: "drive", ...span },
            { flank: "coast", ...span },
          ],
          boltSpanMm: null,
          filmMm: 0.01,
          wholeDepthMm,
          faceWidthMm: null,
        },
      },
      stage,
    );
  const deep = print(5.6);
  expect(deep.ok && deep.value.print?.moves).toEqual([
    { what: "apart", amountMm: expect.closeTo((2 / 3 - 0.4) * 5.6, 9) },
  ]);
  expect(refused(print(null))).toBe("missing print.wholeDepthMm");
});

test("pins are kept as they were called, and judged as the gap they find between the flanks", () => {
  const stage = testStage("s");
  const pins = (goes: string, stops: string) => ({
    ...felt,
    method: "pins" as const,
    pins: { tooth: 3, goes, stops, toleranceMm: 0 },
  });
  const { lo, hi } = stage.limits ?? { lo: 0, hi: 0 };
  const inside = buildFeel(pins(`${lo}`, `${0.9 * hi}`), stage);
  // Between the flanks it is less than at the pitch circle, so both lie inside.
  expect(inside.ok && inside.value).toMatchObject({
    judged: { by: "pins", verdict: "inside" },
    pins: { goes: `${lo}`, tooth: 3 },
  });
  const inch = buildFeel(pins("3/32 in", ""), stage);
  expect(inch.ok && inch.value).toMatchObject({
    judged: { verdict: "outside", side: "loose" },
    pins: { goes: "3/32 in", goesMm: expect.closeTo(2.38125, 9), highMm: null },
  });
  expect(refused(buildFeel(pins("0.2", "0.1"), stage))).toBe("goes-beyond-stop pins.stops");
  expect(refused(buildFeel(pins("", ""), stage))).toBe("one-of-missing pins.goes");
  expect(refused(buildFeel(pins("wide", ""), stage))).toBe("not-a-number pins.goes");
});

test("nothing felt, a place that the part does not have, and no place inside its arc are refused", () => {
  const stage = testStage("s");
  expect(refused(buildFeel(felt, stage))).toBe("no-words places");
  expect(refused(buildFeel({ ...felt, places: [{ tooth: 41, feel: "binds" }] }, stage))).toBe(
    "no-such-tooth places.0.tooth",
  );
  expect(refused(buildFeel(paper([[41, "even"]], null), stage))).toBe("no-such-tooth paper.prints.0.tooth");
});

test("a tight place no wider than from one magnet to the next is not taken for a tight spot", () => {
  const stage = testStage("s");
  const places = [1, 6, 11, 16, 21, 26, 31, 36].map((tooth) => ({
    tooth,
    feel: tooth === 16 ? ("binds" as const) : ("small click" as const),
  }));
  const judged = (magnetSteps?: number) => {
    const built = buildFeel({ ...felt, places, ...(magnetSteps ? { magnetSteps } : {}) }, stage);
    return built.ok ? built.value.judged : null;
  };
  expect(judged()).toMatchObject({ verdict: "outside", tightTooth: 16 });
  // Four steps a turn stand ten teeth apart: what binds at 16 and is free at 11 and 21 may be one of them.
  expect(judged(4)).toMatchObject({ verdict: "inside", tightTooth: null });
  // Of forty steps none reaches over five teeth.
  expect(judged(40)).toMatchObject({ verdict: "outside", tightTooth: 16 });
});
