import type { IDBPDatabase } from "idb";
import type { Refusal } from "~/core/quantity";
import { browserDatabase } from "./browser-database";

/** Something on its way: kept in the browser until the server has taken it. */
export type Waiting = {
  id: string;
  jobId: string;
  order: number;
  /** Where it goes; an earlier release kept only entries of jobs, without one. */
  url?: string;
  /** Whose it is: another person's session does not send it. */
  personId?: string;
  payload: Record<string, unknown> & { id: string; kind: string; madeAt: string };
  refusal?: Refusal;
};

export type WaitingStore = {
  all: () => Promise<Waiting[]>;
  put: (waiting: Waiting) => Promise<void>;
  drop: (id: string) => Promise<void>;
};

let opened: Promise<WaitingStore> | null = null;

/** Where things wait: the browser's database, or where that is forbidden its small storage. */
export function waitingStore(): Promise<WaitingStore> {
  opened ??= browserDatabase().then((db) => (db ? inDatabase(db) : inStorage));
  return opened;
}

const inDatabase = (db: IDBPDatabase): WaitingStore => ({
  all: () => db.getAll("outbox"),
  put: async (waiting) => {
    await db.put("outbox", waiting);
  },
  drop: (id) => db.delete("outbox", id),
});

const prefix = "harmostat waiting ";

const inStorage: WaitingStore = {
  all: async () =>
    Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .map((key) => JSON.parse(localStorage.getItem(key) ?? "{}") as Waiting),
  put: async (waiting) => localStorage.setItem(`${prefix}${waiting.id}`, JSON.stringify(waiting)),
  drop: async (id) => localStorage.removeItem(`${prefix}${id}`),
};
