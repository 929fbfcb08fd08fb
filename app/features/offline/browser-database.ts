import { type IDBPDatabase, openDB } from "idb";

let opened: Promise<IDBPDatabase | null> | null = null;

/** The browser's own database; null where it is forbidden (some private windows). */
export function browserDatabase(): Promise<IDBPDatabase | null> {
  opened ??= open().catch(() => null);
  return opened;
}

const open = async (): Promise<IDBPDatabase> =>
  openDB("harmostat", 2, {
    upgrade(db, before) {
      if (before < 1) db.createObjectStore("outbox", { keyPath: "id" });
      if (before < 2) db.createObjectStore("snapshots");
    },
  });
