import { isRouteErrorResponse, redirect, type ShouldRevalidateFunctionArgs, useLocation } from "react-router";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import { JobScreen } from "~/app/features/job/job-screen";
import { firstStation, stageIn } from "~/app/features/job/stations/first-station";
import { type StationKey, stationOf } from "~/app/features/job/stations/stations";
import { snapshotOf } from "~/app/features/offline/snapshots";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/route";
import { loadJob, stationOfJob } from "./load-job.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: loaderData ? `${loaderData.machine.name}, ${loaderData.stages[0]?.name}, Harmostat` : "Job, Harmostat" },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  return asPerson(context, request, everyRole, async (asked) => {
    const { pathname, searchParams } = new URL(request.url);
    if (stationIn(pathname)) return loadJob(asked, params.jobId);
    throw toStation(params.jobId, await stationOfJob(asked, params.jobId, searchParams), searchParams);
  });
}

/** Without the server, from what this tablet last knew of the job. */
export async function clientLoader({ params, request, serverLoader }: Route.ClientLoaderArgs): Promise<JobLoaded> {
  try {
    return await serverLoader();
  } catch (error) {
    // Led on to its station.
    if (error instanceof Response) throw error;
    // A job opened here may not have reached the server yet; that it is not found there then says nothing.
    const known = await snapshotOf<JobLoaded>("job", params.jobId);
    if (!known || !isAway(error)) throw error;
    const { pathname, searchParams } = new URL(request.url);
    if (stationIn(pathname)) return known;
    throw toStation(params.jobId, firstStation(known.entries, stageIn(known.stages, searchParams)), searchParams);
  }
}

/** The station that an address names, of the page or of its data. */
const stationIn = (pathname: string) => stationOf(pathname.split("/")[3]?.replace(/\.data$/, ""));

/** On the same stage. */
function toStation(jobId: string, station: StationKey, search: URLSearchParams): Response {
  const stage = search.get("stage");
  return redirect(`/jobs/${jobId}/${station}${stage === null ? "" : `?stage=${encodeURIComponent(stage)}`}`);
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

export default function Job({ loaderData }: Route.ComponentProps) {
  const here = stationIn(useLocation().pathname);
  return here && <JobScreen key={loaderData.job.id} data={loaderData} here={here} />;
}
