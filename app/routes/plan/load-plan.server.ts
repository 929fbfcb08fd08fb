import { whenDue, whens } from "~/core/plan";
import { openPointsOfWorkshop } from "~/data/queries/open-points";
import { accountsOfWorkshop } from "~/data/queries/people";
import { hallsOfWorkshop, planCounts, planPage } from "~/data/queries/plan";
import { type Context, mayWork } from "~/operations/context";
import { dayIn } from "~/operations/day-in";
import type { PlanAsked } from "./asked";

const pageSize = 60;
/** Points without a day that stand under a plan; all of them are on the page of jobs. */
const pointsShown = 12;

/** Those who do jobs and are here, for whom work can be meant. */
export const workersOf = async ({ pool, person }: Pick<Context, "pool" | "person">) =>
  mayWork.includes(person.role)
    ? (await accountsOfWorkshop(pool, person.workshopId))
        .filter(({ role, leftAt }) => leftAt === null && mayWork.includes(role))
        .map(({ id, name }) => ({ id, name }))
    : [];

/** What falls due in the workshop, by how near it is, with what has no day under it. */
export async function loadPlan(context: Context, asked: PlanAsked) {
  const { pool, person, now } = context;
  const today = dayIn(now, person.timeZone);
  const filter = { site: asked.site, hall: asked.hall, personId: asked.mine ? person.id : null, until: null };
  const [items, [counts], halls, people, points] = await Promise.all([
    planPage(pool, person.workshopId, filter, asked.after, pageSize + 1),
    planCounts(pool, person.workshopId, filter, today),
    hallsOfWorkshop(pool, person.workshopId),
    workersOf(context),
    openPointsOfWorkshop(pool, person.workshopId, null, pointsShown + 1),
  ]);
  const shown = items.slice(0, pageSize);
  const last = shown[shown.length - 1];
  return {
    groups: whens.flatMap((when) => {
      const inIt = shown.filter(({ on }) => whenDue(today, on) === when);
      return inIt.length > 0 ? [{ when, items: inIt }] : [];
    }),
    counts: counts ?? { passed: 0, today: 0, ahead: 0 },
    next: items.length > pageSize && last?.on ? { on: last.on, kind: last.kind, key: last.key } : null,
    halls: halls.filter(({ hall }) => hall !== ""),
    people,
    // Whoever looks for one hall, or for their own, is not shown everybody's.
    points:
      asked.after || asked.mine || asked.hall ? [] : points.slice(0, pointsShown).filter(({ dueOn }) => dueOn === null),
    morePoints: points.length > pointsShown,
    asked,
    today,
    now: now.toISOString(),
    mayWork: mayWork.includes(person.role),
  };
}
