import { personHeader } from "~/app/session/person-header";
import type { Refusal } from "~/core/quantity";
import { type Waiting, waitingStore } from "./waiting-store";

/** Why the rest still waits; null when nothing does. */
export type Stopped = "no-network" | "server" | "database" | "signed-out" | "other-person" | null;
export type Taken = { waiting: Waiting; body: unknown };
export type FlushReport = {
  taken: Taken[];
  /** Whether the server was spoken to at all: with nothing to send it was not, and nothing is known of it. */
  asked: boolean;
  stopped: Stopped;
};

/** Everything that waits on this tablet, in the order in which it was made. */
export const allWaiting = async (): Promise<Waiting[]> =>
  (await (await waitingStore()).all()).sort((a, b) => a.order - b.order);

export const putWaiting = async (waiting: Waiting): Promise<void> => (await waitingStore()).put(waiting);
export const addWaiting = async (item: Omit<Waiting, "order">): Promise<Waiting> => (await waitingStore()).add(item);
export const dropWaiting = async (id: string): Promise<void> => (await waitingStore()).drop(id);

/** One that the server breaks over so often steps aside: a person looks at it. */
const mostFailures = 3;

/**
 * Sends what waits of a person, in the order in which it was made, and stops at the first that cannot get through. One tab at a time sends. What
 * lost its answer is sent again; the server knows its id and takes it once. A refused one stays, with the reason, until a person
 * has seen it, and does not hold up the others. Nothing of a job goes before its opening, whoever made that; a signature goes only when everything
 * before it in its job was taken. One over which the server breaks lets other jobs pass, and after a few times its own as well.
 */
export async function flush(personId: string): Promise<FlushReport> {
  const send = async (): Promise<FlushReport> => {
    const taken: Taken[] = [];
    const left = await allWaiting();
    const brokeOver = new Set<string>();
    let asked = false;
    for (const waiting of [...left]) {
      if (waiting.personId !== personId || waiting.refusal || waiting.unproven) continue;
      if (brokeOver.has(waiting.jobId) || waitsForOthers(waiting, left)) continue;
      asked = true;
      const answer = await postWaiting(waiting);
      if ("stopped" in answer && answer.stopped !== "server") return { taken, asked, stopped: answer.stopped };
      if ("stopped" in answer) {
        const failures = (waiting.failures ?? 0) + 1;
        const aside: Refusal = { code: "went-wrong", path: [], facts: {} };
        await replace(left, { ...waiting, failures, ...(failures < mostFailures ? {} : { refusal: aside }) });
        if (failures < mostFailures) brokeOver.add(waiting.jobId);
      } else if ("refusal" in answer) {
        const { refusal } = answer;
        await replace(
          left,
          refusal.code === "signature-unproven" ? { ...waiting, unproven: true } : { ...waiting, refusal },
        );
      } else {
        taken.push({ waiting, body: answer.body });
        left.splice(left.indexOf(waiting), 1);
        await dropWaiting(waiting.id);
      }
    }
    return { taken, asked, stopped: brokeOver.size > 0 ? "server" : null };
  };
  return navigator.locks ? navigator.locks.request("harmostat-outbox", send) : send();
}

async function replace(left: Waiting[], waiting: Waiting): Promise<void> {
  left[left.findIndex(({ id }) => id === waiting.id)] = waiting;
  // Without room for the note what was kept before stays, and is tried again.
  await putWaiting(waiting).catch(() => undefined);
}

const opens = ({ kind }: Waiting["payload"]): boolean => kind === "job-opened";

/** Whether something has to be taken first: the opening of its job, or, for a signature, everything before it. */
export const waitsForOthers = (waiting: Waiting, all: readonly Waiting[]): boolean =>
  all.some(
    (other) =>
      other.id !== waiting.id &&
      other.jobId !== "" &&
      other.jobId === waiting.jobId &&
      ((opens(other.payload) && !opens(waiting.payload)) ||
        (waiting.payload.kind === "signature" && other.order < waiting.order)),
  );

type PostAnswer = { body: unknown } | { refusal: Refusal } | { stopped: Exclude<Stopped, null> };

/** Sends one that waits, as whose it is. `secret` goes with it and is kept nowhere. */
export function postWaiting(waiting: Waiting, secret?: string): Promise<PostAnswer> {
  const url = waiting.url ?? `/jobs/${waiting.jobId}/entries`;
  const sent = { ...waiting.payload, sentAt: new Date().toISOString() };
  return waiting.file
    ? postFile(url, sent, waiting.file, waiting.personId ?? "")
    : post(url, secret === undefined ? sent : { ...sent, secret }, waiting.personId);
}

/** Posts JSON; a network or server that is away is told apart from a refusal. Without a person it goes as whose page it is. */
export const post = (url: string, payload: object, personId?: string): Promise<PostAnswer> =>
  answerTo(url, {
    headers: { "Content-Type": "application/json", ...(personId ? { [personHeader]: personId } : {}) },
    body: JSON.stringify(payload),
  });

function postFile(url: string, fields: Waiting["payload"] & { sentAt: string }, file: Blob, personId: string) {
  const body = new FormData();
  for (const [name, value] of Object.entries(fields)) if (typeof value === "string") body.set(name, value);
  body.set("file", file, String(fields.name ?? "file"));
  return answerTo(url, { headers: { [personHeader]: personId }, body }, 120_000);
}

async function answerTo(url: string, init: RequestInit, patienceMs = 15_000): Promise<PostAnswer> {
  let response: Response;
  try {
    response = await fetch(url, { method: "POST", signal: AbortSignal.timeout(patienceMs), ...init });
  } catch {
    return { stopped: "no-network" };
  }
  if (response.status === 401) return { stopped: "signed-out" };
  const body = (await response.json().catch(() => null)) as { refusal?: Refusal } | null;
  const code = body?.refusal?.code;
  if (code === "other-person") return { stopped: "other-person" };
  // Busy, or too much at once: the same a moment later.
  if (response.status === 429 || response.status === 502 || response.status === 503 || response.status === 504)
    return { stopped: "database" };
  if (response.status >= 500) return { stopped: "server" };
  if (body?.refusal) return { refusal: body.refusal };
  return body ? { body } : { stopped: "server" };
}
