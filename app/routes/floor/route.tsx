import { Link, redirect } from "react-router";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { PlaceHead } from "~/app/features/shell/head";
import { Search } from "~/app/features/shell/search";
import { StageCell } from "~/app/features/stage/stage-cell";
import { clockOrDay, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { FloorGroup, FloorPlace } from "~/data/queries/floor";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { loadFloor } from "./load-floor.server";
import { floorNews } from "./news";
import { scannedLabel } from "./scanned-label";

export const meta: Route.MetaFunction = () => [{ title: "Floor, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const words = (search.get("q") ?? "").trim().slice(0, 80);
  const scanned = scannedLabel(words);
  if (scanned) throw redirect(`/at/${scanned}`);
  const asked = { words, site: search.get("site"), hall: search.get("hall"), after: placeOf(search.get("after")) };
  const floor = await asPerson(context, request, everyRole, (by) => loadFloor(by, asked));
  return { ...floor, words, site: asked.site, hall: asked.hall, paged: asked.after !== null };
}

/** A place in the list, as it stands in the address: rank, id, name. */
const placeText = ({ rank, id, name }: FloorPlace): string => `${rank} ${id} ${name}`;
function placeOf(text: string | null): FloorPlace | null {
  const parts = /^(\d) ([0-9a-f-]{36}) (.*)$/s.exec(text ?? "");
  return parts?.[1] && parts[2] ? { rank: Number(parts[1]), id: parts[2], name: parts[3] ?? "" } : null;
}

export default function Floor({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { rows, groups, words, site, hall, next, now } = loaderData;
  const total = groups.reduce((sum, group) => sum + group.machines, 0);
  const filtered = words !== "" || site !== null || hall !== null;
  return (
    <>
      <PlaceHead />
      <main>
        <header className="flex flex-wrap items-center gap-x-6 gap-y-3 px-5 max-sm:px-3.5 py-4 border-b border-rule">
          <h1 className="text-3xl max-sm:text-2xl font-bold grow">{floorNews(groups)}</h1>
          {total > 0 && (
            <Search
              label="Name, tag, place, or a scanned label"
              placeholder="Name, tag, place, or scan a label"
              words={words}
              wide
              hidden={{ site, hall }}
            />
          )}
          {loaderData.mayAdd && (
            <Link to="/machines/new" className={buttonClass(total === 0 ? "now" : "line", true)}>
              Add a machine
            </Link>
          )}
        </header>
        {groups.length > 1 && <Groups groups={groups} site={site} hall={hall} words={words} />}
        {total === 0 && (
          <p className="p-5 text-lg max-w-2xl">
            No machine is entered yet. Add the first one: its name and tag are enough to begin, its stages come after.
          </p>
        )}
        {total > 0 && rows.length === 0 && (
          <p className="p-5 text-lg">
            Nothing fits {words && `“${words}”`}. <Link to="/">Show every machine</Link>.
          </p>
        )}
        <ul>
          {rows.map(({ machine, stages, reasons: [reason, ...more], due, jobs, points }) => {
            return (
              <li
                key={machine.id}
                className="grid lg:grid-cols-[15rem_minmax(0,1fr)_20rem] gap-x-6 gap-y-3 px-5 max-sm:px-3.5 py-4 border-b border-rule items-start"
              >
                <div>
                  <h2 className="text-xl font-bold">
                    <Link to={`/machines/${machine.id}`} className="text-ink min-h-11 inline-flex items-center">
                      {machine.name}
                    </Link>
                  </h2>
                  <p className="text-mid">
                    <span className="figure">{machine.tag}</span>
                    {machine.where && `, ${machine.where}`}
                  </p>
                </div>
                <div className="flex flex-wrap gap-x-9 gap-y-3">
                  {stages.map((item) => (
                    <StageCell key={item.id} {...item} />
                  ))}
                  {stages.length === 0 && loaderData.mayAdd && (
                    <Link to={`/machines/${machine.id}/stages/new`} className={buttonClass("line")}>
                      Enter its first stage
                    </Link>
                  )}
                </div>
                <div className="text-lg">
                  <p className="font-semibold">{reason}</p>
                  {jobs.map((job) => (
                    <p key={job.id} className="mt-1">
                      <Link to={`/jobs/${job.id}`} className="text-ink min-h-11 inline-flex items-center">
                        Job open since {clockOrDay(reader, job.openedAt, now)}
                        {stages.length > 1 &&
                          `, ${stages
                            .filter((item) => job.stageIds.some((id) => id === item.id))
                            .map((item) => item.name.toLowerCase())
                            .join(", ")}`}
                      </Link>
                      <span className="block text-mid text-base">
                        {job.reason}. {job.openedByName}
                      </span>
                    </p>
                  ))}
                  {more.length > 0 && (
                    <Fold look="line" className="text-base" summary={more[0]}>
                      <ul>
                        {points.map((point) => (
                          <OpenPointLine
                            key={point.id}
                            point={point}
                            where={stages.find((item) => item.id === point.stageId)?.name ?? ""}
                            now={now}
                            mayClose={loaderData.mayWork}
                          />
                        ))}
                      </ul>
                    </Fold>
                  )}
                  {due && <p className="text-base text-mid mt-1">{due}</p>}
                </div>
              </li>
            );
          })}
        </ul>
        <footer className="px-5 max-sm:px-3.5 py-5 flex flex-wrap gap-4 items-start">
          {next && (
            <Link
              to={`?${withParams({ q: words, site, hall, after: placeText(next) })}`}
              className={buttonClass("line", true)}
            >
              Further machines
            </Link>
          )}
          {(loaderData.paged || filtered) && (
            <Link to="/" className={buttonClass("quiet", true)}>
              From the top
            </Link>
          )}
          {loaderData.retired.length > 0 && !filtered && !loaderData.paged && (
            <Fold look="line" className="grow" summary={`Out of service: ${loaderData.retired.length}`}>
              <ul>
                {loaderData.retired.map((machine) => (
                  <li key={machine.id}>
                    <Link to={`/machines/${machine.id}`} className="min-h-11 inline-flex items-center text-ink">
                      {machine.name}, {machine.tag}
                    </Link>
                    {machine.retiredAt && <span className="text-mid">, since {day(reader, machine.retiredAt)}</span>}
                  </li>
                ))}
              </ul>
            </Fold>
          )}
        </footer>
      </main>
    </>
  );
}

const withParams = (params: Record<string, string | null>): string => {
  const search = new URLSearchParams();
  for (const [name, value] of Object.entries(params)) if (value) search.set(name, value);
  return search.toString();
};

/** Halls with how they stand: the way in when there are hundreds of machines. */
function Groups({
  groups,
  site,
  hall,
  words,
}: {
  groups: readonly FloorGroup[];
  site: string | null;
  hall: string | null;
  words: string;
}) {
  const sites = [...new Set(groups.map((group) => group.site))];
  return (
    <nav aria-label="Sites and halls" className="border-b border-rule bg-panel px-5 max-sm:px-3.5 py-2 overflow-x-auto">
      <ul className="flex gap-x-8 gap-y-1 flex-wrap max-h-44 overflow-y-auto">
        {sites.map((name) => (
          <li key={name} className="flex flex-wrap gap-x-4 items-center">
            {sites.length > 1 && (
              <Link
                to={`/?${withParams({ q: words, site: name })}`}
                aria-current={site === name && hall === null ? "true" : undefined}
                className="font-bold text-ink min-h-11 inline-flex items-center aria-[current]:no-underline"
              >
                {name || "No site"}
              </Link>
            )}
            {groups
              .filter((group) => group.site === name)
              .map((group) => {
                const here = site === group.site && hall === group.hall;
                return (
                  <Link
                    key={group.hall}
                    to={`/?${withParams({ q: words, ...(here ? {} : { site: group.site, hall: group.hall }) })}`}
                    aria-current={here ? "true" : undefined}
                    className={`text-ink min-h-11 inline-flex items-center gap-2 ${here ? "font-bold no-underline shadow-[inset_0_-4px_0_var(--room-ink)]" : ""}`}
                  >
                    {group.hall || "no hall"} <span className="figure text-mid">{group.machines}</span>
                    {group.outside > 0 && <span className="text-outside font-semibold">{group.outside} outside</span>}
                    {group.near > 0 && <span className="text-near font-semibold">{group.near} near</span>}
                  </Link>
                );
              })}
          </li>
        ))}
      </ul>
    </nav>
  );
}
