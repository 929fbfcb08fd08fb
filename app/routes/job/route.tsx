import { data, Outlet, type ShouldRevalidateFunctionArgs } from "react-router";
import { JobScreen } from "~/app/features/job/job-screen";
import { learnStage } from "~/app/features/job/learn-stage";
import { asPerson, everyRole } from "~/app/session/session.server";
import { draftsOf } from "~/data/queries/drafts";
import { earlierProofs, entriesOfJob, recentStageWork } from "~/data/queries/entries";
import { instrumentsOfWorkshop } from "~/data/queries/instruments";
import { jobById } from "~/data/queries/jobs";
import { machineById } from "~/data/queries/machines";
import { stagesOfMachines } from "~/data/queries/stages";
import type { Route } from "./+types/route";
import { isId } from "./entries";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `${loaderData.machine.name}, ${loaderData.stage.name}, Harmostat` : "Job, Harmostat" },
];

const learntFrom = 60;

export async function loader({ params, context, request }: Route.LoaderArgs) {
  return asPerson(context, request, everyRole, async ({ pool, person, now }) => {
    const job = isId(params.jobId) ? await jobById(pool, person.workshopId, params.jobId) : null;
    if (!job) throw data({ code: "no-such-job" }, { status: 404 });
    const [stages, machine, instruments, entries, drafts] = await Promise.all([
      stagesOfMachines(pool, [job.machineId]),
      machineById(pool, person.workshopId, job.machineId),
      instrumentsOfWorkshop(pool, person.workshopId),
      entriesOfJob(pool, job.id),
      draftsOf(pool, job.id, person.id),
    ]);
    const stage = stages.find((candidate) => candidate.id === job.stageIds[0]);
    if (!stage || !machine) throw data({ code: "no-such-stage" }, { status: 404 });
    const [work, proofs] = await Promise.all([
      recentStageWork(pool, stage.id, learntFrom),
      earlierProofs(pool, stage.id, job.id, 6),
    ]);
    return {
      job,
      machine,
      stage,
      instruments,
      entries,
      drafts,
      earlierProofs: proofs,
      learnt: learnStage(stage, work, instruments),
      person: { id: person.id, name: person.name, role: person.role },
      timeZone: person.timeZone,
      now: now.toISOString(),
    };
  });
}

// Stations are places on one screen: walking between them must not need the server.
export const shouldRevalidate = ({ currentParams, nextParams, formAction }: ShouldRevalidateFunctionArgs) =>
  currentParams.jobId !== nextParams.jobId || formAction !== undefined;

export default function Job({ loaderData, params }: Route.ComponentProps) {
  return (
    <JobScreen key={loaderData.job.id} data={loaderData} station={(params as { station?: string }).station}>
      <Outlet />
    </JobScreen>
  );
}
