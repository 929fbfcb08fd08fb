import { Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { StageCell } from "~/app/features/stage/stage-cell";
import { clockOrDay } from "~/app/features/words/times";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/route";
import { loadFloor } from "./load-floor.server";
import { floorNews, machineReason } from "./news";

export const meta: Route.MetaFunction = () => [{ title: "Floor, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  return asPerson(context, request, everyRole, loadFloor);
}

export default function Floor({ loaderData }: Route.ComponentProps) {
  const { rows, timeZone, now } = loaderData;
  const stageCount = rows.reduce((sum, row) => sum + row.stages.length, 0);
  return (
    <>
      <PlaceHead />
      <main>
        <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 px-5 max-sm:px-3.5 py-5 border-b border-rule">
          <h1 className="text-3xl max-sm:text-2xl font-bold">{floorNews(rows)}</h1>
          <p className="text-mid">
            {rows.length} {rows.length === 1 ? "machine" : "machines"}, {stageCount}{" "}
            {stageCount === 1 ? "stage" : "stages"}
          </p>
        </header>
        {rows.length === 0 && (
          <p className="p-5 text-lg max-w-2xl">
            No machine is entered yet. Start once without <code>--empty</code> in a fresh folder to look around in the
            demo.
          </p>
        )}
        <ul>
          {rows.map(({ machine, stages, jobs }) => (
            <li
              key={machine.id}
              className="grid lg:grid-cols-[15rem_minmax(0,1fr)_19rem] gap-x-6 gap-y-3 px-5 max-sm:px-3.5 py-5 border-b border-rule items-start"
            >
              <div>
                <h2 className="text-xl font-bold">
                  <Link to={`/machines/${machine.id}`} className="text-ink min-h-11 inline-flex items-center">
                    {machine.name}
                  </Link>
                </h2>
                <p className="text-mid">
                  <span className="figure">{machine.tag}</span>, {machine.place}
                </p>
              </div>
              <div className="flex flex-wrap gap-x-9 gap-y-4">
                {stages.map((item) => (
                  <StageCell key={item.stage.id} {...item} />
                ))}
              </div>
              <div className="text-lg">
                <p className="font-semibold">{machineReason(stages)}</p>
                {jobs.map((job) => (
                  <p key={job.id} className="mt-1">
                    <Link to={`/jobs/${job.id}`} className="text-ink min-h-11 inline-flex items-center">
                      Job open since {clockOrDay(job.openedAt, timeZone, now)},{" "}
                      {stages.find((item) => item.stage.id === job.stageIds[0])?.stage.name.toLowerCase()}
                    </Link>
                    <span className="block text-mid text-base">
                      {job.reason}. {job.openedByName}
                    </span>
                  </p>
                ))}
              </div>
            </li>
          ))}
        </ul>
      </main>
    </>
  );
}
