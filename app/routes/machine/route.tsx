import { data, Form, isRouteErrorResponse, Link, redirect } from "react-router";
import { v7 } from "uuid";
import { DriveLine } from "~/app/features/drive-line/drive-line";
import { failingAtOnce } from "~/app/features/identity/held-write";
import { LogbookList } from "~/app/features/logbook/logbook-list";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { Files } from "~/app/features/machine/files";
import { MachineHead } from "~/app/features/machine/machine-head";
import { upkeepName } from "~/app/features/machine/machine-news";
import { NewPoint } from "~/app/features/machine/new-point";
import { UsageMeter } from "~/app/features/machine/usage-meter";
import { keptKit, useKeptKit } from "~/app/features/offline/keep-kit";
import { openHere } from "~/app/features/offline/open-here";
import { PlaceHead } from "~/app/features/shell/head";
import { Search } from "~/app/features/shell/search";
import { capital } from "~/app/features/words/count";
import type { Reader } from "~/app/features/words/reader";
import { Refused } from "~/app/features/words/refused";
import { dateWords } from "~/app/features/words/times";
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
import { deferred } from "~/ui/deferred";
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

const upkeepDay = (reader: Reader, on: string): string => `first due ${dateWords(reader, on)}`;

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
  if (form.get("what") !== "open") return serverAction();
  try {
    return await failingAtOnce(serverAction);
  } catch (error) {
    const answered = error instanceof Response || (isRouteErrorResponse(error) && error.status < 500);
    const opening = openingOf(form, params.machineId);
    if (answered || opening.reason.trim() === "") throw error;
    const kit = await keptKit(params.machineId);
    if (!kit || !opening.stageIds.every((id) => kit.stages.some((stage) => stage.id === id))) throw error;
    await openHere(kit, opening);
    throw redirect(`/jobs/${opening.id}`);
  }
}

export default function MachinePage({ loaderData, actionData }: Route.ComponentProps) {
  const { machine, stages, jobs, now } = loaderData;
  useKeptKit(machine.id);
  const reader = useWords();
  const refusedOpening =
    actionData && "reason" in actionData ? (actionData as { refusal: Refusal; reason: string; stageId: string }) : null;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-8">
        <MachineHead
          machine={machine}
          news={loaderData.news}
          stages={stages}
          jobs={jobs}
          given={loaderData.jobsGiven}
          allowed={loaderData}
          now={now}
          refused={refusedOpening}
          service={loaderData.mayEdit && <Service retired={machine.retiredAt !== null} actionData={actionData} />}
        />
        <div className="grid xl:grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-x-12 gap-y-8">
          <div className="grid gap-5 content-start min-w-0">
            {stages.length > 0 ? (
              <DriveLine
                line={loaderData.line}
                stages={stages}
                edit={loaderData.mayEdit && !machine.retiredAt ? `/machines/${machine.id}` : null}
              />
            ) : (
              <p className="text-lg">No stage is entered yet: nothing can be read on this machine before.</p>
            )}
            <StagePages {...loaderData} shown={stages.length} />
          </div>
          <div className="grid gap-8 content-start min-w-0">
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
            <DueHere {...loaderData} machineId={machine.id} />
            <section aria-labelledby="upkeep">
              <h2 id="upkeep" className="text-xl font-bold">
                Grease and looks
              </h2>
              <p className="text-lg">
                {loaderData.upkeep?.on
                  ? `${capital(upkeepName(loaderData.upkeep))}, ${upkeepDay(reader, loaderData.upkeep.on)}`
                  : "Nothing is known to fall due"}
              </p>
              <Link to={`/machines/${machine.id}/upkeep`} className={buttonClass("line")}>
                Grease and look lists
              </Link>
            </section>
            <UsageMeter machine={machine} readings={loaderData.usage} mayRead={loaderData.mayWork} />
          </div>
        </div>
        <Logbook loaderData={loaderData} />
        <Files machineId={machine.id} files={loaderData.files} mayAdd={loaderData.mayWork} />
        {loaderData.twins.length > 0 && <Twins twins={loaderData.twins} model={machine.model} stages={stages} />}
      </main>
    </>
  );
}

const DueHere = deferred(async () => (await import("~/app/features/plan/due-here")).DueHere);

/** Of a machine with very many stages, the way through their pages. */
function StagePages({ stagesFrom, stagesInAll, shown }: { stagesFrom: number; stagesInAll: number; shown: number }) {
  if (stagesInAll <= shown) return null;
  return (
    <nav aria-label="Stages" className="flex flex-wrap gap-x-5 gap-y-2 items-center">
      <span>
        Stages {stagesFrom + 1} to {stagesFrom + shown} of {stagesInAll}
      </span>
      {stagesFrom > 0 && (
        <Link to={`?stages=${Math.max(0, stagesFrom - shown)}`} className={buttonClass("line")}>
          Earlier ones
        </Link>
      )}
      {stagesFrom + shown < stagesInAll && (
        <Link to={`?stages=${stagesFrom + shown}`} className={buttonClass("line")}>
          Later ones
        </Link>
      )}
    </nav>
  );
}

function Logbook({ loaderData }: { loaderData: Route.ComponentProps["loaderData"] }) {
  const { lines, older, words } = loaderData;
  return (
    <section aria-labelledby="logbook">
      <div className="flex flex-wrap gap-3 items-end justify-between mb-1">
        <h2 id="logbook" className="text-xl font-bold">
          Logbook
        </h2>
        <Search label="Find in the logbook" placeholder="Find in the logbook" words={words} />
      </div>
      {lines.length === 0 && <p>{words ? `Nothing in it has “${words}”.` : "Nothing is logged yet."}</p>}
      <LogbookList lines={lines} mayCorrect={loaderData.mayWork} />
      <nav aria-label="Logbook pages" className="flex gap-6 mt-4">
        {(loaderData.paged || words) && (
          <Link to="?" className="text-ink min-h-11 inline-flex items-center">
            Newest
          </Link>
        )}
        {older !== null && (
          <Link
            to={`?before=${older}${words ? `&q=${encodeURIComponent(words)}` : ""}`}
            className="text-ink min-h-11 inline-flex items-center"
          >
            Older
          </Link>
        )}
      </nav>
    </section>
  );
}

function Twins({
  twins,
  model,
  stages,
}: Pick<Route.ComponentProps["loaderData"], "twins" | "stages"> & { model: string }) {
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
      <p className="flex flex-wrap gap-2 mt-2">
        {stages.map(({ id, name }) => (
          <Link key={id} to={`/stages/${id}/twins`} className={buttonClass("quiet")}>
            Compare: {name}
          </Link>
        ))}
      </p>
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
