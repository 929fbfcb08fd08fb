import { data, Link, redirect } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { Scan } from "~/app/features/shell/scan";
import { scannedLabel } from "~/app/features/shell/scanned-label";
import { Search } from "~/app/features/shell/search";
import { day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { FloorPlace } from "~/data/queries/floor";
import { buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { floorAddress, floorAsked, isNothing, nothingAsked } from "./asked";
import { FirstSteps } from "./first-steps";
import { loadFloor } from "./load-floor.server";
import { MachineRow } from "./machine-row";
import { Narrow } from "./narrow";
import { floorNews } from "./news";
import { rememberedFloor, rememberFloor } from "./remembered.server";
import { StateStrip } from "./state-strip";

export const meta: Route.MetaFunction = () => [{ title: "Floor, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const asked = floorAsked(search);
  const scanned = scannedLabel(asked.words);
  if (scanned) throw redirect(`/at/${scanned}`);
  const after = placeOf(search.get("after"));
  return asPerson(context, request, everyRole, async (by) => {
    const came = isNothing(asked) && after === null;
    if (came && !search.has("all")) {
      const before = await rememberedFloor(request, by.person.id);
      if (before) throw redirect(before);
    }
    const floor = await loadFloor(by, asked, after);
    const headers = { "Set-Cookie": await rememberFloor(asked, by.person.id) };
    const shown = { ...floor, asked, paged: after !== null };
    return came && !search.has("all") ? data(shown) : data(shown, { headers });
  });
}

/** A place in the list, as it stands in the address: rank, id, name. */
const placeText = ({ rank, id, name }: FloorPlace): string => `${rank} ${id} ${name}`;
function placeOf(text: string | null): FloorPlace | null {
  const parts = /^(\d) ([0-9a-f-]{36}) (.*)$/s.exec(text ?? "");
  return parts?.[1] && parts[2] ? { rank: Number(parts[1]), id: parts[2], name: parts[3] ?? "" } : null;
}

export default function Floor({ loaderData }: Route.ComponentProps) {
  const { rows, groups, asked, now } = loaderData;
  const { words } = asked;
  const total = groups.reduce((sum, group) => sum + group.machines, 0);
  return (
    <>
      <PlaceHead />
      <main>
        <header className="flex flex-wrap items-center gap-x-6 gap-y-2 px-5 max-sm:px-3.5 py-3">
          <h1 className="text-3xl max-sm:text-2xl font-bold grow">{floorNews(groups)}</h1>
          {total > 0 && (
            <Search
              label="Name, tag, place, or a scanned label"
              placeholder="Name, tag, place, or scan a label"
              words={words}
              wide
              hidden={{
                site: asked.site,
                hall: asked.hall,
                kind: asked.kind,
                state: asked.state,
                mine: asked.mine ? "yes" : null,
              }}
            >
              <Scan />
            </Search>
          )}
        </header>
        {total > 0 && (
          <div className="bg-panel border-y border-rule px-3 max-sm:px-1 flex flex-wrap gap-x-6 items-start">
            <StateStrip fitting={loaderData.fitting} asked={asked} />
            <Narrow groups={groups} kinds={loaderData.kinds} asked={asked} />
            {!isNothing(asked) && (
              <Link to={floorAddress(nothingAsked)} className="min-h-11 px-2 inline-flex items-center text-ink">
                Show every machine
              </Link>
            )}
            {loaderData.mayAdd && (
              <Link to="/machines/new" className="min-h-11 px-2 ml-auto inline-flex items-center text-ink">
                Add a machine
              </Link>
            )}
          </div>
        )}
        {total === 0 && <FirstSteps mayAdd={loaderData.mayAdd} />}
        {total > 0 && rows.length === 0 && <p className="p-5 text-lg">Nothing fits {words && `“${words}”`}.</p>}
        <ul aria-label="Machines">
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
function Foot({ next, asked, paged, retired }: Route.ComponentProps["loaderData"]) {
  const reader = useWords();
  const whole = isNothing(asked) && !paged;
  return (
    <footer className="px-5 max-sm:px-3.5 py-5 flex flex-wrap gap-4 items-start">
      {next && (
        <Link to={floorAddress(asked, placeText(next))} className={buttonClass("line", true)}>
          Further machines
        </Link>
      )}
      {paged && (
        <Link to={floorAddress(asked)} className={buttonClass("quiet", true)}>
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
