import { Link, useNavigate } from "react-router";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { DueLine } from "~/app/features/plan/due-line";
import { planNews, whenWords } from "~/app/features/plan/due-words";
import { PlaceHead } from "~/app/features/shell/head";
import { asPerson, everyRole } from "~/app/session/session.server";
import { buttonClass } from "~/ui/button";
import { BareSelect } from "~/ui/field";
import type { Route } from "./+types/route";
import { planAddress, planAsked } from "./asked";
import { loadPlan } from "./load-plan.server";

export const meta: Route.MetaFunction = () => [{ title: "Plan, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const asked = planAsked(new URL(request.url).searchParams);
  return asPerson(context, request, everyRole, (by) => loadPlan(by, asked));
}

/** What falls due, the first day first: what to do today and whose it is; the walk that sees to it; the same for a calendar. */
export default function Plan({ loaderData }: Route.ComponentProps) {
  const { groups, counts, halls, asked, today, people, points, now } = loaderData;
  const navigate = useNavigate();
  const of = (part: Partial<typeof asked>) => planAddress({ ...asked, after: null, ...part });
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header className="flex flex-wrap gap-x-6 gap-y-3 items-end justify-between">
          <h1 className="text-3xl max-sm:text-2xl font-bold">{planNews(counts)}</h1>
          <p className="flex flex-wrap gap-3">
            <Link to={`/plan/walk${of({})}`} className={buttonClass("now", true)}>
              Walk it
            </Link>
            <a href={`/calendar.ics${of({})}`} download className={buttonClass("line", true)}>
              Calendar file
            </a>
            <Link to="/account#calendar" className={buttonClass("quiet", true)}>
              In your calendar program
            </Link>
          </p>
        </header>
        <nav aria-label="What is shown" className="flex flex-wrap gap-2">
          <Shown to={of({ mine: false })} on={!asked.mine}>
            Everybody’s
          </Shown>
          <Shown to={of({ mine: true })} on={asked.mine}>
            Yours
          </Shown>
          {halls.length > 1 && (
            <BareSelect
              label="Hall"
              value={String(halls.findIndex(({ site, hall }) => hall === asked.hall && site === asked.site))}
              onChange={(event) => navigate(`/plan${of(halls[Number(event.target.value)] ?? everyHall)}`)}
            >
              <option value="-1">Every hall</option>
              {halls.map(({ site, hall }, i) => (
                <option key={`${site} ${hall}`} value={i}>
                  {[site, hall].filter(Boolean).join(", ")}
                </option>
              ))}
            </BareSelect>
          )}
        </nav>
        {groups.map(({ when, items }) => (
          <section key={when} aria-labelledby={`when-${when}`}>
            <h2 id={`when-${when}`} className="text-xl font-bold mb-1">
              {whenWords[when]}
            </h2>
            <ul>
              {items.map((item) => (
                <DueLine key={`${item.kind} ${item.key}`} item={item} today={today} people={people} />
              ))}
            </ul>
          </section>
        ))}
        {groups.length === 0 && (
          <p className="text-lg">
            {asked.mine || asked.hall
              ? "Nothing of what you asked for has a day."
              : "A signature, a stage’s page, a grease list, a trend or an instrument’s calibration sets a day; none has so far."}
          </p>
        )}
        <p className="flex gap-3">
          {loaderData.next && (
            <Link to={planAddress({ ...asked, after: loaderData.next })} className={buttonClass("line")}>
              Later days
            </Link>
          )}
          {asked.after && (
            <Link to={of({})} className={buttonClass("quiet")}>
              From the first
            </Link>
          )}
        </p>
        {points.length > 0 && (
          <section aria-labelledby="undated">
            <h2 id="undated" className="text-xl font-bold mb-1">
              Open, without a day
            </h2>
            <ul>
              {points.map((point) => (
                <OpenPointLine
                  key={point.id}
                  point={point}
                  where={[point.machineName, point.stageName].filter(Boolean).join(", ")}
                  to={`/machines/${point.machineId}`}
                  now={now}
                  mayClose={loaderData.mayWork}
                />
              ))}
            </ul>
            {loaderData.morePoints && <Link to="/jobs">All open points</Link>}
          </section>
        )}
      </main>
    </>
  );
}

const everyHall = { site: null, hall: null };

function Shown({ to, on, children }: { to: string; on: boolean; children: React.ReactNode }) {
  return (
    <Link to={to} aria-current={on ? "true" : undefined} className={buttonClass(on ? "solid" : "line")}>
      {children}
    </Link>
  );
}
