/** Why what a form sent has not gone yet. */
export type Held = "no-network" | "database";

let held: Held | null = null;
let passing = 0;
const listeners = new Set<() => void>();
/** A write that is held, and what lets it try again. */
type Turn = { go: () => void };
const waiting = new Set<Turn>();
const againMs = 4000;

export const heldNow = (): Held | null => held;
export function onHeld(listener: () => void): () => void {
  listeners.add(listener);
  return () => {
    listeners.delete(listener);
  };
}

/** Whoever does without the server if it is away: what is sent meanwhile fails at once. */
export async function failingAtOnce<T>(send: () => Promise<T>): Promise<T> {
  passing += 1;
  try {
    return await send();
  } finally {
    passing -= 1;
  }
}

/** What is held is tried now. */
export function sendHeld(): void {
  for (const { go } of waiting) go();
}

/**
 * Sends what a form writes until a server takes or refuses it: without a network, or while its logbook is away, it is held with everything
 * typed in its place, and tried again every few seconds, when the network comes back, and when a person asks for it.
 */
export async function untilTaken(send: () => Promise<Response>, signal?: AbortSignal | null): Promise<Response> {
  const atOnce = passing > 0;
  const me: Turn = { go: () => {} };
  try {
    for (;;) {
      const answer = await send().catch((error: unknown): Held => {
        if (atOnce || signal?.aborted || !(error instanceof TypeError)) throw error;
        return "no-network";
      });
      const why = answer instanceof Response ? (isAway(answer) ? "database" : null) : answer;
      if (answer instanceof Response && (why === null || atOnce)) return answer;
      waiting.add(me);
      tell(why);
      await nextTurn(me, signal);
      signal?.throwIfAborted();
    }
  } finally {
    if (waiting.delete(me) && waiting.size === 0) tell(null);
  }
}

const isAway = ({ status }: Response): boolean => [502, 503, 504].includes(status);

/** Until a person asks, some seconds are gone, the network comes back or the write is broken off; then nothing listens any more. */
const nextTurn = (me: Turn, signal?: AbortSignal | null): Promise<void> =>
  new Promise((done) => {
    const turn = new AbortController();
    me.go = () => {
      clearTimeout(timer);
      turn.abort();
      done();
    };
    const timer = setTimeout(() => me.go(), againMs);
    signal?.addEventListener("abort", () => me.go(), { signal: turn.signal });
    window.addEventListener("online", () => me.go(), { signal: turn.signal });
  });

function tell(why: Held | null): void {
  held = why;
  for (const listener of listeners) listener();
}
