/**
 * The app without a network: its files from a store filled at installation, pages and their data from the network while it is
 * there and from the last copy when it is not. Every copy is kept for the person for whom the server made it, is shown to nobody else, and ends
 * with the day of their session. What was never opened here leads to the offline page, which knows what this tablet
 * holds. Nothing that changes something passes through here: posts go to the network or fail, and the outbox keeps them.
 */
import { personHeader, personUntilHeader } from "../session/person-header";

/** Filled in when it is built: the app's own files, and a name that changes with them. */
declare const BUILT_FILES: string[];
declare const BUILD_NAME: string;

declare const self: ServiceWorkerGlobalScope;
const worker = self;
const files = `harmostat files ${BUILD_NAME}`;
/** Kept over releases: a page of an older one still opens, for its files are asked of the network first. */
const pagesOf = (personId: string): string => `harmostat pages ${personId}`;
const whoStore = "harmostat who";
const whoKey = "/who";
const offlinePage = "/offline";
const patienceMs = 6000;

/** Who and what an account holds is never kept, nor the ways in and out. */
const neverKept = /^\/(people|account|sign-|first)/;

worker.addEventListener("install", (event) => {
  event.waitUntil(
    (async () => {
      const store = await caches.open(files);
      await store.addAll(BUILT_FILES);
      // For nobody: it opens where the day of whoever was here is over.
      const page = await fetch(offlinePage, { credentials: "omit", headers: { Accept: "text/html" } });
      if (page.ok) await store.put(offlinePage, page);
      await worker.skipWaiting();
    })(),
  );
});

worker.addEventListener("activate", (event) => {
  event.waitUntil(
    (async () => {
      const names = await caches.keys();
      const old = names.filter((name) => name.startsWith("harmostat files") && name !== files);
      // The last release's files stay one release longer for tabs that still run it.
      for (const name of old.slice(0, -1)) await caches.delete(name);
      // An earlier release kept pages without saying for whom.
      await caches.delete("harmostat pages");
      await worker.clients.claim();
    })(),
  );
});

worker.addEventListener("message", (event) => {
  const { keep: path, forget } = (event.data ?? {}) as { keep?: string; forget?: string };
  if (forget) event.waitUntil(caches.delete(pagesOf(forget)));
  // The first page is loaded before there is anybody here to keep it.
  if (path?.startsWith("/")) event.waitUntil(Promise.all([keep(path), keep(offlinePage)]));
});

worker.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== worker.location.origin) return;
  if (url.pathname.startsWith("/assets/")) return event.respondWith(asset(request));
  if (request.mode === "navigate") return event.respondWith(page(event, url));
  if (url.pathname.endsWith(".data")) return event.respondWith(dataOf(event, url));
  if (url.pathname.startsWith("/files/")) return event.respondWith(file(event, url));
});

type Who = { personId: string; until: string };
let who: Who | null = null;

/** For whom the server last answered here; nobody once the day of their session is over. */
async function whoIsHere(): Promise<string> {
  if (!who) {
    const kept = await (await caches.open(whoStore)).match(whoKey);
    who = kept ? ((await kept.json()) as Who) : { personId: "", until: "" };
  }
  if (who.personId === "" || who.until > new Date().toISOString()) return who.personId;
  await caches.delete(pagesOf(who.personId));
  return "";
}

/** Remembers for whom an answer was made, and keeps it for them where it may be kept. The answer itself waits for none of it. */
function remember(event: ExtendableEvent, request: Request | string, response: Response, mayKeep: boolean): void {
  const personId = response.headers.get(personHeader);
  if (personId === null) return;
  const now: Who =
    personId === "nobody"
      ? { personId: "", until: "" }
      : { personId, until: response.headers.get(personUntilHeader) ?? "" };
  const copy = mayKeep && now.personId !== "" ? response.clone() : null;
  event.waitUntil(
    (async () => {
      if (who?.personId !== now.personId || who.until !== now.until) {
        who = now;
        await (await caches.open(whoStore)).put(whoKey, Response.json(now));
      }
      if (copy) await (await caches.open(pagesOf(now.personId))).put(request, copy);
    })().catch(() => undefined),
  );
}

async function copyOf(request: Request | string): Promise<Response | undefined> {
  const personId = await whoIsHere();
  return personId === "" ? undefined : (await caches.open(pagesOf(personId))).match(request);
}

async function keep(path: string): Promise<void> {
  if (neverKept.test(path)) return;
  try {
    const response = await fetch(path, { headers: { Accept: "text/html" } });
    const personId = response.headers.get(personHeader);
    if (!response.ok || response.redirected || personId === null || personId === "nobody") return;
    await (await caches.open(pagesOf(personId))).put(path, response);
  } catch {
    // Away: the copy of before stays.
  }
}

async function asset(request: Request): Promise<Response> {
  return (await caches.match(request)) ?? fetch(request);
}

async function withPatience(request: Request): Promise<Response> {
  const tired = new Promise<never>((_, fail) => setTimeout(() => fail(new Error("no answer")), patienceMs));
  return Promise.race([fetch(request), tired]);
}

async function page(event: FetchEvent, url: URL): Promise<Response> {
  const { request } = event;
  try {
    const response = await fetch(request);
    const isPage = response.headers.get("Content-Type")?.startsWith("text/html") ?? false;
    remember(event, request, response, response.ok && isPage && !response.redirected && !neverKept.test(url.pathname));
    if (response.status < 500) return response;
    return (await copyOf(request)) ?? response;
  } catch {
    const known = await copyOf(request);
    if (known) return known;
    const offline = (await copyOf(offlinePage)) ?? (await (await caches.open(files)).match(offlinePage));
    if (url.pathname === offlinePage && offline) return offline;
    // By a redirect, so that the page's own address fits what it was made for.
    if (offline) return Response.redirect(`${offlinePage}?to=${encodeURIComponent(url.pathname + url.search)}`, 302);
    return new Response("Offline", { status: 503 });
  }
}

async function dataOf(event: FetchEvent, url: URL): Promise<Response> {
  const { request } = event;
  try {
    const response = await withPatience(request);
    remember(event, request, response, response.ok && !neverKept.test(url.pathname));
    if (response.status < 500) return response;
    return (await copyOf(request)) ?? response;
  } catch {
    return (await copyOf(request)) ?? Response.error();
  }
}

/** What is attached to an entry never changes: a copy is as good, for whom it was given to. */
async function file(event: FetchEvent, url: URL): Promise<Response> {
  const { request } = event;
  const known = await copyOf(request);
  if (known) return known;
  const response = await fetch(request);
  remember(event, request, response, response.ok && !neverKept.test(url.pathname));
  return response;
}
