import { beforeEach, expect, test, vi } from "vitest";

const origin = "http://works.test";
const hrefOf = (request: string | { url: string }): string =>
  new URL(typeof request === "string" ? request : request.url, origin).href;

/** As a browser's: a store by name, an answer by address. */
function fakeCaches() {
  const stores = new Map<string, Map<string, Response>>();
  const open = async (name: string) => {
    const store = stores.get(name) ?? new Map<string, Response>();
    stores.set(name, store);
    return {
      match: async (request: string | { url: string }) => store.get(hrefOf(request))?.clone(),
      put: async (request: string | { url: string }, response: Response) => void store.set(hrefOf(request), response),
      addAll: async (paths: string[]) => {
        for (const path of paths) store.set(hrefOf(path), await fetch(path));
      },
    };
  };
  return {
    stores,
    open,
    keys: async () => [...stores.keys()],
    delete: async (name: string) => stores.delete(name),
    match: async (request: string | { url: string }) => {
      for (const store of stores.values()) if (store.has(hrefOf(request))) return store.get(hrefOf(request))?.clone();
      return undefined;
    },
  };
}

type Listener = (event: object) => void;
let listeners: Map<string, Listener>;
let caches: ReturnType<typeof fakeCaches>;
/** What the server answers at an address; null: it is away. */
let server: ((path: string) => Response) | null;

/** Tells the worker of something, and waits until it has done what it does then. */
async function tell(kind: string, more: object = {}): Promise<Response | undefined> {
  const work: Promise<unknown>[] = [];
  let answer: Promise<Response> | undefined;
  listeners.get(kind)?.({
    ...more,
    waitUntil: (promise: Promise<unknown>) => work.push(promise),
    respondWith: (promise: Promise<Response>) => {
      answer = promise;
    },
  });
  const response = await answer;
  await Promise.all(work);
  return response;
}
const visit = (path: string, mode = "navigate", method = "GET") =>
  tell("fetch", { request: { url: origin + path, mode, method } });
const said = async (response: Response | undefined) => `${response?.status} ${await response?.text()}`;

const tomorrow = new Date(Date.now() + 86_400_000).toISOString();
const pageFor =
  (person: string, until = tomorrow) =>
  (path: string) =>
    new Response(`${path} for ${person}`, {
      headers: { "Content-Type": "text/html", "X-Person": person, "X-Person-Until": until },
    });

beforeEach(async () => {
  listeners = new Map();
  caches = fakeCaches();
  server = (path) => new Response(`${path} for anybody`, { headers: { "Content-Type": "text/html" } });
  vi.stubGlobal("caches", caches);
  vi.stubGlobal("BUILT_FILES", ["/assets/page-1.js"]);
  vi.stubGlobal("BUILD_NAME", "new");
  vi.stubGlobal("fetch", async (request: string | { url: string }) => {
    if (!server) throw new TypeError("no network");
    return server(new URL(hrefOf(request)).pathname);
  });
  vi.stubGlobal("self", {
    location: { origin },
    addEventListener: (kind: string, listener: Listener) => listeners.set(kind, listener),
    skipWaiting: async () => {},
    clients: { claim: async () => {} },
  });
  // A worker's redirects may be relative.
  vi.spyOn(Response, "redirect").mockImplementation(
    (url, status) => new Response(null, { status: status ?? 302, headers: { Location: String(url) } }),
  );
  vi.resetModules();
  await import("./sw");
  await tell("install");
  await tell("activate");
});

test("the app's own files come from the tablet, and those of the release before last are gone", async () => {
  for (const name of ["harmostat files oldest", "harmostat files old", "harmostat pages"]) await caches.open(name);
  await tell("activate");
  expect((await caches.keys()).sort()).toEqual(["harmostat files new", "harmostat files old"]);
  server = null;
  expect(await said(await visit("/assets/page-1.js", "no-cors"))).toBe("200 /assets/page-1.js for anybody");
});

test("a page that was seen opens again without a network, for whom it was made", async () => {
  server = pageFor("ann");
  await visit("/machines/1");
  server = null;
  expect(await said(await visit("/machines/1"))).toBe("200 /machines/1 for ann");
  const unseen = await visit("/machines/2?stage=3");
  expect(unseen?.status).toBe(302);
  expect(unseen?.headers.get("Location")).toBe("/offline?to=%2Fmachines%2F2%3Fstage%3D3");
  expect(await said(await visit("/offline"))).toBe("200 /offline for anybody");
});

test("nobody is shown what was made for somebody else, nor anything after the day of their session", async () => {
  server = pageFor("ann");
  await visit("/machines/1");
  server = pageFor("bob");
  await visit("/machines/2");
  server = null;
  expect((await visit("/machines/1"))?.status).toBe(302);
  expect(await said(await visit("/machines/2"))).toBe("200 /machines/2 for bob");
  server = pageFor("ann", new Date(Date.now() - 1000).toISOString());
  await visit("/");
  server = null;
  expect((await visit("/machines/1"))?.status).toBe(302);
  expect(await caches.keys()).not.toContain("harmostat pages ann");
});

test("accounts and the ways in and out are kept for nobody", async () => {
  server = pageFor("ann");
  for (const path of ["/account", "/people", "/sign-in", "/first"]) await visit(path);
  await tell("message", { data: { keep: "/people" } });
  server = null;
  for (const path of ["/account", "/people", "/sign-in", "/first"]) expect((await visit(path))?.status, path).toBe(302);
});

test("a server that stumbles is stood in for by the last copy; what it refuses is what it says", async () => {
  server = pageFor("ann");
  await visit("/jobs/1");
  server = () => new Response("down", { status: 503 });
  expect(await said(await visit("/jobs/1"))).toBe("200 /jobs/1 for ann");
  expect(await said(await visit("/jobs/2"))).toBe("503 down");
  server = () => new Response("gone", { status: 404 });
  expect(await said(await visit("/jobs/1"))).toBe("404 gone");
});

test("data of a page is kept as the page is; without either there is a failure and no guess", async () => {
  server = pageFor("ann");
  await visit("/jobs/1.data", "cors");
  server = null;
  expect(await said(await visit("/jobs/1.data", "cors"))).toBe("200 /jobs/1.data for ann");
  expect((await visit("/jobs/2.data", "cors"))?.type).toBe("error");
});

test("what changes something goes past it, and so does another server", async () => {
  expect(await visit("/jobs/1/entries", "cors", "POST")).toBeUndefined();
  expect(await tell("fetch", { request: { url: "http://elsewhere.test/x", mode: "navigate", method: "GET" } })).toBe(
    undefined,
  );
});

test("what an account kept here goes when it is told to", async () => {
  server = pageFor("ann");
  await visit("/machines/1");
  await tell("message", { data: { forget: "ann" } });
  server = null;
  expect((await visit("/machines/1"))?.status).toBe(302);
});
