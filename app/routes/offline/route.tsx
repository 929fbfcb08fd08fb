import { useEffect, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import type { JobLoaded } from "~/app/features/job/entries/job-loaded";
import { snapshotIds, snapshotOf } from "~/app/features/offline/snapshots";
import { WaitingStrip } from "~/app/features/offline/waiting-strip";
import type { Kit } from "~/app/routes/machine/load-kit.server";
import { safePath } from "~/app/session/safe-path";
import { Button } from "~/ui/button";

export const meta = () => [{ title: "Without a network, Harmostat" }];

type Here = { machines: Kit["machine"][]; jobs: JobLoaded[] };

/** What this tablet can go on with, where a page was never opened here and cannot be fetched now. */
export default function Offline() {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const to = safePath(search.get("to"));
  const [here, setHere] = useState<Here | null>(null);
  useEffect(() => {
    let live = true;
    whatIsHere().then((found) => {
      if (!live) return;
      // Known here after all: it opens from what the tablet keeps.
      const known =
        found.jobs.some((job) => to.startsWith(`/jobs/${job.job.id}`)) ||
        found.machines.some((machine) => to.startsWith(`/at/${machine.id}`));
      if (known) navigate(to, { replace: true });
      else setHere(found);
    });
    return () => {
      live = false;
    };
  }, [to, navigate]);
  return (
    <>
      <WaitingStrip />
      <main className="p-8 max-sm:p-4 max-w-3xl grid gap-5">
        <h1 className="text-3xl font-bold">This page was not opened here before</h1>
        <p className="text-lg">
          There is no network, or the server is away. What was opened on this tablet before still opens, and jobs can be
          begun and gone on with; everything goes into the logbook when the server is back.
        </p>
        {here && here.jobs.length > 0 && (
          <section>
            <h2 className="text-xl font-bold">Jobs on this tablet</h2>
            <ul>
              {here.jobs.map(({ job, machine, stages }) => (
                <li key={job.id}>
                  <Link to={`/jobs/${job.id}`} className="min-h-11 inline-flex items-center">
                    {machine.name}, {stages.map((stage) => stage.name).join(", ")}: {job.reason}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        {here && here.machines.length > 0 && (
          <section>
            <h2 className="text-xl font-bold">Machines on this tablet</h2>
            <ul>
              {here.machines.map((machine) => (
                <li key={machine.id}>
                  <Link to={`/at/${machine.id}`} className="min-h-11 inline-flex items-center">
                    {machine.name}, {machine.tag}
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        )}
        <div>
          <Button kind="now" large onClick={() => window.location.assign(to)}>
            Try again
          </Button>
        </div>
      </main>
    </>
  );
}

async function whatIsHere(): Promise<Here> {
  const [machineIds, jobIds] = await Promise.all([snapshotIds("machine"), snapshotIds("job")]);
  const kits = await Promise.all(machineIds.map((id) => snapshotOf<Kit>("machine", id)));
  const jobs = await Promise.all(jobIds.map((id) => snapshotOf<JobLoaded>("job", id)));
  return {
    machines: kits.flatMap((kit) => kit?.machine ?? []),
    jobs: jobs.flatMap((job) => job ?? []).filter((job) => !job.entries.some((entry) => entry.kind === "signature")),
  };
}
