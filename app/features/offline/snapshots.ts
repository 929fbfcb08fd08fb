import { browserDatabase } from "./browser-database";

export type SnapshotKind = "machine" | "job";
type Kept = { value: unknown; at: string };

/** Keeps what is known of a machine or a job on this tablet. A full or forbidden storage keeps nothing, and says nothing. */
export async function keepSnapshot(kind: SnapshotKind, id: string, value: unknown): Promise<void> {
  const db = await browserDatabase();
  const kept: Kept = { value, at: new Date().toISOString() };
  await db?.put("snapshots", kept, `${kind} ${id}`).catch(() => undefined);
}

export async function snapshotOf<T>(kind: SnapshotKind, id: string): Promise<T | null> {
  const kept = (await (await browserDatabase())?.get("snapshots", `${kind} ${id}`)) as Kept | undefined;
  return (kept?.value as T | undefined) ?? null;
}

/** Ids of everything of a kind that is known here. */
export async function snapshotIds(kind: SnapshotKind): Promise<string[]> {
  const keys = ((await (await browserDatabase())?.getAllKeys("snapshots")) ?? []) as string[];
  return keys.flatMap((key) => (key.startsWith(`${kind} `) ? [key.slice(kind.length + 1)] : []));
}

/** On signing out: what the next person at this tablet must not find. */
export async function forgetSnapshots(): Promise<void> {
  await (await browserDatabase())?.clear("snapshots");
}
