import { useEffect } from "react";
import { useLocation } from "react-router";
import { forgetSnapshots } from "./snapshots";

/** Registers the service worker, and gives it every page that is opened, so that it opens again without a network. */
export function useServiceWorker(): void {
  const { pathname, search } = useLocation();
  useEffect(() => {
    if (import.meta.env.DEV || !("serviceWorker" in navigator)) return;
    navigator.serviceWorker.register("/sw.js").catch(() => undefined);
  }, []);
  useEffect(() => {
    if (import.meta.env.DEV || !("serviceWorker" in navigator)) return;
    navigator.serviceWorker.ready
      .then((ready) => ready.active?.postMessage({ keep: `${pathname}${search}` }))
      .catch(() => undefined);
  }, [pathname, search]);
}

/** The next person at this tablet must not find what this one saw; what waits to be sent stays, under its owner's name. */
export function forgetOnSignOut(): void {
  forgetSnapshots();
  navigator.serviceWorker?.controller?.postMessage({ forget: true });
}

const lastPerson = "harmostat person";

/** Who takes over by their PIN goes on where the one before stood: nothing is forgotten. */
export function staysHere(personId: string): void {
  try {
    localStorage.setItem(lastPerson, personId);
  } catch {
    // Where nothing can be kept, nothing is forgotten either.
  }
}

/** Somebody else has signed in where the one before never signed out: the same is forgotten as on signing out. */
export function forgetIfAnother(personId: string): void {
  try {
    const before = localStorage.getItem(lastPerson);
    localStorage.setItem(lastPerson, personId);
    if (before !== null && before !== personId) forgetOnSignOut();
  } catch {
    // Where nothing can be kept, nothing has to be forgotten.
  }
}
