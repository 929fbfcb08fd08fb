import { useEffect } from "react";
import { useLocation } from "react-router";

/** The key that is the thing to do now, as `ui/button` marks it. */
const doNow = "main .do-now:not([disabled])";
const fields = "input:not([type=hidden]):not([type=checkbox]):not([type=file]):not([tabindex='-1']), textarea";

/**
 * On arriving at a page the thing to do now has the focus, where nothing has taken it: of a form its first field, but not under a
 * finger, where a keyboard would cover the page unasked.
 */
export function useArrival(): void {
  useDoNow(useLocation().pathname);
}

/** The same where a page stays and what to do on it becomes another: live now, the last clamp home, signed. */
export function useDoNow(now: unknown): void {
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is arrived at anew when it is another
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      if (document.activeElement && document.activeElement !== document.body) return;
      const key = document.querySelector<HTMLElement>(doNow);
      const coarse = matchMedia("(pointer: coarse)").matches;
      const first = coarse ? null : key?.closest("form")?.querySelector<HTMLElement>(fields);
      (first ?? key)?.focus({ preventScroll: true });
    });
    return () => cancelAnimationFrame(frame);
  }, [now]);
}
