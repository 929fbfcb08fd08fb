// @vitest-environment happy-dom
import "fake-indexeddb/auto";
import { renderHook, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import type { Refusal } from "~/core/quantity";
import { pageIsOf } from "../identity/page-person";
import { allWaiting, dropWaiting, putWaiting } from "./outbox";
import {
  claimNobodys,
  confirmSignature,
  onTaken,
  putAside,
  putOnItsWay,
  sendAgain,
  sendWaiting,
  startOutbox,
  useOutbox,
} from "./outbox-state";
import type { Waiting } from "./waiting-store";

/** The other tabs of this browser. */
const tabs = vi.hoisted(() => {
  const tabs = { told: [] as unknown[], hear: (_data: unknown) => {} };
  vi.stubGlobal(
    "BroadcastChannel",
    class {
      addEventListener(_name: string, listener: (event: { data: unknown }) => void) {
        tabs.hear = (data) => listener({ data });
      }
      postMessage(data: unknown) {
        tabs.told.push(data);
      }
    },
  );
  return tabs;
});

let stop: (() => void) | null = null;
let shown: { current: ReturnType<typeof useOutbox> };
let jobs = 0;
let job = "";
let server: { seen: string[]; answer: (text: string) => Response | "no network"; date: Date };

beforeEach(async () => {
  job = `job-${++jobs}`;
  pageIsOf("me");
  server = { seen: [], answer: () => taken(), date: new Date() };
  vi.stubGlobal("fetch", async (url: string, init: RequestInit) => {
    if (init.method === "HEAD") return new Response(null, { headers: { Date: server.date.toUTCString() } });
    const { text, id, secret } = JSON.parse(String(init.body)) as Record<string, string>;
    server.seen.push([url, text, secret].filter(Boolean).join(" "));
    const answer = server.answer(text ?? "");
    if (answer === "no network") throw new TypeError("fetch failed");
    return answer.status === 200 ? Response.json({ entry: { id } }) : answer;
  });
  for (const { id } of await allWaiting()) await dropWaiting(id);
});
afterEach(() => {
  stop?.();
  stop = null;
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

const taken = () => new Response(null, { status: 200 });
const refused = (code: string, path: string[] = []) =>
  Response.json({ refusal: { code, path, facts: {} } satisfies Record<keyof Refusal, unknown> }, { status: 400 });
const note = (text: string): Omit<Waiting, "order" | "personId"> => ({
  id: `${job}-${text}`,
  jobId: job,
  url: "/e",
  payload: { id: `${job}-${text}`, kind: "note", madeAt: "2026-01-01T00:00:00Z", text },
});
const waiting = (text: string, more: Partial<Waiting> = {}): Waiting => ({
  ...note(text),
  order: 1,
  personId: "me",
  ...more,
});
const state = () => shown.current;
const begin = async () => {
  shown = renderHook(() => useOutbox()).result;
  const { tries } = shown.current;
  stop = startOutbox();
  await waitFor(() => expect(state().tries).toBeGreaterThan(tries));
};

test("what was put on its way shows at once, is sent as whose page it is, and is gone once it was taken", async () => {
  await begin();
  const heard: string[] = [];
  const away = onTaken((all) => heard.push(...all.map(({ waiting: one }) => one.id)));
  server.answer = () => "no network";
  expect(await putOnItsWay(note("a"))).toMatchObject({ personId: "me" });
  expect(state().items.map(({ id }) => id)).toEqual([`${job}-a`]);
  await waitFor(() => expect(state().stopped).toBe("no-network"));
  server.answer = taken;
  window.dispatchEvent(new Event("online"));
  await waitFor(() => expect(state().items).toEqual([]));
  await waitFor(() => expect(heard).toEqual([`${job}-a`]));
  expect(state()).toMatchObject({ stopped: null, at: expect.any(String) });
  expect(server.seen.filter((one) => one === "/e a").length).toBeGreaterThan(1);
  away();
});

test("a tablet without room says that it is not kept, and sends it straight on, after all that it keeps", async () => {
  await begin();
  server.answer = () => "no network";
  await putOnItsWay(note("kept"));
  await waitFor(() => expect(state().stopped).toBe("no-network"));
  vi.spyOn(IDBObjectStore.prototype, "add").mockImplementation(() => {
    throw new DOMException("no room", "QuotaExceededError");
  });
  vi.spyOn(IDBObjectStore.prototype, "put").mockImplementation(() => {
    throw new DOMException("no room", "QuotaExceededError");
  });
  await putOnItsWay(note("not kept"));
  expect(state().unkept.map(({ payload }) => payload.text)).toEqual(["not kept"]);
  expect((await allWaiting()).map(({ payload }) => payload.text)).toEqual(["kept"]);
  server.seen.length = 0;
  server.answer = taken;
  await sendWaiting();
  expect(server.seen).toEqual(["/e kept", "/e not kept"]);
  expect(state().unkept).toEqual([]);
  expect(state().items).toEqual([]);
});

test("of what could not be kept a refusal stays to be seen, until it is put aside", async () => {
  await begin();
  vi.spyOn(IDBObjectStore.prototype, "add").mockImplementation(() => {
    throw new DOMException("no room", "QuotaExceededError");
  });
  vi.spyOn(IDBObjectStore.prototype, "put").mockImplementation(() => {
    throw new DOMException("no room", "QuotaExceededError");
  });
  server.answer = () => refused("job-signed");
  await putOnItsWay(note("late"));
  await waitFor(() => expect(state().unkept[0]?.refusal?.code).toBe("job-signed"));
  await putAside(`${job}-late`);
  expect(state().unkept).toEqual([]);
});

test("what others wait with is counted and not shown; of an earlier release it is nobody's until somebody claims it", async () => {
  await putWaiting(waiting("theirs", { personId: "somebody" }));
  const { personId: _, ...nobodys } = waiting("old");
  await putWaiting({ ...nobodys, order: 2 } as Waiting);
  await begin();
  expect(state()).toMatchObject({ items: [], others: 1 });
  expect(state().nobodys.map(({ payload }) => payload.text)).toEqual(["old"]);
  expect(server.seen).toEqual([]);
  await claimNobodys();
  expect(server.seen).toEqual(["/e old"]);
  expect(state()).toMatchObject({ nobodys: [], others: 1 });
});

test("a refused one goes again only when somebody says so, without what was said against it", async () => {
  server.answer = () => refused("just-done");
  await putWaiting(waiting("again"));
  await begin();
  await waitFor(() => expect(state().items[0]?.refusal?.code).toBe("just-done"));
  await sendWaiting();
  expect(server.seen).toHaveLength(1);
  server.answer = taken;
  await sendAgain(state().items[0] as Waiting);
  expect(server.seen).toHaveLength(2);
  await waitFor(() => expect(state().items).toEqual([]));
});

test("a signature made here is confirmed by its signer's secret: a wrong one leaves it, a right one sends it", async () => {
  const signature = waiting("sign", { unproven: true });
  await putWaiting({ ...signature, payload: { ...signature.payload, kind: "signature" } });
  await begin();
  expect(server.seen).toEqual([]);
  const held = state().items[0] as Waiting;
  server.answer = () => refused("wrong-secret", ["secret"]);
  expect(await confirmSignature(held, "1111")).toMatchObject({ code: "wrong-secret" });
  expect(state().items).toHaveLength(1);
  server.answer = () => "no network";
  expect(await confirmSignature(held, "2468")).toMatchObject({ code: "offline" });
  server.answer = taken;
  expect(await confirmSignature(held, "2468")).toBeNull();
  expect(await allWaiting()).toEqual([]);
  expect(server.seen).toEqual(["/e sign 1111", "/e sign 2468", "/e sign 2468"]);
  expect(JSON.stringify(await allWaiting())).not.toContain("2468");
});

test("what another tab sent is taken in here, and what this one sends is told to the others", async () => {
  await begin();
  tabs.told.length = 0;
  await putOnItsWay(note("here"));
  await waitFor(() => expect(JSON.stringify(tabs.told)).toContain(`${job}-here`));
  const heard: unknown[] = [];
  const away = onTaken((all) => heard.push(...all));
  await putWaiting(waiting("there"));
  tabs.hear([{ waiting: waiting("gone"), body: { entry: { id: "e" } } }]);
  await waitFor(() => expect(state().items.map(({ payload }) => payload.text)).toEqual(["there"]));
  expect(heard).toMatchObject([{ body: { entry: { id: "e" } } }]);
  away();
});

test.each([
  [0, 0],
  [-7, 7],
  [45, -45],
])("a server whose clock stands %i min off: the tablet's is told to run %i min ahead", async (off, ahead) => {
  server.date = new Date(Date.now() + off * 60_000);
  await begin();
  await waitFor(() => expect(Math.abs(state().clockAhead - ahead)).toBe(0));
});
