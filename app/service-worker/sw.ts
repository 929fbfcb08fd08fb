/**
 * The app without a network: its files from a store filled at installation, pages and their data from the network while it is
 * there and from the last copy when it is not. What was never opened here leads to the offline page, which knows what this tablet
 * holds. Nothing that changes something passes through here: posts go to the network or fail, and the outbox keeps them.
 */
/** Filled in when it is built: the app's own files, and a name that changes with them. */
declare const BUILT_FILES: string[];
declare const BUILD_NAME: string;

const worker = self as unknown as ServiceWorkerGlobalScope;
const files = `harmostat files ${BUILD_NAME}`;
/** Kept over releases: a page of an older one still opens, for its files are asked of the network first. */
const pages = "harmostat pages";
const offlinePage = "/offline";
const patienceMs = 6000;

worker.addEventListener("install", (event) => {
  event.waitUntil(
    (async () => {
      const store = await caches.open(files);
      await store.addAll(BUILT_FILES);
      await keep(offlinePage);
      await worker.skipWaiting();
    })(),
  );
});

worker.addEventListener("activate", (event) => {
  event.waitUntil(
    (async () => {
      const old = (await caches.keys()).filter((name) => name.startsWith("harmostat files") && name !== files);
      // The last release's files stay one release longer for tabs that still run it.
      for (const name of old.slice(0, -1)) await caches.delete(name);
      await worker.clients.claim();
    })(),
  );
});

worker.addEventListener("message", (event) => {
  const { keep: path, forget } = (event.data ?? {}) as { keep?: string; forget?: boolean };
  if (forget) event.waitUntil(caches.delete(pages).then(() => keep(offlinePage)));
  // The first page is loaded before there is anybody here to keep it.
  if (path?.startsWith("/") && !path.startsWith("/sign-")) event.waitUntil(keep(path));
});

worker.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== worker.location.origin) return;
  if (url.pathname.startsWith("/assets/")) return event.respondWith(asset(request));
  if (request.mode === "navigate") return event.respondWith(page(request, url));
  if (url.pathname.endsWith(".data")) return event.respondWith(dataOf(request));
  if (/^\/files\/|\.(svg|png|webmanifest)$/.test(url.pathname)) return event.respondWith(picture(request));
});

async function keep(path: string): Promise<void> {
  try {
    const response = await fetch(path, { headers: { Accept: "text/html" } });
    if (response.ok && !response.redirected) await (await caches.open(pages)).put(path, response);
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

async function page(request: Request, url: URL): Promise<Response> {
  const store = await caches.open(pages);
  try {
    const response = await fetch(request);
    const isPage = response.headers.get("Content-Type")?.startsWith("text/html");
    if (response.ok && isPage && !response.redirected) await store.put(request, response.clone());
    if (response.status < 500) return response;
    return (await store.match(request)) ?? response;
  } catch {
    const known = await store.match(request);
    if (known) return known;
    const offline = await store.match(offlinePage, { ignoreSearch: true });
    if (url.pathname === offlinePage && offline) return offline;
    // By a redirect, so that the page's own address fits what it was made for.
    if (offline) return Response.redirect(`${offlinePage}?to=${encodeURIComponent(url.pathname + url.search)}`, 302);
    return new Response("Offline", { status: 503 });
  }
}

async function dataOf(request: Request): Promise<Response> {
  const store = await caches.open(pages);
  try {
    const response = await withPatience(request);
    if (response.ok) await store.put(request, response.clone());
    if (response.status < 500) return response;
    return (await store.match(request)) ?? response;
  } catch {
    return (await store.match(request)) ?? Response.error();
  }
}

async function picture(request: Request): Promise<Response> {
  const store = await caches.open(pages);
  const known = await store.match(request);
  if (known) return known;
  const response = await fetch(request);
  if (response.ok) await store.put(request, response.clone());
  return response;
}
