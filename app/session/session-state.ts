import type { OpenSession } from "~/data/queries/sessions";

/** A working day: after it everybody signs in anew (OWASP ASVS 4, 3.3.2: twelve hours). */
export const dayMs = 12 * 3_600_000;
/** Half an hour without a request of the person's own, and the PIN or password is asked (the same). */
export const idleMs = 30 * 60_000;
/** When a session was last used is noted no oftener than this. */
export const seenEveryMs = 60_000;

/** Who asks: somebody signed in, somebody who was away too long and has only to show that it is they, or nobody. */
export type SessionState =
  | { is: "open"; session: OpenSession }
  | { is: "resting"; session: OpenSession }
  | { is: "none" };

export function stateOf(session: OpenSession | null, now: Date): SessionState {
  if (session === null) return { is: "none" };
  return { is: now.getTime() - session.seenAt.getTime() > idleMs ? "resting" : "open", session };
}
