import { originContext, poolContext } from "~/app/session/request-context";
import { asPerson, everyRole, withDatabase } from "~/app/session/session.server";
import { whoAsksBy } from "~/operations/calendar-key";
import type { Route } from "./+types/calendar";
import { planAsked } from "./asked";
import { loadCalendar } from "./load-calendar.server";

/** The plan as a calendar: a file for who is signed in, or by a key for a program that fetches it again and again. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const key = search.get("key");
  const asked = planAsked(search);
  const origin = context.get(originContext);
  if (key === null)
    return asPerson(context, request, everyRole, async (by) => calendarFile(await loadCalendar(by, asked, origin)));
  return withDatabase(async () => {
    const pool = context.get(poolContext);
    const now = new Date();
    const who = await whoAsksBy(pool, key, now);
    if (!who) return new Response("This calendar key opens nothing.\n", { status: 404, headers: noStore });
    const by = { pool, now, person: who.person };
    return calendarFile(await loadCalendar(by, { ...asked, mine: who.mine || asked.mine }, origin));
  });
}

const noStore = { "Cache-Control": "private, no-store" };

const calendarFile = (text: string): Response =>
  new Response(text, {
    headers: {
      "Content-Type": "text/calendar; charset=utf-8",
      "Content-Disposition": 'attachment; filename="harmostat.ics"',
      ...noStore,
    },
  });
