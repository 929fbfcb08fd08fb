import { expect, test } from "vitest";
import type { StoreItem } from "~/core/records";
import { planShaft, type Shaft } from "~/core/shafts";
import { shaftFields } from "~/core/shafts/schema";
import { shimsAsked, shimsFound } from "./shims-asked";
import { drawersFor, laidTyped, questionOf, shaftWork, textName, waysOf } from "./typed-shaft";

const reader = { numbers: "point", units: "metric", timeZone: "UTC", locale: "en" } as never;
const inches = { numbers: "point", units: "inch", timeZone: "UTC", locale: "en" } as never;
const item = (id: string, kind: string, mm: number, count: number, boreMm?: number): StoreItem =>
  ({ id, kind, name: id, nominalMm: mm, measuredMm: null, count, figures: boreMm ? { boreMm } : {} }) as never;
const shaft: Shaft = {
  ...shaftFields.parse({
    name: "Feed shaft",
    leftFace: "wall",
    rightFace: "cover",
    diameterMm: 20,
    endFloat: { loMm: 0.1, hiMm: 0.2 },
    parts: [
      { id: "b", name: "Bearing", kind: "bearing", widthMm: 10 },
      { id: "w", name: "Wheel", plane: { at: { fromFaceMm: 25 }, toleranceMm: 0.2 } },
    ],
  }),
  id: "r",
  shaftId: "0193409a-0000-7000-8000-000000000001",
  machineId: "m",
  revision: 1,
};
const now = { shaft, before: null, wanted: [{ partId: "w", fromFaceMm: 25, meets: null, why: null }] };
const said = (texts: Record<string, string>) =>
  Object.fromEntries(Object.entries(texts).map(([what, text]) => [textName(shaft, what), text]));

test("drawers whose pieces go on the shaft: their bore by its diameter, or not known", () => {
  const items = [
    item("fits", "spacer", 1, 2, 20),
    item("narrow", "spacer", 1, 2, 16),
    item("wide", "shim", 1, 2, 25),
    item("unknown", "shim", 1, 2),
    item("feeler", "feeler", 1, 2),
  ];
  expect(drawersFor(shaft, items).map(({ id }) => id)).toEqual(["fits", "unknown"]);
});

test("nothing is asked of the planner before every width is measured or drawn", () => {
  const asked = (texts: Record<string, string>) => questionOf(reader, now, said(texts), [], null);
  expect(asked({})).toMatchObject({ ok: false, refusal: { code: "missing", path: ["length"] } });
  expect(asked({ length: "50" })).toMatchObject({ ok: false, refusal: { path: ["widths", "w"] } });
  expect(asked({ length: "50", "w.w": "20 2o" })).toMatchObject({ ok: false, refusal: { path: ["widths", "w"] } });
  const ready = asked({ length: "50.00 50.02", "w.w": "20" });
  expect(ready).toMatchObject({
    ok: true,
    value: { lengthMm: expect.closeTo(50.01, 9), items: [{ widthMm: 10 }, { widthMm: 20, planeMm: 10 }] },
  });
});

test("typed in inches it is the same shaft", () => {
  const asked = questionOf(inches, now, said({ length: "2", "w.w": "0.75" }), [], null);
  expect(asked).toMatchObject({
    ok: true,
    value: { lengthMm: expect.closeTo(50.8, 9), items: [{}, { widthMm: expect.closeTo(19.05, 9) }] },
  });
});

test("fewest pieces are offered first, one that is made after the drawers; of a shaft too full nothing is", () => {
  const texts = said({ length: "50", "w.w": "20" });
  const items = [
    item("5", "spacer", 5, 1),
    item("2", "spacer", 2, 6),
    item("3", "spacer", 3, 3),
    item("0.85", "shim", 0.85, 2),
  ];
  const question = questionOf(reader, now, texts, items, null);
  const plan = question.ok ? planShaft(question.value) : null;
  if (!plan?.ok) throw new Error("no plan");
  const ways = waysOf(plan.value);
  expect(ways[0]?.key).toBe("fewest");
  // The wheel's plane asks for 5 before it, the float for 14.8 to 14.9 behind: 2 + 3, and 5 + 3 + 3 × 2 + 0.85.
  expect(ways[0]?.answer.gaps.map(({ totalMm }) => totalMm)).toEqual([0, 5, 14.85]);
  expect(ways[0]?.laid.flatMap(({ spacers }) => spacers).reduce((sum, { count }) => sum + count, 0)).toBe(8);
  expect(ways.some(({ laid }) => laid.some(({ spacers }) => spacers.some(({ made }) => made)))).toBe(true);
  const full = questionOf(reader, now, said({ length: "29", "w.w": "20" }), items, null);
  const none = full.ok ? planShaft(full.value) : null;
  expect(none?.ok && waysOf(none.value)).toEqual([]);
});

test("what is typed gap by gap is laid there, and a gap that cannot be read is named", () => {
  expect(laidTyped(reader, shaft, said({ "l.b": "0.5 + 2 × 0.1" }))).toEqual({
    ok: true,
    value: [
      {
        after: "b",
        spacers: [
          { widthMm: 0.5, count: 1, made: false },
          { widthMm: 0.1, count: 2, made: false },
        ],
      },
    ],
  });
  expect(laidTyped(reader, shaft, said({ "l.w": "half" }))).toMatchObject({
    ok: false,
    refusal: { path: ["laid", "w"] },
  });
});

test("what lay in it goes back into its drawer where it is not used again, and what was made is taken from none", () => {
  const items = [item("one", "spacer", 1, 3), item("two", "spacer", 2, 3)];
  const before = { body: { laid: [{ after: "b", spacers: [{ widthMm: 1, count: 2, made: false }] }] } } as never;
  const laid = [
    {
      after: "b",
      spacers: [
        { widthMm: 2, count: 1, made: false },
        { widthMm: 12.85, count: 1, made: true },
      ],
    },
  ];
  const work = shaftWork(reader, { ...now, before }, said({}), laid, "as fitted", items, []);
  expect(work.stock).toEqual(
    expect.arrayContaining([
      { itemId: "two", change: -1 },
      { itemId: "one", change: 2 },
    ]),
  );
  expect(work.stock).toHaveLength(2);
  expect(shaftWork(reader, now, said({}), laid, "as found", items, []).stock).toEqual([]);
});

test("shims by place, each from what the places before it left; what has to come out is said so", () => {
  const asked = shimsAsked("shaft-align", { moves: { front: { shimMm: 0.3 }, rear: { shimMm: -0.2 } } });
  expect(asked).toEqual([
    { at: "Front feet", mm: 0.3 },
    { at: "Rear feet", mm: -0.2 },
  ]);
  const one = [item("0.3", "shim", 0.3, 1)];
  const found = shimsFound([...asked, { at: "Third", mm: 0.3 }], one);
  expect(found.map(({ stack }) => stack?.shims ?? null)).toEqual([[{ thicknessMm: 0.3, count: 1 }], null, null]);
  expect(shimsAsked("flatness", { raiseMm: [0, 0.004, 0.2] })).toEqual([{ at: "Point 3", mm: 0.2 }]);
  expect(shimsAsked("part-runout", {})).toEqual([]);
});
