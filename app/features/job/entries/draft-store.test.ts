import { assert, beforeEach, expect, test, vi } from "vitest";
import { claimDraft, type Draft, emptyDraft, keepDraft } from "./draft-store";

const lockedElsewhere = new Set<string>();

beforeEach(() => {
  const kept = new Map<string, string>();
  const store = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      kept.set(key, value);
      (store as Record<string, unknown>)[key] = value;
    },
  };
  for (const name of ["getItem", "setItem"]) Object.defineProperty(store, name, { enumerable: false });
  vi.stubGlobal("localStorage", store);
  lockedElsewhere.clear();
  vi.stubGlobal("navigator", {
    locks: {
      request: async (name: string, _options: object, then: (lock: object | null) => unknown) =>
        then(lockedElsewhere.has(name) ? null : { name }),
    },
  });
});

const draft = (id: string, field: string, savedAt: string): Draft => {
  const body = { ...emptyDraft(), savedAt };
  return { id, body: { ...body, rounds: { ...body.rounds, set: { ...body.rounds.set, field } } } };
};
const ids = ["01960000-0000-7000-8000-000000000001", "01960000-0000-7000-8000-000000000002"] as const;

const here = { personId: "me", jobId: "job", stageId: "stage" };

test("what was typed in this browser is found again", async () => {
  keepDraft(here, draft(ids[0], "0.1", "2026-01-01T10:00:00.000Z"));
  const claimed = await claimDraft(here, []);
  expect(claimed).toMatchObject({ id: ids[0], body: { rounds: { set: { field: "0.1" } } } });
  expect((await claimDraft({ ...here, stageId: "other stage" }, [])).body.rounds.set.field).toBe("");
  expect((await claimDraft({ ...here, personId: "somebody else" }, [])).body.rounds.set.field).toBe("");
});

test("typed on another device, it comes from the server; the newer of two copies counts", async () => {
  const older = draft(ids[0], "0.1", "2026-01-01T10:00:00.000Z");
  const newer = draft(ids[0], "0.12", "2026-01-01T10:05:00.000Z");
  keepDraft(here, older);
  const claimed = await claimDraft(here, [{ ...newer, stageId: "stage" }]);
  expect(claimed.body.rounds.set.field).toBe("0.12");
});

test("a draft that another tab is writing is left alone", async () => {
  keepDraft(here, draft(ids[1], "0.3", "2026-01-01T10:00:00.000Z"));
  lockedElsewhere.add(`harmostat-draft-${ids[1]}`);
  const claimed = await claimDraft(here, []);
  expect(claimed.id).not.toBe(ids[1]);
  expect(claimed.body.rounds.set.field).toBe("");
});

test("a browser that forbids its storage or never says who writes keeps nobody waiting", async () => {
  vi.useFakeTimers();
  vi.stubGlobal("navigator", { locks: { request: () => new Promise(() => {}) } });
  const storage = new Proxy({}, { ownKeys: () => assert.fail("forbidden") });
  vi.stubGlobal("localStorage", storage);
  const claimed = claimDraft(here, []);
  await vi.runAllTimersAsync();
  expect((await claimed).body).toEqual(emptyDraft());
  vi.useRealTimers();
});

test("a damaged copy is passed over, and a full storage does not stop the typing", async () => {
  localStorage.setItem(`harmostat draft me job stage ${ids[0]}`, "{not json");
  expect(
    (await claimDraft(here, [{ id: ids[0], stageId: "stage", body: { nonsense: 1 } }])).body.rounds.set.field,
  ).toBe("");
  vi.stubGlobal("localStorage", {
    setItem: () => {
      throw new DOMException("full", "QuotaExceededError");
    },
  });
  expect(() => keepDraft(here, draft(ids[0], "0.1", "2026-01-01T10:00:00.000Z"))).not.toThrow();
});
