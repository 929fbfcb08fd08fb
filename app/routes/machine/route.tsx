import { data, Form, isRouteErrorResponse, Link, redirect } from "react-router";
import { v7 } from "uuid";
import { DriveLine } from "~/app/features/drive-line/drive-line";
import { Exports } from "~/app/features/export/exports";
import { LogbookList } from "~/app/features/logbook/logbook-list";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { Files } from "~/app/features/machine/files";
import { NewPoint } from "~/app/features/machine/new-point";
import { StartJob } from "~/app/features/machine/start-job";
import { UsageMeter } from "~/app/features/machine/usage-meter";
import { keptKit, useKeptKit } from "~/app/features/offline/keep-kit";
import { openHere } from "~/app/features/offline/open-here";
import { PlaceHead } from "~/app/features/shell/head";
import { Search } from "~/app/features/shell/search";
import { formatNumber } from "~/app/features/words/figure";
import { Refused } from "~/app/features/words/refused";
import { clockOrDay, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { asPerson, everyRole } from "~/app/session/session.server";
import { parseNumber, type Refusal } from "~/core/quantity";
import type { JobId, StageId } from "~/core/records";
import { mayWork } from "~/operations/context";
import { retireMachine } from "~/operations/edit-machine";
import { logUsage } from "~/operations/log-usage";
import { openJob } from "~/operations/open-job";
import { Button, buttonClass } from "~/ui/button";
import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { StateMark } from "~/ui/state-mark";
import type { Route } from "./+types/route";
import { loadMachine } from "./load-machine.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.machine.name ?? "Machine"}, Harmostat` },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const asked = {
    before: Number(search.get("before")),
    words: (search.get("q") ?? "").trim().slice(0, 80),
    stagesFrom: Number(search.get("stages")),
  };
  return asPerson(context, request, everyRole, (by) => loadMachine(by, params.machineId, asked));
}

export async function action({ params, context, request }: Route.ActionArgs) {
  const form = await formOf(request);
  return asPerson(context, request, mayWork, async (asked) => {
    switch (form.get("what")) {
      case "open": {
        const reason = String(form.get("reason") ?? "");
        const opened = await openJob(asked, { ...openingOf(form, params.machineId), madeAt: asked.now.toISOString() });
        if (opened.ok) throw redirect(`/jobs/${opened.value.jobId}`);
        return data({ refusal: opened.refusal, reason, stageId: String(form.get("stageId")) }, { status: 400 });
      }
      case "usage": {
        const reading = parseNumber(String(form.get("reading") ?? ""));
        if (!reading.ok) return refused({ ...reading.refusal, path: ["reading"] });
        const from = form.get("meter") === "new" ? parseNumber(String(form.get("newMeterFrom") ?? "")) : null;
        if (from && !from.ok) return refused({ ...from.refusal, path: ["newMeterFrom"] });
        const logged = await logUsage(asked, {
          id: form.get("id"),
          machineId: params.machineId,
          madeAt: asked.now.toISOString(),
          reading: reading.value,
          newMeterFrom: from?.ok ? from.value : null,
        });
        return logged.ok ? { done: true } : refused(logged.refusal);
      }
      default: {
        const retired = form.get("what") === "retire";
        const text = String(form.get("text") ?? "");
        const entryId = form.get("entryId");
        const done = await retireMachine(asked, { machineId: params.machineId, entryId, retired, text });
        return done.ok ? { done: true } : refused(done.refusal);
      }
    }
  });
}

const refused = (refusal: Refusal) => data({ refusal }, { status: 400 });

const openingOf = (form: FormData, machineId: string) => ({
  id: String(form.get("jobId")) as JobId,
  entryId: String(form.get("entryId")),
  machineId,
  stageIds: form.getAll("stageId").map((id) => String(id) as StageId),
  reason: String(form.get("reason") ?? ""),
  firstBuild: form.get("firstBuild") === "yes",
});

/** Without the server a job opens on this tablet, from what it keeps of the machine; everything else has to wait for it. */
export async function clientAction({ request, params, serverAction }: Route.ClientActionArgs) {
  const form = await request.clone().formData();
  try {
    return await serverAction();
  } catch (error) {
    const answered = error instanceof Response || (isRouteErrorResponse(error) && error.status < 500);
    const opening = openingOf(form, params.machineId);
    if (answered || form.get("what") !== "open" || opening.reason.trim() === "") throw error;
    const kit = await keptKit(params.machineId);
    if (!kit || !opening.stageIds.every((id) => kit.stages.some((stage) => stage.id === id))) throw error;
    await openHere(kit, opening);
    throw redirect(`/jobs/${opening.id}`);
  }
}

/** The stage that is worst off: where a job is most likely to begin. */
function neediest(stages: Route.ComponentProps["loaderData"]["stages"]): string | undefined {
  const order = ["outside", "near", "unknown", "inside"];
  return [...stages].sort((a, b) => order.indexOf(a.state) - order.indexOf(b.state))[0]?.id;
}

export default function MachinePage({ loaderData, actionData }: Route.ComponentProps) {
  const reader = useWords();
  const { machine, stages, jobs, now } = loaderData;
  useKeptKit(machine.id);
  const place = [machine.site, machine.hall, machine.place].filter(Boolean).join(", ");
  const refusedOpening =
    actionData && "reason" in actionData ? (actionData as { refusal: Refusal; reason: string; stageId: string }) : null;
  return (
    <>
      <PlaceHead />
      <main className="grid xl:grid-cols-[minmax(0,1fr)_minmax(0,32rem)]">
        <div className="p-5 max-sm:p-3.5 grid gap-8 content-start">
          <header className="flex flex-wrap gap-x-6 gap-y-3 items-start">
            <div className="grow">
              <h1 className="text-3xl font-bold">{machine.name}</h1>
              <p className="text-lg text-mid">
                <span className="figure">{machine.tag}</span>
                {place && `, ${place}`}
                {machine.model && `. ${machine.model}`}
                {machine.serial && `, serial ${machine.serial}`}
              </p>
              {machine.usageTotal !== null && (
                <p className="text-mid">
                  <span className="figure">{formatNumber(reader, machine.usageTotal, 0)}</span> {machine.usageUnit} run
                </p>
              )}
              {machine.retiredAt && (
                <p className="text-lg font-semibold text-outside" role="status">
                  Out of service since {day(reader, machine.retiredAt)}. Its logbook stays.
                </p>
              )}
            </div>
            <nav aria-label="Machine" className="flex flex-wrap gap-2">
              {loaderData.mayWork && (
                <Link to={`/at/${machine.id}`} className={buttonClass("line")}>
                  Quick touch
                </Link>
              )}
              <Link to={`/machines/${machine.id}/label`} className={buttonClass("quiet")}>
                Label
              </Link>
              {loaderData.mayEdit && (
                <>
                  <Link to={`/machines/${machine.id}/edit`} className={buttonClass("quiet")}>
                    Edit
                  </Link>
                  <Link to={`/machines/${machine.id}/copy`} className={buttonClass("quiet")}>
                    Copy
                  </Link>
                </>
              )}
            </nav>
          </header>
          {stages.length > 0 ? (
            <DriveLine
              machineId={machine.id}
              line={loaderData.line}
              stages={stages}
              mayEdit={loaderData.mayEdit && !machine.retiredAt}
            />
          ) : (
            <p className="text-lg">No stage is entered yet: nothing can be read on this machine before.</p>
          )}
          {loaderData.stagesInAll > stages.length && (
            <nav aria-label="Stages" className="flex flex-wrap gap-x-5 gap-y-2 items-center -mt-4">
              <span>
                Stages {loaderData.stagesFrom + 1} to {loaderData.stagesFrom + stages.length} of{" "}
                {loaderData.stagesInAll}
              </span>
              {loaderData.stagesFrom > 0 && (
                <Link
                  to={`?stages=${Math.max(0, loaderData.stagesFrom - stages.length)}`}
                  className={buttonClass("line")}
                >
                  Earlier ones
                </Link>
              )}
              {loaderData.stagesFrom + stages.length < loaderData.stagesInAll && (
                <Link to={`?stages=${loaderData.stagesFrom + stages.length}`} className={buttonClass("line")}>
                  Later ones
                </Link>
              )}
            </nav>
          )}
          {loaderData.mayEdit && !machine.retiredAt && (
            <p className={stages.length > 0 ? "-mt-5" : ""}>
              <Link
                to={`/machines/${machine.id}/stages/new`}
                className={buttonClass(stages.length === 0 ? "now" : "quiet", stages.length === 0)}
              >
                {stages.length === 0 ? "Enter its first stage" : "Add a stage"}
              </Link>
            </p>
          )}
          {jobs.length > 0 && (
            <ul aria-label="Jobs left open" className="grid gap-2">
              {jobs.map((job) => (
                <li key={job.id}>
                  <Link to={`/jobs/${job.id}`} className={buttonClass("now", true)}>
                    Go on with the job of {clockOrDay(reader, job.openedAt, now)}
                    {stages.length > 1 &&
                      `, ${stages.flatMap(({ id, name }) => (job.stageIds.some((one) => one === id) ? [name] : [])).join(", ")}`}
                  </Link>
                </li>
              ))}
            </ul>
          )}
          {loaderData.mayWork && (
            <StartJob
              stages={stages.filter(({ id }) => !jobs.some((job) => job.stageIds.some((one) => one === id)))}
              usual={neediest(stages)}
              refused={refusedOpening}
            />
          )}
          <section aria-labelledby="points">
            <h2 id="points" className="text-xl font-bold">
              Open points
            </h2>
            <ul>
              {loaderData.points.map((point) => (
                <OpenPointLine
                  key={point.id}
                  point={point}
                  where={stages.find(({ id }) => id === point.stageId)?.name ?? ""}
                  now={now}
                  mayClose={loaderData.mayWork}
                />
              ))}
              {loaderData.points.length === 0 && <li className="text-mid">Nothing is left open.</li>}
            </ul>
            {loaderData.mayWork && <NewPoint machineId={machine.id} stages={stages} />}
          </section>
          <UsageMeter machine={machine} readings={loaderData.usage} mayRead={loaderData.mayWork} />
          <Files machineId={machine.id} files={loaderData.files} mayAdd={loaderData.mayWork} />
          {loaderData.twins.length > 0 && <Twins twins={loaderData.twins} model={machine.model} />}
          <section aria-labelledby="away">
            <h2 id="away" className="text-xl font-bold mb-2">
              The whole record
            </h2>
            <Exports path={`/machines/${machine.id}/record`} />
          </section>
          {loaderData.mayEdit && <Service retired={machine.retiredAt !== null} actionData={actionData} />}
        </div>
        <Logbook loaderData={loaderData} />
      </main>
    </>
  );
}

function Logbook({ loaderData }: { loaderData: Route.ComponentProps["loaderData"] }) {
  const { lines, older, words } = loaderData;
  return (
    <section aria-labelledby="logbook" className="bg-tape text-on-tape p-5 max-sm:p-3.5 min-h-[70vh]">
      <div className="flex flex-wrap gap-3 items-end justify-between mb-3">
        <h2 id="logbook" className="text-xl font-bold">
          Logbook
        </h2>
        <Search label="Find in the logbook" placeholder="Find in the logbook" words={words} />
      </div>
      {lines.length === 0 && <p>{words ? `Nothing in it has “${words}”.` : "Nothing is logged yet."}</p>}
      <LogbookList lines={lines} mayCorrect={loaderData.mayWork} />
      <nav aria-label="Logbook pages" className="flex gap-6 mt-4">
        {(loaderData.paged || words) && (
          <Link to="?" className="text-on-tape min-h-11 inline-flex items-center">
            Newest
          </Link>
        )}
        {older !== null && (
          <Link
            to={`?before=${older}${words ? `&q=${encodeURIComponent(words)}` : ""}`}
            className="text-on-tape min-h-11 inline-flex items-center"
          >
            Older
          </Link>
        )}
      </nav>
    </section>
  );
}

function Twins({ twins, model }: { twins: Route.ComponentProps["loaderData"]["twins"]; model: string }) {
  return (
    <section aria-labelledby="twins">
      <h2 id="twins" className="text-xl font-bold">
        Twins{model && `, ${model}`}
      </h2>
      <ul>
        {twins.map((twin) => (
          <li key={twin.id} className="border-t border-rule py-2 flex flex-wrap gap-x-6 items-center">
            <Link to={`/machines/${twin.id}`} className="text-ink font-semibold min-h-11 inline-flex items-center">
              {twin.name}, {twin.tag}
            </Link>
            {twin.stages.map((stage) => (
              <span key={stage.name} className="inline-flex gap-2">
                {stage.name} <StateMark state={stage.state} />
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Service({ retired, actionData }: { retired: boolean; actionData: Route.ComponentProps["actionData"] }) {
  const refusal = actionData && "refusal" in actionData && !("reason" in actionData) ? actionData.refusal : null;
  return (
    <Fold look="line" summary={retired ? "Take it into service again" : "Take it out of service"}>
      <Form method="post" className="flex flex-wrap gap-3 items-end">
        <input type="hidden" name="what" value={retired ? "back" : "retire"} />
        <input type="hidden" name="entryId" value={v7()} suppressHydrationWarning />
        <Field
          label="Why?"
          name="text"
          className="grow max-w-md"
          error={refusal ? <Refused refusal={refusal} /> : undefined}
        />
        <Button type="submit" large>
          {retired ? "Back into service" : "Out of service"}
        </Button>
      </Form>
      <p className="text-mid">Nothing of its logbook is lost. Its label says so when it is scanned.</p>
    </Fold>
  );
}
