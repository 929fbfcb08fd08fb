import { Outlet, type ShouldRevalidateFunctionArgs } from "react-router";
import { JobScreen } from "~/app/features/job/job-screen";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/route";
import { loadJob } from "./load-job.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `${loaderData.machine.name}, ${loaderData.stage.name}, Harmostat` : "Job, Harmostat" },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  return asPerson(context, request, everyRole, (asked) => loadJob(asked, params.jobId));
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
