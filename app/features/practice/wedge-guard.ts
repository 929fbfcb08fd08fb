import { useEffect } from "react";

/**
 * Characters and an Enter within 50 ms of each other come from an instrument that types like a keyboard: no hand is that fast. Such an
 * Enter fills a reading field and does nothing else: it never acknowledges, goes live or signs, wherever the focus is. Nor does an Enter
 * that is held down.
 */
export const wedgeMs = 50;

/** Fields into which an instrument types. */
const readingField = "[data-reading]";

/** A key as the guard sees it. */
type Key = { key: string; at: number; repeat: boolean; inReading: boolean };

/** Tells, key by key, whether an Enter is to be swallowed. */
export function wedgeWatch(): (key: Key) => boolean {
  let lastAt = Number.NEGATIVE_INFINITY;
  return ({ key, at, repeat, inReading }) => {
    const fast = at - lastAt < wedgeMs;
    if (key.length === 1) lastAt = at;
    if (key !== "Enter" || inReading) return false;
    return fast || repeat;
  };
}

/** Watches a page's keys; returns how to stop. */
export function guardAgainstWedge(page: Document): () => void {
  const swallows = wedgeWatch();
  const onKey = (event: KeyboardEvent) => {
    const inReading = event.target instanceof Element && event.target.closest(readingField) !== null;
    if (!swallows({ key: event.key, at: event.timeStamp, repeat: event.repeat, inReading })) return;
    event.preventDefault();
    event.stopImmediatePropagation();
  };
  page.addEventListener("keydown", onKey, true);
  return () => page.removeEventListener("keydown", onKey, true);
}

/** On pages where an Enter can acknowledge, go live or sign. */
export function useWedgeGuard(): void {
  useEffect(() => guardAgainstWedge(document), []);
}
