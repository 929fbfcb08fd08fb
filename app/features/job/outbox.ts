import type { Refusal } from "~/core/quantity";
import type { NamedEntry } from "~/data/queries/entries";
import { type Waiting, waitingStore } from "./waiting-store";

export type FlushReport = {
  taken: NamedEntry[];
  /** Whether the server was spoken to at all: with nothing to send it was not, and nothing is known of it. */
  asked: boolean;
  /** Why the rest still waits; null when nothing does. */
  stopped: "no-network" | "server" | "database" | "signed-out" | null;
};

export const waitingOf = async (jobId: string): Promise<Waiting[]> => {
  const all = await (await waitingStore()).ofJob(jobId);
  return all.sort((a, b) => a.order - b.order);
};

export const putWaiting = async (waiting: Waiting): Promise<void> => (await waitingStore()).put(waiting);

export const dropWaiting = async (id: string): Promise<void> => (await waitingStore()).drop(id);

/**
 * Sends what waits for a job, oldest first, and stops at the first that cannot get through. One tab at a time sends. An entry
 * whose answer was lost is sent again; the server knows its id and takes it once. A refused one stays, with the reason, until
 * the technician has seen it, and does not hold up the others.
 */
export async function flush(jobId: string): Promise<FlushReport> {
  const send = async (): Promise<FlushReport> => {
    const taken: NamedEntry[] = [];
    let asked = false;
    for (const waiting of await waitingOf(jobId)) {
      if (waiting.refusal) continue;
      asked = true;
      const answer = await post(`/jobs/${jobId}/entries`, waiting.payload);
      if ("stopped" in answer) return { taken, asked, stopped: answer.stopped };
      if ("refusal" in answer) await putWaiting({ ...waiting, refusal: answer.refusal });
      else {
        taken.push((answer.body as { entry: NamedEntry }).entry);
        await dropWaiting(waiting.id);
      }
    }
    return { taken, asked, stopped: null };
  };
  return navigator.locks ? navigator.locks.request(`harmostat-outbox-${jobId}`, send) : send();
}

type PostAnswer = { body: unknown } | { refusal: Refusal } | { stopped: Exclude<FlushReport["stopped"], null> };

/** Posts JSON; a network or server that is away is told apart from a refusal. */
export async function post(url: string, payload: object): Promise<PostAnswer> {
  let response: Response;
  try {
    response = await fetch(url, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(payload),
      signal: AbortSignal.timeout(15_000),
    });
  } catch {
    return { stopped: "no-network" };
  }
  if (response.status === 401) return { stopped: "signed-out" };
  const body = (await response.json().catch(() => null)) as { refusal?: Refusal } | null;
  if (response.status >= 500) return { stopped: body?.refusal?.code === "database-away" ? "database" : "server" };
  if (body?.refusal) return { refusal: body.refusal };
  return body ? { body } : { stopped: "server" };
}
