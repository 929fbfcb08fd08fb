import "fake-indexeddb/auto";
import { beforeEach, expect, test, vi } from "vitest";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import type { Work } from "~/operations/build-entry";
import { testInstrument, testStage } from "~/tests/stage";
import { allWaiting, dropWaiting } from "../offline/outbox";
import { doQuickJob, quickProvisional } from "./quick-job";

const instrumentId = "01a2124d-3f96-7055-baee-acd6aaaaaaaa";
const stage = testStage("01a2124d-3f96-7055-baee-acd6aaaaaa01");
const kit = {
  machine: { id: "01a2124d-3f96-7055-baee-acd6aaaaaa02", name: "Press", units: "metric" },
  stages: [stage],
  instruments: [testInstrument(instrumentId)],
  before: [],
  person: { id: "01a2124d-3f96-7055-baee-acd6aaaaaa03", name: "A. Person" },
  now: "2026-11-25T10:00:00.000Z",
} as unknown as Kit;

const method = {
  instrumentId,
  indicatorRadiusMm: null,
  indicatorAngleDeg: 0,
  temperatureC: null,
  sense: "clockwise",
} as const;
const read = (typed: string, phase: "as-found" | "check" = "as-found"): Work => ({
  kind: "round",
  phase,
  method,
  readings: [{ tooth: 1, turn: 1, typed, struck: false, repeats: null }],
});
const safe: Work = {
  kind: "isolated",
  lock: "4",
  noLock: null,
  acknowledged: [{ key: "quick-safe", text: "Supply isolated" }],
  notAcknowledged: [],
};
const move: Work = { kind: "move", amount: 0.05, did: "otherwise", advised: null, reasons: [], note: "" };
const firm: Work = { kind: "clamp", clamp: 1, pass: 2, state: "firm" };

beforeEach(async () => {
  vi.stubGlobal("navigator", {});
  vi.stubGlobal("fetch", async () => Promise.reject(new TypeError("no network")));
  for (const left of await allWaiting()) await dropWaiting(left.id);
});

test("what is left provisional is told before it is signed, by what was really done", () => {
  expect(quickProvisional(kit, stage, [safe, read("0.15")])).not.toContain("not-inside");
  expect(quickProvisional(kit, stage, [safe, read("0.35")])).toContain("not-inside");
  expect(quickProvisional(kit, stage, [safe, read("0.35"), move])).toContain("no-check-round");
  const mended = quickProvisional(kit, stage, [safe, read("0.35"), move, firm, read("0.15", "check")]);
  expect(mended).not.toContain("no-check-round");
  expect(mended).not.toContain("not-inside");
});

test("a whole job goes on its way in order: opened, what was done, signed by what came last", async () => {
  const done = await doQuickJob(kit, {
    stage,
    reason: "Round",
    work: [safe, read("0.15")],
    comment: "Fine",
    nextDate: null,
  });
  expect(done.ok).toBe(true);
  const waiting = await allWaiting();
  expect(waiting.map(({ payload }) => payload.kind)).toEqual(["job-opened", "isolated", "round", "signature"]);
  expect(new Set(waiting.map(({ jobId }) => jobId)).size).toBe(1);
  expect(waiting[3]?.payload).toMatchObject({
    saw: [waiting[0]?.payload.entryId, waiting[1]?.payload.id, waiting[2]?.payload.id],
    comment: "Fine",
  });
});

test("one thing refused and nothing is sent", async () => {
  const bad = await doQuickJob(kit, {
    stage,
    reason: "Round",
    work: [safe, read("about 0.1")],
    comment: "",
    nextDate: null,
  });
  expect(bad).toMatchObject({ ok: false, refusal: { path: ["readings", 0, "typed"] } });
  expect(await allWaiting()).toEqual([]);
});
