import { isRouteErrorResponse, Outlet, type ShouldRevalidateFunctionArgs } from "react-router";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import { JobScreen } from "~/app/features/job/job-screen";
import { snapshotOf } from "~/app/features/offline/snapshots";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/route";
import { loadJob } from "./load-job.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `${loaderData.machine.name}, ${loaderData.stages[0]?.name}, Harmostat` : "Job, Harmostat" },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  return asPerson(context, request, everyRole, (asked) => loadJob(asked, params.jobId));
}

/** Without the server, from what this tablet last knew of the job. */
export async function clientLoader({ params, serverLoader }: Route.ClientLoaderArgs): Promise<JobLoaded> {
  try {
    return await serverLoader();
  } catch (error) {
    // A job opened here may not have reached the server yet; that it is not found there then says nothing.
    const known = await snapshotOf<JobLoaded>("job", params.jobId);
    if (known && isAway(error)) return known;
    throw error;
  }
}

const isAway = (error: unknown): boolean => !isRouteErrorResponse(error) || error.status >= 500 || error.status === 404;

// Stations are places on one screen: walking between them must not need the server. Asked for in place, it is.
export const shouldRevalidate = ({
  currentParams,
  nextParams,
  currentUrl,
  nextUrl,
  formAction,
}: ShouldRevalidateFunctionArgs) =>
  currentParams.jobId !== nextParams.jobId || formAction !== undefined || currentUrl.href === nextUrl.href;

export default function Job({ loaderData, params }: Route.ComponentProps) {
  return (
    <JobScreen key={loaderData.job.id} data={loaderData} station={(params as { station?: string }).station}>
      <Outlet />
    </JobScreen>
  );
}
