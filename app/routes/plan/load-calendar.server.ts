import { calendarOf } from "~/app/features/plan/calendar.server";
import { readerOf } from "~/app/features/words/reader";
import type { Person } from "~/core/records";
import type { Pool } from "~/data/postgres";
import { planPage } from "~/data/queries/plan";
import { dayIn } from "~/operations/day-in";
import type { PlanAsked } from "./asked";

/** What a calendar program takes in at once. */
const mostEvents = 2000;

/** The plan of a person's workshop as a calendar. */
export async function loadCalendar(
  { pool, person, now }: { pool: Pool; person: Person; now: Date },
  { site, hall, mine }: Pick<PlanAsked, "site" | "hall" | "mine">,
  origin: string,
): Promise<string> {
  const filter = { site, hall, personId: mine ? person.id : null, until: null };
  const items = await planPage(pool, person.workshopId, filter, null, mostEvents);
  return calendarOf(readerOf(person), items, dayIn(now, person.timeZone), origin);
}
