import { personHeader, refusalHeader } from "~/app/session/person-header";
import { pagePerson } from "./page-person";

/** Why the page waits: nobody is signed in any more (or too long ago), or somebody else is. */
export type Locked = "signed-out" | "other-person";

let locked: Locked | null = null;
const listeners = new Set<() => void>();
const held = new Set<() => void>();

export const lockedNow = (): Locked | null => locked;
export function onLock(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

export function lockPage(why: Locked): void {
  locked = why;
  for (const listener of listeners) listener();
}

/** The page's person is signed in again: what was held is sent. */
export function unlockPage(): void {
  locked = null;
  for (const listener of listeners) listener();
  for (const go of [...held]) go();
  held.clear();
}

const unlocked = () => new Promise<void>((go) => held.add(go));

/**
 * Puts before the browser's own `fetch` one that says with every write whose it is. What the router sends for a page and the server refuses for
 * want of that person is held, with everything typed, until they have shown that it is they, and then sent; what carries a person already
 * (the outbox) is answered at once, for that waits by itself.
 */
export function installSignedFetch(plain: typeof fetch = window.fetch.bind(window)): void {
  window.fetch = async (input, init) => {
    const request = input instanceof Request ? input : null;
    const url = new URL(request?.url ?? String(input), window.location.href);
    if (url.origin !== window.location.origin) return plain(input, init);
    const method = (init?.method ?? request?.method ?? "GET").toUpperCase();
    const headers = new Headers(init?.headers ?? request?.headers);
    const own = headers.has(personHeader);
    if (method !== "GET" && method !== "HEAD" && !own) headers.set(personHeader, pagePerson());
    for (;;) {
      const response = await plain(request ? request.clone() : input, { ...init, headers });
      const why = refusedFor(response);
      if (!why || pagePerson() === "" || url.pathname === "/account/unlock") return response;
      lockPage(why);
      if (own || !url.pathname.endsWith(".data")) return response;
      await unlocked();
    }
  };
}

function refusedFor(response: Response): Locked | null {
  const code = response.headers.get(refusalHeader);
  return code === "signed-out" || code === "other-person" ? code : null;
}
