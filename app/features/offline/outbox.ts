import type { Refusal } from "~/core/quantity";
import { type Waiting, waitingStore } from "./waiting-store";

/** Why the rest still waits; null when nothing does. */
export type Stopped = "no-network" | "server" | "database" | "signed-out" | null;
export type Taken = { waiting: Waiting; body: unknown };
export type FlushReport = {
  taken: Taken[];
  /** Whether the server was spoken to at all: with nothing to send it was not, and nothing is known of it. */
  asked: boolean;
  stopped: Stopped;
};

/** Everything that waits on this tablet, oldest first. */
export const allWaiting = async (): Promise<Waiting[]> =>
  (await (await waitingStore()).all()).sort((a, b) => a.order - b.order);

export const putWaiting = async (waiting: Waiting): Promise<void> => (await waitingStore()).put(waiting);
export const dropWaiting = async (id: string): Promise<void> => (await waitingStore()).drop(id);

/**
 * Sends what waits of a person, oldest first, and stops at the first that cannot get through. One tab at a time sends. What
 * lost its answer is sent again; the server knows its id and takes it once. A refused one stays, with the reason, until a person
 * has seen it, and does not hold up the others, except that nothing of a job goes whose opening was refused.
 */
export async function flush(personId: string): Promise<FlushReport> {
  const send = async (): Promise<FlushReport> => {
    const taken: Taken[] = [];
    const all = (await allWaiting()).filter((waiting) => !waiting.personId || waiting.personId === personId);
    const neverOpened = new Set(
      all.flatMap(({ refusal, payload, jobId }) => (refusal && opens(payload) ? [jobId] : [])),
    );
    let asked = false;
    for (const waiting of all) {
      if (waiting.refusal || neverOpened.has(waiting.jobId)) continue;
      asked = true;
      const url = waiting.url ?? `/jobs/${waiting.jobId}/entries`;
      const answer = await post(url, { ...waiting.payload, sentAt: new Date().toISOString() });
      if ("stopped" in answer) return { taken, asked, stopped: answer.stopped };
      if ("refusal" in answer) {
        await putWaiting({ ...waiting, refusal: answer.refusal });
        if (opens(waiting.payload)) neverOpened.add(waiting.jobId);
      } else {
        taken.push({ waiting, body: answer.body });
        await dropWaiting(waiting.id);
      }
    }
    return { taken, asked, stopped: null };
  };
  return navigator.locks ? navigator.locks.request("harmostat-outbox", send) : send();
}

const opens = ({ kind }: Waiting["payload"]): boolean => kind === "job-opened";

type PostAnswer = { body: unknown } | { refusal: Refusal } | { stopped: Exclude<Stopped, null> };

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
