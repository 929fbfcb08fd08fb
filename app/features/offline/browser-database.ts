import { type IDBPDatabase, openDB } from "idb";

let opened: Promise<IDBPDatabase | null> | null = null;

/** The browser's own database; null where it is forbidden (some private windows). */
export function browserDatabase(): Promise<IDBPDatabase | null> {
  opened ??= open().catch(() => null);
  return opened;
}

const open = async (): Promise<IDBPDatabase> =>
  openDB("harmostat", 3, {
    async upgrade(db, before, _now, change) {
      if (before < 1) db.createObjectStore("outbox", { keyPath: "id" });
      if (before < 2) db.createObjectStore("snapshots");
      if (before < 3) {
        // Snapshots of before did not say whose they were. Order was by the clock; from here on it is counted, after everything there is.
        await change.objectStore("snapshots").clear();
        const waiting = (await change.objectStore("outbox").getAll()) as { order: number }[];
        db.createObjectStore("counter");
        await change.objectStore("counter").put(Math.max(0, ...waiting.map(({ order }) => order)), "last");
      }
    },
    // Another tab brings a newer release: it must not wait for this one.
    blocking(_current, _wanted, event) {
      (event.target as IDBDatabase | null)?.close();
      opened = null;
    },
  });
