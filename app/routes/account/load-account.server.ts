import { calendarKeyOf } from "~/data/queries/calendar-keys";
import { peopleWithPin } from "~/data/queries/people";
import { sessionsOf } from "~/data/queries/sessions";
import type { Context } from "~/operations/context";
import { sessionName } from "~/operations/own-account";

export const peopleAtHand = ({ pool, person }: Context) => peopleWithPin(pool, person.workshopId);

/** One's own account: what one prefers, and where one is signed in. */
export async function loadAccount({ pool, person, now, how, shared }: Context, sessionId: string) {
  const [sessions, withPin, calendar] = await Promise.all([
    sessionsOf(pool, person.id, now),
    peopleWithPin(pool, person.workshopId),
    calendarKeyOf(pool, person.id),
  ]);
  return {
    calendar,
    name: person.name,
    role: person.role,
    now: now.toISOString(),
    preferences: person.preferences,
    byPin: how === "pin",
    shared: shared === true,
    hasPin: withPin.some(({ id }) => id === person.id),
    sessions: sessions.map(({ id, ...session }) => ({ ...session, name: sessionName(id), here: id === sessionId })),
  };
}
