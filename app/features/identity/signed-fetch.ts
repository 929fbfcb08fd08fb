import { personHeader, refusalHeader } from "~/app/session/person-header";
import { untilTaken } from "./held-write";
import { pagePerson } from "./page-person";

/** Why the page waits: nobody is signed in any more (or too long ago), or somebody else is. */
export type Locked = "signed-out" | "other-person";

let locked: Locked | null = null;
let lockedFor = "";
const listeners = new Set<() => void>();
const waiting = new Set<() => void>();

export const lockedNow = (): Locked | null => locked;
export function onLock(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

function lockPage(why: Locked, personId: string): void {
  locked = why;
  lockedFor = personId;
  for (const listener of listeners) listener();
}

/** The page's person is signed in again: what was held is sent. */
export function unlockPage(): void {
  locked = null;
  for (const listener of listeners) listener();
  for (const go of [...waiting]) go();
  waiting.clear();
}

/** The page went to somebody else meanwhile: what was asked of the one before is not asked of them. */
export function unlockForOthers(personId: string): void {
  if (locked && lockedFor !== personId) unlockPage();
}

const unlocked = () => new Promise<void>((go) => waiting.add(go));

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
    const writes = method !== "GET" && method !== "HEAD";
    if (writes && !own) headers.set(personHeader, pagePerson());
    const paged = url.pathname.endsWith(".data");
    const send = () => plain(request ? request.clone() : input, { ...init, headers });
    for (;;) {
      const asked = pagePerson();
      const response = writes && !own && paged ? await untilTaken(send, init?.signal) : await send();
      const why = refusedFor(response);
      if (!why || pagePerson() === "" || url.pathname === "/account/unlock") return response;
      const held = !own && paged;
      // Under way while the page changed hands: the answer was for whoever had it before.
      const late = pagePerson() !== asked;
      if (!late) lockPage(why, asked);
      // What the one before wrote is never sent by the next.
      if (!held || (late && writes)) return response;
      if (!late) await unlocked();
      if (writes && pagePerson() !== asked) return response;
    }
  };
}

function refusedFor(response: Response): Locked | null {
  const code = response.headers.get(refusalHeader);
  return code === "signed-out" || code === "other-person" ? code : null;
}
