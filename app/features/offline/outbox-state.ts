import { useSyncExternalStore } from "react";
import { allWaiting, dropWaiting, type FlushReport, flush, putWaiting, type Stopped, type Taken } from "./outbox";
import type { Waiting } from "./waiting-store";

export type OutboxState = {
  items: readonly Waiting[];
  /** When the server last took something, or was reached. */
  at: string | null;
  stopped: Stopped;
  /** Counts the times it was tried to send; each is an occasion to try a draft again. */
  tries: number;
  /** By how many minutes this tablet's clock runs ahead of the server's; 0 where it is near enough. */
  clockAhead: number;
};

const empty: OutboxState = { items: [], at: null, stopped: null, tries: 0, clockAhead: 0 };
let state = empty;
let personId = "";
const listeners = new Set<() => void>();
const takers = new Set<(taken: readonly Taken[]) => void>();

const set = (next: Partial<OutboxState>): void => {
  state = { ...state, ...next };
  for (const listener of listeners) listener();
};

const reread = async (): Promise<void> => set({ items: await allWaiting() });

/** Another tab sent or put something. */
const otherTabs = typeof BroadcastChannel === "undefined" ? null : new BroadcastChannel("harmostat-outbox");
otherTabs?.addEventListener("message", ({ data }: MessageEvent<Taken[]>) => {
  for (const taker of takers) taker(data);
  reread();
});

/** Sends what waits now. */
export async function sendWaiting(): Promise<FlushReport> {
  const report = await flush(personId);
  if (report.taken.length > 0) {
    for (const taker of takers) taker(report.taken);
    otherTabs?.postMessage(report.taken);
  }
  const at = report.asked && !report.stopped ? new Date().toISOString() : state.at;
  set({
    items: await allWaiting(),
    at,
    stopped: report.asked ? report.stopped : state.stopped,
    tries: state.tries + 1,
  });
  if (!report.asked) set({ stopped: null });
  return report;
}

let lastOrder = 0;

/** Puts something on its way; it is sent at once if it can be. */
export async function putOnItsWay(item: Omit<Waiting, "order" | "personId">): Promise<Waiting> {
  lastOrder = Math.max(Date.now(), lastOrder + 1);
  const waiting = { ...item, order: lastOrder, personId };
  await putWaiting(waiting);
  set({ items: [...state.items, waiting] });
  otherTabs?.postMessage([]);
  sendWaiting();
  return waiting;
}

/** A refused one that was seen, or that is no longer wanted. */
export async function putAside(id: string): Promise<void> {
  await dropWaiting(id);
  await reread();
}

/** Sends a refused one again, perhaps to another place. */
export async function sendAgain(waiting: Waiting): Promise<void> {
  const { refusal: _, ...again } = waiting;
  await putWaiting(again);
  await sendWaiting();
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

/** Whose tablet this is now; what waits of theirs is sent as soon as the server can be reached. */
export function startOutbox(person: string): () => void {
  personId = person;
  reread().then(sendWaiting);
  compareClocks();
  const timer = setInterval(() => {
    if (state.items.some((item) => !item.refusal)) sendWaiting();
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
export function onTaken(taker: (taken: readonly Taken[]) => void): () => void {
  takers.add(taker);
  return () => {
    takers.delete(taker);
  };
}
