import { expect, test } from "vitest";
import { type ProofPlanFields, proposePlan } from "~/core/proving";
import { readerOf } from "../words/reader";
import { planTexts, readPlan } from "./plan-texts";

const reader = readerOf();
let made = 0;
const newId = () => `01934076-bd4b-711c-88af-${String(made++).padStart(12, "0")}`;

test("a plan written into its form and read again is the same plan", () => {
  const plan: ProofPlanFields = {
    ...proposePlan({ gears: ["low", "high"], onlyPushes: true, hasEnds: true }, newId),
    limits: [
      { run: null, of: "current", place: "", lo: null, hi: 2.5, aroundLast: { by: 10, unit: "percent" } },
      { run: null, of: "temperature", place: "motor", lo: null, hi: 60, aroundLast: { by: 5, unit: "own" } },
    ],
    meters: [{ of: "current", expandedUncertainty: 0.05 }],
    supplyLimitA: 5,
    asymmetryPercent: 15,
    motorRpm: { slow: 300, working: null, fast: null },
  };
  const first = plan.runs[0];
  if (first) first.load = { kind: "brake", forceN: 12, armMm: 150 };
  expect(readPlan(planTexts(reader, plan), newId)).toEqual({ value: plan, problems: null });
  expect(plan.runs.filter(({ move }) => move === "run")).toHaveLength(2 * 2 * 2);
});

test.each<[string, Record<string, string>, string]>([
  ["no run", {}, "runs: too-few"],
  ["a limit without an end", { "runs.0.move": "run", "limits.0.place": "motor" }, "limits.0.hi: one-limit"],
  [
    "limits upside down",
    { "runs.0.move": "run", "limits.0.lo": "3", "limits.0.hi": "2" },
    "limits.0.lo: window-upside-down",
  ],
  ["last time ± much", { "runs.0.move": "run", "limits.0.last": "much %" }, "limits.0.last: not-a-number"],
  ["a weight of nothing", { "runs.0.load": "0 kg" }, "runs.0.load: too-small"],
])("%s is said at its field", (_, texts, problem) => {
  const read = readPlan(texts, newId);
  const said = Object.entries(read.problems ?? {}).map(([field, { code }]) => `${field}: ${code}`);
  expect(said.join()).toBe(problem);
});
