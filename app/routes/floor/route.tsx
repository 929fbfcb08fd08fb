import { Link, redirect } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { Search } from "~/app/features/shell/search";
import { day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { FloorPlace } from "~/data/queries/floor";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { Groups } from "./groups";
import { loadFloor } from "./load-floor.server";
import { MachineRow } from "./machine-row";
import { floorNews } from "./news";
import { scannedLabel } from "./scanned-label";
import { withParams } from "./with-params";

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
  const { rows, groups, words, site, hall, now } = loaderData;
  const total = groups.reduce((sum, group) => sum + group.machines, 0);
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
          {rows.map((row) => (
            <MachineRow key={row.machine.id} row={row} now={now} allowed={loaderData} />
          ))}
        </ul>
        <Foot {...loaderData} />
      </main>
    </>
  );
}

/** On through the list, back to its beginning, and what is out of service. */
function Foot({ next, words, site, hall, paged, retired }: Route.ComponentProps["loaderData"]) {
  const reader = useWords();
  const whole = words === "" && site === null && hall === null && !paged;
  return (
    <footer className="px-5 max-sm:px-3.5 py-5 flex flex-wrap gap-4 items-start">
      {next && (
        <Link
          to={`?${withParams({ q: words, site, hall, after: placeText(next) })}`}
          className={buttonClass("line", true)}
        >
          Further machines
        </Link>
      )}
      {!whole && (
        <Link to="/" className={buttonClass("quiet", true)}>
          From the top
        </Link>
      )}
      {retired.length > 0 && whole && (
        <Fold look="line" className="grow" summary={`Out of service: ${retired.length}`}>
          <ul>
            {retired.map((machine) => (
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
  );
}
