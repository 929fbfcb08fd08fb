import { beforeEach, expect, test, vi } from "vitest";
import { waitingStore } from "./waiting-store";

beforeEach(() => {
  const methods = {
    getItem(this: Record<string, string>, key: string) {
      return this[key] ?? null;
    },
    setItem(this: Record<string, string>, key: string, value: string) {
      this[key] = value;
    },
    removeItem(this: Record<string, string>, key: string) {
      delete this[key];
    },
  };
  vi.stubGlobal("localStorage", Object.create(methods));
  vi.stubGlobal("indexedDB", undefined);
});

test("where the browser's database is forbidden, entries wait in its small storage", async () => {
  const store = await waitingStore();
  const waiting = (id: string, jobId: string) => ({
    id,
    jobId,
    order: 1,
    payload: { id, kind: "note", madeAt: "2026-01-01T00:00:00Z" },
  });
  await store.put(waiting("a", "job"));
  await store.put(waiting("b", "other"));
  expect((await store.all()).map((item) => item.id).sort()).toEqual(["a", "b"]);
  await store.drop("a");
  expect((await store.add({ id: "c", jobId: "other", payload: waiting("c", "other").payload })).order).toBe(2);
  await store.drop("c");
  expect((await store.all()).map((item) => item.jobId)).toEqual(["other"]);
});
