import { expect, test } from "vitest";
import type { Entry } from "~/core/logbook";
import { testStage } from "~/tests/stage";
import { firstStation, stageIn } from "./first-station";

const stages = [testStage("a"), testStage("b")] as const;
let seq = 0;
const entry = (kind: Entry["kind"], body: object, stageId: string | null = "a"): Entry =>
  ({ id: `e${++seq}`, seq, kind, body, readings: [], namesEntry: null, stageId }) as unknown as Entry;

const opened = entry("job-opened", { reason: "Knocks" }, null);
const firstBuild = entry("job-opened", { reason: "New", firstBuild: true }, null);
const safe = entry("isolated", { lock: "4", noLock: null, acknowledged: [], notAcknowledged: [] }, null);
const found = entry("round", { phase: "as-found", result: { verdict: "conforms" } });
const run = entry("proof", { way: "powered", direction: "forwards", speed: "slow", outcome: "ran" });
const signed = entry("signature", { saw: [], provisional: [], comment: "" });

test.each([
  ["nothing is safe yet", [opened], "make-safe"],
  ["it was made safe, and nothing was read", [opened, safe], "as-found"],
  ["of a first build there is nothing as found", [firstBuild, safe], "set"],
  ["it was read as found", [opened, safe, found], "set"],
  ["it ran", [opened, safe, found, run], "sign-off"],
  ["a signed job is looked at where it was signed", [opened, safe, signed], "sign-off"],
] as const)("%s", (_, entries, station) => {
  expect(firstStation(entries, stages[0])).toBe(station);
});

test("what was read on one stage of a job does not move on another one", () => {
  expect(firstStation([opened, safe, found], stages[1])).toBe("as-found");
});

test.each([
  ["", "a"],
  ["stage=2", "b"],
  ["stage=7", "a"],
  ["stage=x", "a"],
])("the address %j names stage %s", (search, id) => {
  expect(stageIn(stages, new URLSearchParams(search)).id).toBe(id);
});
