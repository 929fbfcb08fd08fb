import { v7 } from "uuid";
import type { Database } from "../data/postgres";
import type { ChainHead } from "../data/queries/machines";
import { insertPoint } from "../data/queries/open-points";
import { appendEntry } from "./append-entry";
import type { Context } from "./context";

/** An open point that comes with something else that was entered, in the same transaction. */
export async function leaveOpen(
  db: Database,
  head: ChainHead,
  { machineId, stageId, text }: { machineId: string; stageId: string | null; text: string },
  person: Context["person"],
  now: Date,
): Promise<void> {
  const entry = await appendEntry(db, head, {
    id: v7(),
    machineId,
    stageId,
    kind: "open-point",
    body: { text },
    madeBy: person.id,
    madeAt: now.toISOString(),
    recordedAt: now,
  });
  await insertPoint(db, {
    id: entry.id,
    machineId,
    stageId,
    code: "said",
    text,
    openedEntry: entry.id,
    openedBy: person.id,
    openedAt: entry.madeAt,
  });
}
