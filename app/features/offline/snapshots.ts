import { pagePerson } from "../identity/page-person";
import { browserDatabase } from "./browser-database";

export type SnapshotKind = "machine" | "job";
type Kept = { value: unknown; at: string };

const keyOf = (personId: string, kind: SnapshotKind, id: string): string => `${personId} ${kind} ${id}`;

/** Keeps what is known of a machine or a job on this tablet, for whose page this is. A full or forbidden storage keeps nothing, and says nothing. */
export async function keepSnapshot(kind: SnapshotKind, id: string, value: unknown): Promise<void> {
  const personId = pagePerson();
  if (personId === "") return;
  const db = await browserDatabase();
  const kept: Kept = { value, at: new Date().toISOString() };
  await db?.put("snapshots", kept, keyOf(personId, kind, id)).catch(() => undefined);
}

export async function snapshotOf<T>(kind: SnapshotKind, id: string): Promise<T | null> {
  const kept = (await (await browserDatabase())?.get("snapshots", keyOf(pagePerson(), kind, id))) as Kept | undefined;
  return (kept?.value as T | undefined) ?? null;
}

/** Ids of everything of a kind that is known here to whose page this is. */
export async function snapshotIds(kind: SnapshotKind): Promise<string[]> {
  const keys = ((await (await browserDatabase())?.getAllKeys("snapshots")) ?? []) as string[];
  const prefix = keyOf(pagePerson(), kind, "");
  return keys.flatMap((key) => (key.startsWith(prefix) ? [key.slice(prefix.length)] : []));
}

/** What somebody saw here, when they sign out; what they typed and what waits stays. */
export async function forgetSnapshots(personId: string): Promise<void> {
  await (await browserDatabase())?.delete("snapshots", IDBKeyRange.bound(`${personId} `, `${personId} \uffff`));
}
