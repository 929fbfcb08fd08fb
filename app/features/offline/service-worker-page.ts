import { useEffect } from "react";
import { useLocation } from "react-router";

/** Registers the service worker, and gives it every page that is opened, so that it opens again without a network. */
export function useServiceWorker(personId: string | undefined): void {
  const { pathname, search } = useLocation();
  useEffect(() => {
    if (import.meta.env.DEV || !("serviceWorker" in navigator)) return;
    navigator.serviceWorker.register("/sw.js").catch(() => undefined);
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: who takes over keeps a copy of their own
  useEffect(() => {
    if (import.meta.env.DEV || !("serviceWorker" in navigator)) return;
    navigator.serviceWorker.ready
      .then((ready) => ready.active?.postMessage({ keep: `${pathname}${search}` }))
      .catch(() => undefined);
  }, [pathname, search, personId]);
}
