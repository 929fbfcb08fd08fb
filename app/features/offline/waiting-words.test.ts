import { expect, test } from "vitest";
import type { StageId } from "~/core/records";
import { contentWords } from "./waiting-words";

const base = { id: "1", stageId: "two", madeAt: "2026-01-01T00:00:00.000Z" };

test.each([
  [{ kind: "round", readings: [{ tooth: 1, typed: "0.12" }] }, "tooth 1: 0.12"],
  [{ kind: "feel", places: [{ tooth: 9, feel: "small click" }] }, "tooth 9: small click"],
  [{ kind: "side", quantity: "end-float", typed: ["0.04", "0.06"] }, "End float: 0.04, 0.06"],
  [{ kind: "move", amount: -0.125 }, "Move of -0.125"],
  [{ kind: "clamp", clamp: 3, state: "firm" }, "Clamp 3 firm"],
  [{ kind: "loose-thing", state: "in", thing: "Wedge" }, "Wedge put in"],
  [{ kind: "loose-thing", state: "out", names: "x" }, "Something taken out"],
  [{ kind: "isolated", lock: "31" }, "Isolated, lock 31"],
  [{ kind: "live" }, "Live"],
  [{ kind: "proof" }, "A powered run"],
  [{ kind: "note", text: "Oil at the seal" }, "“Oil at the seal”"],
  [{ kind: "correction", text: "Wrong gear" }, "A correction: “Wrong gear”"],
  [{ kind: "job-opened", reason: "Knocks" }, "A job opened: Knocks"],
  [{ kind: "signature" }, "A signature"],
  [{ kind: "usage", reading: 1200 }, "Meter 1200"],
  [{ kind: "attachment", name: "a.jpg", caption: "Oil" }, "A photograph or file, a.jpg: Oil"],
])("what waits of %o can be recognised: %s", (work, words) => {
  expect(contentWords({ ...base, ...work })).toBe(words);
});

test("on a job of several stages it says which", () => {
  const stages = [
    { id: "one" as StageId, name: "Feed" },
    { id: "two" as StageId, name: "Lift" },
  ];
  expect(contentWords({ ...base, kind: "note", text: "Loud" }, stages)).toBe("Lift: “Loud”");
  expect(contentWords({ ...base, kind: "note", text: "Loud" }, stages.slice(1))).toBe("“Loud”");
});
