import { expect, test } from "vitest";
import { readerOf } from "~/app/features/words/reader";
import { testInstrument, testStage } from "~/tests/stage";
import { methodOf } from "../job/read/method";
import { nothingTyped, type QuickTyped, quickFault, quickSafe, quickWork } from "./quick-work";

const reader = readerOf();
const stage = testStage("one");
const method = methodOf(reader, stage, {}, [testInstrument("i")]);
const typed = (more: Partial<QuickTyped>): QuickTyped => ({ ...nothingTyped("numbers"), safe: true, ...more });
const number = (text: string) => ({ typed: text, felt: null });
const work = (more: Partial<QuickTyped>) =>
  quickWork(reader, { machine: { air: "no" }, stage }, method, 7, typed(more));
const fault = (more: Partial<QuickTyped>) => {
  const refused = quickFault(reader, stage, typed(more));
  return refused && `${refused.code} ${refused.path.join(".")}`;
};

test("what was done goes into the logbook in the order in which it was done", () => {
  const all = { found: number("0.3"), moved: "plus", amount: "0.1", clamped: true, left: number("0.2") } as const;
  expect(work(all).map(({ kind }) => kind)).toEqual(["isolated", "round", "move", "clamp", "round"]);
  expect(work(all)).toMatchObject([
    { lock: "", noLock: null, acknowledged: [quickSafe({ air: "no" })] },
    { phase: "as-found", carries: true, readings: [{ tooth: 7, typed: "0.3" }] },
    { amount: 0.1, did: "otherwise", adjusterId: stage.adjuster.id },
    { clamp: 1, pass: 2, state: "firm" },
    { phase: "check", readings: [{ tooth: 7, typed: "0.2" }] },
  ]);
});

test("left alone, nothing of a move that was typed before goes in", () => {
  const changed = { found: number("0.15"), moved: "no", amount: "0.1", clamped: true, left: number("0.2") } as const;
  expect(work(changed).map(({ kind }) => kind)).toEqual(["isolated", "round"]);
});

test("the other way is below nothing; what was not said to be safe is not said in the log", () => {
  expect(work({ moved: "minus", amount: "0,1", safe: false })).toMatchObject([{ kind: "move", amount: -0.1 }]);
});

test("felt is kept as felt, and what was typed as a number before it is not", () => {
  const felt = work({ way: "feel", found: { typed: "0.3", felt: "small click" } });
  expect(felt[1]).toMatchObject({ kind: "feel", method: "by hand", places: [{ tooth: 7, feel: "small click" }] });
  expect(work({ way: "feel", found: number("0.3") })).toHaveLength(1);
});

test("what took the place of a lock is said in its words, and no number with it", () => {
  const noLock = { key: "plug", text: "The plug is out and in my pocket" } as const;
  expect(work({ lock: "17", noLock })[0]).toMatchObject({ lock: "", noLock });
});

test("the first thing that is missing is named at its field", () => {
  const read = { found: number("0.15") };
  expect(fault({ ...read, safe: false })).toBe("not-safe safe");
  expect(fault({})).toBe("empty found");
  expect(fault({ left: number("0.2") })).toBeNull();
  expect(fault({ ...read, moved: "plus", amount: "" })).toMatch(/ amount$/);
  expect(fault({ ...read, moved: "plus", amount: "a bit" })).toMatch(/ amount$/);
  expect(fault({ ...read, nextDate: "soon" })).toBe("not-understood nextDate");
  expect(fault({ ...read, nextDate: "2027-01-31" })).toBeNull();
});

test("compressed air is asked about where there is some or may be, and nowhere else", () => {
  expect(quickSafe({ air: "yes" }).text).toContain("air vented");
  expect(quickSafe({}).text).toContain("air, if there is any, vented");
  expect(quickSafe({ air: "no" }).text).not.toContain("air");
});
