import { Link } from "react-router";
import { DueLine } from "~/app/features/plan/due-line";
import { kitKindWords, kitLineWords } from "~/app/features/plan/kit-needs";
import { PlaceHead } from "~/app/features/shell/head";
import { capital, countWords } from "~/app/features/words/count";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { kitKinds } from "~/core/plan";
import { Button, buttonClass } from "~/ui/button";
import type { Route } from "./+types/walk";
import { planAddress, planAsked } from "./asked";
import { loadWalk } from "./load-walk.server";

export const meta: Route.MetaFunction = () => [{ title: "Walk, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const days = search.get("days");
  return asPerson(context, request, everyRole, (by) =>
    loadWalk(by, planAsked(search), days === null ? null : Number(days)),
  );
}

const daysWords: Record<number, string> = { 0: "Until today", 7: "A week ahead", 30: "Thirty days ahead" };

/** The way through the halls, machine by machine, with what is due at each; beside it what to take along. */
export default function Walk({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { walk, kit, days, asked, today, people, points, unread } = loaderData;
  const stops = walk.reduce((sum, hall) => sum + hall.stops.length, 0);
  const address = planAddress({ ...asked, after: null });
  const withDays = (n: number) => `${address}${address === "?" ? "" : "&"}days=${n}`;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header className="flex flex-wrap gap-x-6 gap-y-3 items-end justify-between">
          <h1 className="text-3xl max-sm:text-2xl font-bold">
            {stops === 0
              ? "Nothing is due on the way"
              : `${capital(countWords(stops))} ${stops === 1 ? "machine" : "machines"} on the way`}
          </h1>
          <p className="flex flex-wrap gap-3 print:hidden">
            <Button kind="line" large onClick={() => window.print()}>
              Print it
            </Button>
            <Link to={`/plan${address}`} className={buttonClass("quiet", true)}>
              The plan
            </Link>
          </p>
        </header>
        <nav aria-label="How far ahead" className="flex flex-wrap gap-2 print:hidden">
          {Object.entries(daysWords).map(([n, words]) => (
            <Link
              key={n}
              to={withDays(Number(n))}
              aria-current={Number(n) === days ? "true" : undefined}
              className={buttonClass(Number(n) === days ? "solid" : "line")}
            >
              {words}
            </Link>
          ))}
        </nav>
        <div className="grid xl:grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-x-12 gap-y-8">
          <div className="grid gap-7 content-start min-w-0">
            {walk.map(({ site, hall, stops: inHall }) => (
              <section key={`${site} ${hall}`} aria-label={[site, hall].filter(Boolean).join(", ") || "No hall said"}>
                <h2 className="text-2xl font-bold mb-2">{[site, hall].filter(Boolean).join(", ") || "No hall said"}</h2>
                <ol className="grid gap-5">
                  {inHall.map(({ machine, items }) => {
                    const open = points.filter((id) => id === machine.id).length;
                    return (
                      <li key={machine.id}>
                        <h3 className="text-xl font-bold">
                          <Link to={`/machines/${machine.id}`} className="text-ink">
                            {machine.name}, {machine.tag}
                          </Link>
                          {machine.place && <span className="font-normal text-mid">, {machine.place}</span>}
                        </h3>
                        <ul>
                          {items.map((item) => (
                            <DueLine
                              key={`${item.kind} ${item.key}`}
                              item={item}
                              today={today}
                              people={people}
                              atMachine
                            />
                          ))}
                        </ul>
                        {open > 0 && (
                          <p className="text-mid">
                            {capital(countWords(open))} open {open === 1 ? "point" : "points"} on its page
                          </p>
                        )}
                      </li>
                    );
                  })}
                </ol>
              </section>
            ))}
            {stops === 0 && <p className="text-lg">Look further ahead, or at another hall.</p>}
            {loaderData.cut && <p className="text-lg">More is due than one walk holds: the first of it stands here.</p>}
          </div>
          {stops > 0 && (
            <section aria-labelledby="kit" className="grid gap-4 content-start">
              <h2 id="kit" className="text-2xl font-bold">
                Take along
              </h2>
              {kitKinds.flatMap((kind) => {
                const lines = kit.filter((line) => line.kind === kind);
                return lines.length === 0
                  ? []
                  : [
                      <div key={kind}>
                        <h3 className="font-bold">{kitKindWords[kind]}</h3>
                        <ul className="text-lg">
                          {lines.map((line) => {
                            const { what, of } = kitLineWords(reader, line);
                            return (
                              <li key={what} className="border-t border-rule py-1.5">
                                {what}
                                <span className="block text-mid text-base">{of}</span>
                              </li>
                            );
                          })}
                        </ul>
                      </div>,
                    ];
              })}
              {unread > 0 && (
                <p className="text-mid">
                  With what to read {countWords(unread)} of the stages is not known: nobody has read{" "}
                  {unread === 1 ? "it" : "them"} yet.
                </p>
              )}
              <p className="text-mid">
                From what was entered of these stages and done on them last. Locks, lamps and rags are not on it.
              </p>
            </section>
          )}
        </div>
      </main>
    </>
  );
}
