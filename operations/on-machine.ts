import type { Pool } from "../data/postgres";
import { type Database, transaction } from "../data/postgres";
import { queueOf } from "./queue";

type Line = { inTurn: ReturnType<typeof queueOf>; waiting: number };
const lines = new Map<string, Line>();
const mostInLine = 300;

/**
 * Work on one machine's logbook, one after the other: whoever writes on the same machine waits here, where it costs nothing, rather than with a
 * connection in the hand that the others need. Other processes are kept apart by the lock on the machine's row (`lockHead`).
 */
export async function onMachine<T>(machineId: string, work: () => Promise<T>): Promise<T> {
  const line = lines.get(machineId) ?? { inTurn: queueOf(1, mostInLine), waiting: 0 };
  lines.set(machineId, line);
  line.waiting++;
  try {
    return await line.inTurn(work);
  } finally {
    line.waiting--;
    if (line.waiting === 0) lines.delete(machineId);
  }
}

/** One transaction on a machine's logbook. */
export const transactionOn = <T>(pool: Pool, machineId: string, work: (db: Database) => Promise<T>): Promise<T> =>
  onMachine(machineId, () => transaction(pool, work));
