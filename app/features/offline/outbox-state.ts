import { useSyncExternalStore } from "react";
import type { Refusal } from "~/core/quantity";
import { pagePerson } from "../identity/page-person";
import {
  addWaiting,
  allWaiting,
  dropWaiting,
  type FlushReport,
  flush,
  postWaiting,
  putWaiting,
  type Stopped,
  type Taken,
} from "./outbox";
import type { Waiting } from "./waiting-store";

export type OutboxState = {
  /** What waits of whose page this is. */
  items: readonly Waiting[];
  /** Of an earlier release, without a name: nobody's until somebody says so. */
  nobodys: readonly Waiting[];
  /** How many wait for other people of this tablet. */
  others: number;
  /** What could not be kept, because the tablet has no room: only in this page, and gone with it. */
  unkept: readonly Waiting[];
  /** When the server last took something, or was reached. */
  at: string | null;
  stopped: Stopped;
  /** Counts the times it was tried to send; each is an occasion to try a draft again. */
  tries: number;
  /** By how many minutes this tablet's clock runs ahead of the server's; 0 where it is near enough. */
  clockAhead: number;
};

const empty: OutboxState = {
  items: [],
  nobodys: [],
  others: 0,
  unkept: [],
  at: null,
  stopped: null,
  tries: 0,
  clockAhead: 0,
};
let state = empty;
const listeners = new Set<() => void>();
const listenersToTaken = new Set<(taken: readonly Taken[]) => void>();

const set = (next: Partial<OutboxState>): void => {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
};

async function reread(): Promise<void> {
  const [all, personId] = [await allWaiting(), pagePerson()];
  set({
    items: [...all.filter((item) => item.personId === personId), ...state.unkept],
    nobodys: all.filter((item) => !item.personId),
    others: all.filter((item) => item.personId && item.personId !== personId).length,
  });
}

/** Another tab sent or put something. */
const otherTabs = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel("harmostat-outbox");
otherTabs?.addEventListener("message", ({ data }: MessageEvent<Taken[]>) => {
  for (const listener of listenersToTaken) listener(data);
  reread();
});

function tellTaken(taken: Taken[]): void {
  if (taken.length === 0) return;
  for (const listener of listenersToTaken) listener(taken);
  otherTabs?.postMessage(taken.map(({ waiting, body }) => ({ waiting: { ...waiting, file: undefined }, body })));
}

/** Sends what waits now. */
export async function sendWaiting(): Promise<FlushReport> {
  const report = await flush(pagePerson());
  await sendUnkept(report);
  tellTaken(report.taken);
  const at = report.asked && !report.stopped ? new Date().toISOString() : state.at;
  await reread();
  set({ at, stopped: report.asked ? report.stopped : state.stopped, tries: state.tries + 1 });
  if (!report.asked) set({ stopped: null });
  return report;
}

/** What the tablet had no room for goes straight to the server, after everything that it keeps. */
async function sendUnkept(report: FlushReport): Promise<void> {
  for (const waiting of state.unkept) {
    if (report.stopped || waiting.refusal || waiting.personId !== pagePerson()) continue;
    report.asked = true;
    const answer = await postWaiting(waiting);
    if ("stopped" in answer) report.stopped = answer.stopped;
    else if ("refusal" in answer)
      set({
        unkept: state.unkept.map((item) => (item.id === waiting.id ? { ...waiting, refusal: answer.refusal } : item)),
      });
    else {
      report.taken.push({ waiting, body: answer.body });
      set({ unkept: state.unkept.filter(({ id }) => id !== waiting.id) });
    }
  }
}

/**
 * Puts something on its way; it is sent at once if it can be. Where the tablet has no room for it, it is held in the page and sent
 * directly, and said to be not kept.
 */
export async function putOnItsWay(item: Omit<Waiting, "order" | "personId">): Promise<Waiting> {
  const mine = { ...item, personId: pagePerson() };
  let waiting: Waiting;
  try {
    waiting = await addWaiting(mine);
  } catch {
    waiting = { ...mine, order: Number.MAX_SAFE_INTEGER };
    set({ unkept: [...state.unkept, waiting] });
  }
  set({ items: [...state.items.filter(({ id }) => id !== waiting.id), waiting] });
  otherTabs?.postMessage([]);
  sendWaiting();
  return waiting;
}

/** A refused one that was seen, or that is no longer wanted. */
export async function putAside(id: string): Promise<void> {
  set({ unkept: state.unkept.filter((item) => item.id !== id) });
  await dropWaiting(id);
  await reread();
}

/** Sends a refused one again, perhaps to another place. */
export async function sendAgain(waiting: Waiting): Promise<void> {
  const { refusal: _, failures: __, ...again } = waiting;
  await putWaiting(again);
  await sendWaiting();
}

/** Whoever presses it says that these are theirs. */
export async function claimNobodys(): Promise<void> {
  for (const waiting of state.nobodys) await putWaiting({ ...waiting, personId: pagePerson() });
  await sendWaiting();
}

/** Shows for a signature that was made here that it is its signer's; null where it was taken. */
export async function confirmSignature(waiting: Waiting, secret: string): Promise<Refusal | null> {
  const { stopped } = await sendWaiting();
  if (stopped) return { code: "offline", path: ["secret"], facts: {} };
  const answer = await postWaiting(waiting, secret);
  if ("stopped" in answer) return { code: "offline", path: ["secret"], facts: {} };
  if ("refusal" in answer) {
    // A wrong PIN leaves it waiting; anything else is the server's word on the signature itself.
    if (answer.refusal.path[0] === "secret" || answer.refusal.code === "too-many-tries") return answer.refusal;
    await putWaiting({ ...waiting, unproven: false, refusal: answer.refusal });
    await reread();
    return answer.refusal;
  }
  await dropWaiting(waiting.id);
  tellTaken([{ waiting, body: answer.body }]);
  await reread();
  return null;
}

const retryMs = 4000;
const clockToleranceMinutes = 2;

/** Asks the server what time it is. A tablet's wrong clock is set right in the logbook, but its owner should know. */
async function compareClocks(): Promise<void> {
  try {
    const asked = Date.now();
    const response = await fetch("/mark.svg", { method: "HEAD", cache: "no-store" });
    const server = Date.parse(response.headers.get("Date") ?? "");
    const here = (asked + Date.now()) / 2;
    const minutes = Math.round((here - server) / 60_000);
    if (!Number.isNaN(server)) set({ clockAhead: Math.abs(minutes) > clockToleranceMinutes ? minutes : 0 });
  } catch {
    // Away: there is nothing to compare with.
  }
}

/** What waits of whose page this is is sent as soon as the server can be reached. */
export function startOutbox(): () => void {
  // Else a browser that runs out of room may throw away what waits.
  navigator.storage?.persist?.().catch(() => undefined);
  reread().then(sendWaiting);
  compareClocks();
  const timer = setInterval(() => {
    if (state.items.some((item) => !item.refusal && !item.unproven)) sendWaiting();
  }, retryMs);
  window.addEventListener("online", sendWaiting);
  window.addEventListener("focus", sendWaiting);
  return () => {
    clearInterval(timer);
    window.removeEventListener("online", sendWaiting);
    window.removeEventListener("focus", sendWaiting);
  };
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
};

export const useOutbox = (): OutboxState =>
  useSyncExternalStore(
    subscribe,
    () => state,
    () => empty,
  );

/** Told of everything the server takes, by this tab or another. */
export function onTaken(listener: (taken: readonly Taken[]) => void): () => void {
  listenersToTaken.add(listener);
  return () => {
    listenersToTaken.delete(listener);
  };
}
