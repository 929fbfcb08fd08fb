import { isRouteErrorResponse, Link } from "react-router";
import { NoInstrument } from "~/app/features/job/read/no-instrument";
import { traitsOf } from "~/app/features/kinds/traits";
import { keptKit, useKeptKit } from "~/app/features/offline/keep-kit";
import { QuickTouch } from "~/app/features/quick/quick-touch";
import { ReTension } from "~/app/features/quick/re-tension";
import { PlaceHead } from "~/app/features/shell/head";
import { clockOrDay, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { type Kit, loadKit } from "~/app/routes/machine/load-kit.server";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { HeldFor } from "~/core/logbook";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/route";
import { loadHeld } from "./load-held.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.kit.machine.name ?? "Quick touch"}, Harmostat` },
];

type Asked = { stageId: string | null; tension: boolean };

/** Which stage, and whether its strand is to be tightened. */
function askedFor(request: Request): Asked {
  const { searchParams } = new URL(request.url);
  return { stageId: searchParams.get("stage"), tension: searchParams.get("do") === "tension" };
}

export async function loader({
  params,
  context,
  request,
}: Route.LoaderArgs): Promise<Asked & { kit: Kit; held: HeldFor | null }> {
  const asked = askedFor(request);
  return asPerson(context, request, everyRole, async (by) => {
    const kit = await loadKit(by, params.machineId, asked.stageId);
    const stage = kit.stages.find(({ id }) => id === asked.stageId);
    return { ...asked, kit, held: asked.tension && stage ? await loadHeld(by, kit.machine.id, stage) : null };
  });
}

/** Without the server, from what this tablet keeps of the machine. */
export async function clientLoader({ params, request, serverLoader }: Route.ClientLoaderArgs) {
  try {
    return await serverLoader();
  } catch (error) {
    const kit = await keptKit(params.machineId);
    if (!kit || (isRouteErrorResponse(error) && error.status < 500)) throw error;
    return { ...askedFor(request), kit, held: null };
  }
}

/** Where the label on the machine leads. */
export default function At({ loaderData: { kit, stageId, tension, held } }: Route.ComponentProps) {
  const reader = useWords();
  const { machine, stages } = kit;
  useKeptKit(machine.id);
  // One that was asked for and is not here is never taken for another.
  const stage = stageId === null ? stages[0] : stages.find((item) => item.id === stageId);
  const job = kit.jobs.find((open) => stage && open.stageIds.includes(stage.id));
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <h1 className="text-3xl max-sm:text-2xl font-bold">
          <Link to={`/machines/${machine.id}`} className="text-ink">
            {machine.name}
          </Link>
          {stage && stages.length === 1 && `, ${stage.name}`}
        </h1>
        <p className="text-mid mb-4">
          {machine.tag}
          {machine.place && `, ${machine.place}`}
        </p>
        {machine.retiredAt ? (
          <p className="text-xl font-semibold border-l-4 border-outside pl-4 max-w-2xl" role="status">
            This machine is out of service since {day(reader, machine.retiredAt)}. Nothing can be logged on it. Its
            logbook is kept: <Link to={`/machines/${machine.id}`}>look at it</Link>.
          </p>
        ) : !stage && stages.length > 0 ? (
          <p className="text-lg" role="status">
            That stage is out of service, or not kept on this tablet.{" "}
            <Link to={`/machines/${machine.id}`}>To the machine</Link>.
          </p>
        ) : !stage ? (
          <p className="text-lg">
            No stage is entered yet. <Link to={`/machines/${machine.id}`}>To the machine</Link>.
          </p>
        ) : (
          <>
            {stages.length > 1 && (
              <nav aria-label="Stage" className="flex flex-wrap gap-2 mb-5">
                {stages.map((item) => (
                  <Link
                    key={item.id}
                    to={`?stage=${item.id}`}
                    replace
                    aria-current={item === stage ? "true" : undefined}
                    className={buttonClass(item === stage ? "solid" : "line")}
                  >
                    {item.name}
                  </Link>
                ))}
              </nav>
            )}
            {job ? (
              <p className="text-lg max-w-2xl grid gap-3">
                A job of {job.openedByName} is open on it since {clockOrDay(reader, job.openedAt, kit.now)}:{" "}
                {job.reason}.
                <Link to={`/jobs/${job.id}`} className={buttonClass("now", true)}>
                  Go on with that job
                </Link>
              </p>
            ) : kit.mayWork && tension && traitsOf(stage.geometry.element).reTensioned ? (
              <ReTension key={stage.id} kit={kit} stage={stage} held={held} />
            ) : kit.instruments.length === 0 ? (
              <NoInstrument />
            ) : kit.mayWork ? (
              <QuickTouch key={stage.id} kit={kit} stage={stage} />
            ) : (
              <p className="text-lg">Your account may look, but not log anything.</p>
            )}
          </>
        )}
      </main>
    </>
  );
}
