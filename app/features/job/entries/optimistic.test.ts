import { expect, test } from "vitest";
import { jobRecord } from "~/core/logbook";
import type { JobId, MachineId, PersonId, StageId } from "~/core/records";
import { testInstrument, testStage } from "~/tests/stage";
import type { Waiting } from "../../offline/waiting-store";
import { type Making, withWaiting } from "./optimistic";

const instrumentId = "01a2124d-3f96-7055-baee-acd6aaaaaaaa";
const making: Making = {
  job: {
    id: "j" as JobId,
    machineId: "m" as MachineId,
    stageIds: ["one" as StageId, "two" as StageId],
    reason: "r",
    openedBy: "p" as PersonId,
    openedAt: "",
    signedEntry: null,
  },
  stages: [testStage("one"), testStage("two")],
  instruments: [testInstrument(instrumentId)],
  before: [],
  person: { id: "p" as PersonId, name: "A. Person" },
};
let order = 0;
const waiting = (id: string, kind: string, more: object): Waiting => ({
  id,
  jobId: "j",
  order: ++order,
  payload: { id, kind, madeAt: "2026-01-01T00:00:00.000Z", ...more },
});
const round = (id: string, stageId: string) =>
  waiting(id, "round", {
    stageId,
    phase: "as-found",
    method: { instrumentId, indicatorRadiusMm: null, indicatorAngleDeg: 0, temperatureC: null, sense: "clockwise" },
    readings: [1, 11, 21].map((tooth) => ({ tooth, turn: 1, typed: "0.15", struck: false, repeats: null })),
  });

test("a whole job that waits is shown as if it were there: opened, read on each stage, signed for each", () => {
  const entries = withWaiting(
    [],
    [
      waiting("j", "job-opened", { entryId: "o", reason: "Cellar" }),
      round("r1", "one"),
      round("r2", "two"),
      waiting(instrumentId.replace("3f96", "0001"), "signature", {
        comment: "",
        stages: [{ stageId: "two", nextDate: "2027-01-01" }],
      }),
    ],
    making,
  );
  expect(entries.map((entry) => [entry.kind, entry.stageId, entry.seq, entry.waiting])).toEqual([
    ["job-opened", null, 1, true],
    ["round", "one", 2, true],
    ["round", "two", 3, true],
    ["signature", "one", 4, true],
    ["signature", "two", 5, true],
  ]);
  expect(entries[4]?.body).toMatchObject({ nextDate: "2027-01-01", record: { asFound: { verdict: "conforms" } } });
});

test("what was refused is not shown as done, nor what the server has already", () => {
  const refused = { ...round("bad", "one"), refusal: { code: "job-signed" as const, path: [], facts: {} } };
  const [served] = withWaiting([], [round("r", "one")], making);
  const entries = withWaiting([{ ...served, waiting: undefined } as never], [refused, round("r", "one")], making);
  expect(entries.map((entry) => entry.id)).toEqual(["r"]);
});

test("an opening that the server has taken is not shown a second time while it is still on its way here", () => {
  const opened = waiting("j", "job-opened", { entryId: "o", reason: "Cellar" });
  const [served] = withWaiting([], [opened], making);
  expect(withWaiting([{ ...served, waiting: undefined } as never], [opened], making)).toHaveLength(1);
});

test("each is built on those before it: a move after a waiting round leaves nothing read since", () => {
  const move = waiting("v", "move", { stageId: "one", amount: 0.05, did: "so", advised: null, reasons: [], note: "" });
  const entries = withWaiting([], [round("r", "one"), move], making);
  const record = jobRecord(entries, testStage("one"));
  expect(record.changedSinceRound).toBe(true);
  expect(jobRecord(entries, testStage("two")).moves).toEqual([]);
});
