import { Link } from "react-router";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { GiveTo } from "~/app/features/plan/give-to";
import { PlaceHead } from "~/app/features/shell/head";
import { Search } from "~/app/features/shell/search";
import { capital, countWords } from "~/app/features/words/count";
import { jobNowWords } from "~/app/features/words/job-now";
import { dateWords, day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { isId } from "~/app/session/is-id";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { ListedJob } from "~/data/queries/jobs";
import { dayIn } from "~/operations/day-in";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/route";
import { loadJobs } from "./load-jobs.server";

export const meta: Route.MetaFunction = () => [{ title: "Jobs, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const words = (search.get("q") ?? "").trim().slice(0, 80);
  const asked = { words, before: placeOf(search.get("before")), points: placeOf(search.get("points")) };
  const jobs = await asPerson(context, request, everyRole, (by) => loadJobs(by, asked));
  return { ...jobs, words, paged: asked.before !== null, pointsPaged: asked.points !== null };
}

/** A place in a list by time and id, as it stands in the address. */
function placeOf(text: string | null): { at: string; id: string } | null {
  const [at, id] = (text ?? "").split(" ");
  return at && id && isId(id) && !Number.isNaN(Date.parse(at)) ? { at, id } : null;
}
const placeText = ({ at, id }: { at: string; id: string }): string => encodeURIComponent(`${at} ${id}`);

export default function Jobs({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { open, due, done, points, now, words } = loaderData;
  const today = dayIn(now, reader.zone);
  const overdue = due.filter((item) => item.date < today).length;
  return (
    <>
      <PlaceHead />
      <main className="px-5 max-sm:px-3.5 py-5 grid lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] gap-x-12 gap-y-8">
        <h1 className="text-3xl max-sm:text-2xl font-bold lg:col-span-2">
          {jobsNews(open.length, overdue, points.length)}
        </h1>
        <div className="grid gap-8 content-start">
          <section aria-labelledby="open-jobs">
            <h2 id="open-jobs" className="text-xl font-bold mb-1">
              Open
            </h2>
            <ul>
              {open.map((job) => (
                <JobLine key={job.id} job={job} to={`/jobs/${job.id}`}>
                  {jobNowWords(job.now)}. Since {day(reader, job.openedAt)}, {job.openedByName}
                  {job.given && (
                    <span className="block text-ink">
                      {job.given.to.name} has it{job.given.note && `: ${job.given.note}`}
                    </span>
                  )}
                  {loaderData.people.length > 0 && (
                    <GiveTo
                      of={{ jobId: job.id }}
                      label={`${job.machineName}, ${job.reason}`}
                      to={job.given?.to ?? null}
                      people={loaderData.people}
                    />
                  )}
                </JobLine>
              ))}
              {open.length === 0 && <li className="text-mid">No job is open.</li>}
            </ul>
          </section>
          <section aria-labelledby="planned">
            <div className="flex flex-wrap gap-4 items-center justify-between mb-1">
              <h2 id="planned" className="text-xl font-bold">
                Planned
              </h2>
              <Link to="/plan" className={buttonClass("line")}>
                All that falls due
              </Link>
            </div>
            <ul>
              {due.map((item) => (
                <li key={item.stageId} className="py-2 border-t border-rule flex flex-wrap gap-x-6">
                  <span className={`w-44 ${item.date < today ? "font-bold" : ""}`}>
                    {dateWords(reader, item.date)}
                    {item.date < today && <span className="block">overdue</span>}
                  </span>
                  <span className="grow">
                    <Link to={`/machines/${item.machineId}`} className="text-ink">
                      {item.machineName}
                    </Link>
                    ,{" "}
                    <Link to={`/stages/${item.stageId}`} className="text-ink">
                      {item.stageName}
                    </Link>
                    {item.plan && <span className="block text-mid">{item.plan}</span>}
                  </span>
                </li>
              ))}
              {due.length === 0 && (
                <li className="text-mid">Nothing is planned. A signature or the stage's page sets the next date.</li>
              )}
            </ul>
          </section>
          <section aria-labelledby="done">
            <div className="flex flex-wrap gap-4 items-end justify-between mb-1">
              <h2 id="done" className="text-xl font-bold">
                Done
              </h2>
              <Link to="/records" className={buttonClass("line")}>
                Search every logbook
              </Link>
              <Search
                label="Find a job done by machine, tag or reason"
                placeholder="Machine, tag or reason"
                words={words}
              />
            </div>
            <ul>
              {done.map((job) => (
                <JobLine key={job.id} job={job} to={`/jobs/${job.id}`}>
                  {job.signedAt && `Signed ${day(reader, job.signedAt)}, ${job.signedByName}`}
                </JobLine>
              ))}
              {done.length === 0 && (
                <li className="text-mid">{words ? `No job fits “${words}”.` : "No job is signed yet."}</li>
              )}
            </ul>
            <div className="flex gap-3 mt-3">
              {loaderData.older && (
                <Link
                  to={`?${words ? `q=${encodeURIComponent(words)}&` : ""}before=${placeText(loaderData.older)}`}
                  className={buttonClass("line")}
                >
                  Older jobs
                </Link>
              )}
              {(loaderData.paged || words) && (
                <Link to="/jobs" className={buttonClass("quiet")}>
                  The newest
                </Link>
              )}
            </div>
          </section>
        </div>
        <section aria-labelledby="points">
          <h2 id="points" className="text-xl font-bold mb-1">
            Open points
          </h2>
          <ul>
            {points.map((point) => (
              <OpenPointLine
                key={point.id}
                point={point}
                where={[point.machineName, point.stageName].filter(Boolean).join(", ")}
                to={`/machines/${point.machineId}`}
                now={now}
                mayClose={loaderData.mayWork}
              />
            ))}
            {points.length === 0 && <li className="text-mid">Nothing is left open.</li>}
          </ul>
          <div className="flex gap-3 mt-3">
            {loaderData.laterPoints && (
              <Link to={`?points=${placeText(loaderData.laterPoints)}`} className={buttonClass("line")}>
                Later points
              </Link>
            )}
            {loaderData.pointsPaged && (
              <Link to="/jobs" className={buttonClass("quiet")}>
                From the first
              </Link>
            )}
          </div>
        </section>
      </main>
    </>
  );
}

function jobsNews(open: number, overdue: number, points: number): string {
  const parts = [
    open > 0 ? `${countWords(open)} ${open === 1 ? "job is" : "jobs are"} open` : "",
    overdue > 0 ? `${countWords(overdue)} ${overdue === 1 ? "is" : "are"} overdue` : "",
    open + overdue === 0 && points > 0 ? "no job is open, but points are" : "",
  ].filter(Boolean);
  return parts.length === 0 ? "Nothing is open" : capital(parts.join(", "));
}

function JobLine({ job, to, children }: { job: ListedJob; to: string; children: React.ReactNode }) {
  return (
    <li className="py-2 border-t border-rule">
      <Link to={to} className="text-ink font-semibold min-h-11 inline-flex items-center">
        {job.machineName}, {job.stageNames.join(", ")}
      </Link>
      <span className="block">{job.reason}</span>
      <span className="block text-mid">{children}</span>
    </li>
  );
}
