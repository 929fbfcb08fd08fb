import type { IDBPDatabase } from "idb";
import type { Refusal } from "~/core/quantity";
import { browserDatabase } from "./browser-database";

/** Something on its way: kept in the browser until the server has taken it. */
export type Waiting = {
  id: string;
  jobId: string;
  /** Counted by the store itself: no clock decides what goes first. */
  order: number;
  /** Where it goes; an earlier release kept only entries of jobs, without one. */
  url?: string;
  /** Whose it is: another person's session does not send it. Without one it is nobody's, and asked about. */
  personId?: string;
  payload: Record<string, unknown> & { id: string; kind: string; madeAt: string };
  /** A photograph or file that goes with it. */
  file?: Blob;
  refusal?: Refusal;
  /** Signed here, and only confirmed once the signer shows who they are. */
  unproven?: boolean;
  /** How often the server broke over it. */
  failures?: number;
};

export type WaitingStore = {
  all: () => Promise<Waiting[]>;
  put: (waiting: Waiting) => Promise<void>;
  /** Puts a new one behind all others. */
  add: (waiting: Omit<Waiting, "order">) => Promise<Waiting>;
  drop: (id: string) => Promise<void>;
};

let opened: Promise<WaitingStore> | null = null;

/** Where things wait: the browser's database, or where that is forbidden its small storage. */
export function waitingStore(): Promise<WaitingStore> {
  opened ??= browserDatabase().then((db) => (db ? inDatabase : inStorage));
  return opened;
}

async function database(): Promise<IDBPDatabase> {
  const db = await browserDatabase();
  if (!db) throw new Error("the browser's database is gone");
  return db;
}

const inDatabase: WaitingStore = {
  all: async () => (await database()).getAll("outbox"),
  put: async (waiting) => {
    await (await database()).put("outbox", waiting);
  },
  add: async (item) => {
    const change = (await database()).transaction(["outbox", "counter"], "readwrite", { durability: "strict" });
    const last = ((await change.objectStore("counter").get("last")) as number | undefined) ?? 0;
    const waiting = { ...item, order: last + 1 };
    await Promise.all([
      change.objectStore("counter").put(waiting.order, "last"),
      change.objectStore("outbox").put(waiting),
      change.done,
    ]);
    return waiting;
  },
  drop: async (id) => (await database()).delete("outbox", id),
};

const prefix = "harmostat waiting ";
const counter = "harmostat waited";

const inStorage: WaitingStore = {
  all: async () =>
    Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .map((key) => JSON.parse(localStorage.getItem(key) ?? "{}") as Waiting),
  put: async (waiting) => {
    if (waiting.file) throw new Error("files are not kept in the small storage");
    localStorage.setItem(`${prefix}${waiting.id}`, JSON.stringify(waiting));
  },
  add: async (item) => {
    const known = (await inStorage.all()).map(({ order }) => order);
    const waiting = { ...item, order: Math.max(Number(localStorage.getItem(counter) ?? 0), ...known) + 1 };
    await inStorage.put(waiting);
    localStorage.setItem(counter, String(waiting.order));
    return waiting;
  },
  drop: async (id) => localStorage.removeItem(`${prefix}${id}`),
};
