import { useState } from "react";
import { data, Form, Link, redirect, useNavigation } from "react-router";
import { v7 } from "uuid";
import { LogbookList } from "~/app/features/logbook/logbook-list";
import { PlaceHead } from "~/app/features/shell/head";
import { StageCell } from "~/app/features/stage/stage-cell";
import { refusalWords } from "~/app/features/words/refusal";
import { clockOrDay, day } from "~/app/features/words/times";
import { asPerson, everyRole } from "~/app/session/session.server";
import { formatNumber } from "~/core/quantity";
import { mayWork } from "~/operations/context";
import { openJob } from "~/operations/open-job";
import { Button, buttonClass } from "~/ui/button";
import { Field } from "~/ui/field";
import type { Route } from "./+types/route";
import { loadMachine } from "./load-machine.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.machine.name ?? "Machine"}, Harmostat` },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  const before = Number(new URL(request.url).searchParams.get("before"));
  return asPerson(context, request, everyRole, (asked) => loadMachine(asked, params.machineId, before));
}

/** Opens a job. The ids were made with the form, so that sending it twice opens one. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const form = await request.formData();
  return asPerson(context, request, mayWork, async (asked) => {
    const reason = String(form.get("reason") ?? "");
    const result = await openJob(asked, {
      id: form.get("jobId"),
      entryId: form.get("entryId"),
      machineId: params.machineId,
      stageIds: [form.get("stageId")],
      reason,
      madeAt: asked.now.toISOString(),
    });
    if (!result.ok) return data({ refusal: result.refusal, reason }, { status: 400 });
    return redirect(`/jobs/${result.value.jobId}`);
  });
}

export default function MachinePage({ loaderData, actionData }: Route.ComponentProps) {
  const { machine, stages, jobs, entries, older, timeZone, now } = loaderData;
  return (
    <>
      <PlaceHead />
      <main className="grid lg:grid-cols-[minmax(0,1fr)_minmax(0,34rem)]">
        <div className="p-5 max-sm:p-3.5">
          <header className="mb-6">
            <h1 className="text-3xl font-bold">{machine.name}</h1>
            <p className="text-lg text-mid">
              <span className="figure">{machine.tag}</span>, {machine.place}. {machine.model}
            </p>
          </header>
          <ul>
            {stages.map((item) => {
              const { stage } = item;
              const job = jobs.find((candidate) => candidate.stageIds.includes(stage.id));
              return (
                <li
                  key={stage.id}
                  className="border-t border-rule py-5 grid sm:grid-cols-[16rem_minmax(0,1fr)] gap-x-8 gap-y-4"
                >
                  <StageCell {...item} />
                  <div>
                    <p>
                      Limits{" "}
                      <span className="figure">
                        {formatNumber(stage.limits.loMm, 2)} to {formatNumber(stage.limits.hiMm, 2)}
                      </span>{" "}
                      mm backlash at the pitch circle. {stage.limits.source}, revision {stage.limits.revision}.
                    </p>
                    <p className="text-mid mb-3">
                      Module <span className="figure">{stage.geometry.pair.moduleMm}</span>, centres{" "}
                      <span className="figure">{formatNumber(stage.geometry.pair.centreDistanceMm ?? 0, 2)}</span> mm.
                      Set by {stage.adjuster.name.toLowerCase()}, {stage.geometry.clamps.points.length} clamps{" "}
                      {stage.geometry.clamps.size}.
                      {item.standing?.readAt && ` Last read ${day(item.standing.readAt, timeZone)}.`}
                    </p>
                    {job ? (
                      <Link to={`/jobs/${job.id}`} className={buttonClass("now", true)}>
                        Go on with the job of {clockOrDay(job.openedAt, timeZone, now)}
                      </Link>
                    ) : (
                      loaderData.mayWork && (
                        <StartJob stageId={stage.id} stageName={stage.name} actionData={actionData} />
                      )
                    )}
                  </div>
                </li>
              );
            })}
          </ul>
        </div>
        <section aria-labelledby="logbook" className="bg-tape text-on-tape p-5 max-sm:p-3.5 min-h-[70vh]">
          <h2 id="logbook" className="text-xl font-bold mb-3">
            Logbook
          </h2>
          {entries.length === 0 && <p>Nothing is logged yet.</p>}
          <LogbookList
            entries={entries}
            stages={stages.map((item) => item.stage)}
            timeZone={timeZone}
            mayCorrect={loaderData.mayWork}
          />
          <nav aria-label="Logbook pages" className="flex gap-6 mt-4">
            {loaderData.paged && (
              <Link to="?" className="text-on-tape min-h-11 inline-flex items-center">
                Newest
              </Link>
            )}
            {older !== null && (
              <Link to={`?before=${older}`} className="text-on-tape min-h-11 inline-flex items-center">
                Older
              </Link>
            )}
          </nav>
        </section>
      </main>
    </>
  );
}

function StartJob({
  stageId,
  stageName,
  actionData,
}: {
  stageId: string;
  stageName: string;
  actionData: Route.ComponentProps["actionData"];
}) {
  const [ids] = useState(() => ({ jobId: v7(), entryId: v7() }));
  const busy = useNavigation().state !== "idle";
  return (
    <Form method="post" className="flex flex-wrap gap-3 items-end">
      <input type="hidden" name="stageId" value={stageId} />
      <input type="hidden" name="jobId" value={ids.jobId} suppressHydrationWarning />
      <input type="hidden" name="entryId" value={ids.entryId} suppressHydrationWarning />
      <Field
        className="grow max-w-sm"
        label={`Why is the ${stageName.toLowerCase()} looked at?`}
        name="reason"
        autoComplete="off"
        defaultValue={actionData?.reason}
        error={actionData ? refusalWords(actionData.refusal) : undefined}
      />
      <Button kind="solid" large type="submit" disabled={busy}>
        Start a job
      </Button>
    </Form>
  );
}
