import { type IDBPDatabase, openDB } from "idb";
import type { Refusal } from "~/core/quantity";

/** An entry on its way: kept in the browser until the server has taken it. */
export type Waiting = {
  id: string;
  jobId: string;
  order: number;
  payload: Record<string, unknown> & { id: string; kind: string; madeAt: string };
  refusal?: Refusal;
};

export type WaitingStore = {
  ofJob: (jobId: string) => Promise<Waiting[]>;
  put: (waiting: Waiting) => Promise<void>;
  drop: (id: string) => Promise<void>;
};

let opened: Promise<WaitingStore> | null = null;

/** Where entries wait: the browser's database, or where that is forbidden (some private windows) its small storage. */
export function waitingStore(): Promise<WaitingStore> {
  opened ??= openDatabase().then(inDatabase, () => inStorage);
  return opened;
}

const openDatabase = async (): Promise<IDBPDatabase> =>
  openDB("harmostat", 1, {
    upgrade(db) {
      db.createObjectStore("outbox", { keyPath: "id" }).createIndex("job", "jobId");
    },
  });

const inDatabase = (db: IDBPDatabase): WaitingStore => ({
  ofJob: (jobId) => db.getAllFromIndex("outbox", "job", jobId),
  put: async (waiting) => {
    await db.put("outbox", waiting);
  },
  drop: (id) => db.delete("outbox", id),
});

const prefix = "harmostat waiting ";

const inStorage: WaitingStore = {
  ofJob: async (jobId) =>
    Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .map((key) => JSON.parse(localStorage.getItem(key) ?? "{}") as Waiting)
      .filter((waiting) => waiting.jobId === jobId),
  put: async (waiting) => localStorage.setItem(`${prefix}${waiting.id}`, JSON.stringify(waiting)),
  drop: async (id) => localStorage.removeItem(`${prefix}${id}`),
};
