import { forgetSnapshots } from "./snapshots";

/**
 * What somebody saw at this tablet, once they sign out: nobody must find it. What they typed and what waits
 * to be sent stays, under their name, until they are back.
 */
export function forgetPerson(personId: string): void {
  forgetSnapshots(personId).catch(() => undefined);
  navigator.serviceWorker?.controller?.postMessage({ forget: personId });
}
