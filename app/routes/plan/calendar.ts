import { calendarOf } from "~/app/features/plan/calendar.server";
import { readerOf } from "~/app/features/words/reader";
import { originContext, poolContext } from "~/app/session/request-context";
import { asPerson, everyRole, withDatabase } from "~/app/session/session.server";
import type { Person } from "~/core/records";
import { planPage } from "~/data/queries/plan";
import { whoAsksBy } from "~/operations/calendar-key";
import type { Context } from "~/operations/context";
import { dayIn } from "~/operations/day-in";
import type { Route } from "./+types/calendar";
import { planAsked } from "./asked";

/** What a calendar program takes in at once. */
const mostEvents = 2000;

/** The plan as a calendar: a file for who is signed in, or by a key for a program that fetches it again and again. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const key = search.get("key");
  const asked = planAsked(search);
  const origin = context.get(originContext);
  const answer = async (by: Pick<Context, "pool" | "now"> & { person: Person }, mine: boolean) => {
    const filter = { site: asked.site, hall: asked.hall, personId: mine ? by.person.id : null, until: null };
    const items = await planPage(by.pool, by.person.workshopId, filter, null, mostEvents);
    const today = dayIn(by.now, by.person.timeZone);
    return new Response(calendarOf(readerOf(by.person), items, today, origin), {
      headers: {
        "Content-Type": "text/calendar; charset=utf-8",
        "Content-Disposition": 'attachment; filename="harmostat.ics"',
        "Cache-Control": "private, no-store",
      },
    });
  };
  if (key === null) return asPerson(context, request, everyRole, (by) => answer(by, asked.mine));
  return withDatabase(async () => {
    const pool = context.get(poolContext);
    const now = new Date();
    const who = await whoAsksBy(pool, key, now);
    if (!who)
      return new Response("This calendar key opens nothing.\n", {
        status: 404,
        headers: { "Cache-Control": "no-store" },
      });
    return answer({ pool, now, person: who.person }, who.mine || asked.mine);
  });
}
