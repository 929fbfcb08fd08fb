import { Check, Zap } from "lucide-react";
import { type ReactNode, useState } from "react";
import { Link, useNavigate } from "react-router";
import type { JobRecord } from "~/core/logbook";
import { Button, buttonClass } from "~/ui/button";
import { Tape } from "../logbook/tape";
import { Head, PersonMenu, RoomSwitch } from "../shell/head";
import { clock } from "../words/times";
import { GoingLive } from "./going-live";
import { JobContext, type JobLoaded } from "./job-context";
import { LockUp } from "./lock-up";
import { MakeSafe } from "./make-safe";
import { Prove } from "./prove";
import { ReadingStation } from "./reading-station";
import { RefusedStrip } from "./refused-strip";
import { SignOff } from "./sign-off";
import { type StationKey, stationOf, stations } from "./stations";
import { type Kept, useJob } from "./use-job";

/** Head with power and what is kept, stations along the top, the station itself, the tape along the bottom. */
export function JobScreen({
  data,
  station,
  children,
}: {
  data: JobLoaded;
  station: string | undefined;
  children: ReactNode;
}) {
  const job = useJob(data);
  const { stage, machine } = data;
  const signed = job.entries.some((entry) => entry.kind === "signature");
  const here = signed ? "sign-off" : (stationOf(station) ?? firstStation(job.record));
  const teeth = stage.geometry.pair.teeth;
  return (
    <JobContext value={{ data, job }}>
      <div className="h-dvh max-sm:h-auto max-sm:min-h-dvh flex flex-col">
        <Head
          right={
            <>
              <Power record={job.record} signed={signed} jobId={data.job.id} />
              <KeptMark kept={job.kept} timeZone={data.timeZone} />
              <div className="flex gap-3 max-sm:hidden">
                <RoomSwitch />
                <PersonMenu />
              </div>
            </>
          }
        >
          <h1 className="text-lg truncate">
            <Link to={`/machines/${machine.id}`} className="text-ink max-sm:hidden">
              {machine.name}
            </Link>
            <span className="max-sm:hidden">, </span>
            <b>
              {stage.name}{" "}
              <span className="figure">
                {teeth[0]} : {teeth[1]}
              </span>
            </b>
          </h1>
        </Head>
        <StationBar here={here} record={job.record} signed={signed} jobId={data.job.id} />
        {job.refused.map((waiting) => (
          <RefusedStrip key={waiting.id} waiting={waiting} onAside={() => job.dismiss(waiting.id)} />
        ))}
        {handsIn.has(here) && job.ready && !signed && job.record.power?.state !== "isolated" && (
          <p role="alert" className="bg-panel border-b-2 border-outside px-5 max-sm:px-3.5 py-2 text-lg shrink-0">
            <b className="text-outside">{job.record.power ? "It is live." : "It was not made safe."}</b>{" "}
            <Link to={`/jobs/${data.job.id}/make-safe`} replace>
              Make safe
            </Link>{" "}
            before hands go in.
          </p>
        )}
        <main className="grow min-h-0 flex flex-col">
          {job.ready ? <StationView key={here} here={here} /> : <Finding />}
        </main>
        <Tape entries={job.entries} adjuster={stage.adjuster} timeZone={data.timeZone} now={data.now} />
        {children}
      </div>
    </JobContext>
  );
}

/** Stations at which hands are in the machine. */
const handsIn: ReadonlySet<StationKey> = new Set(["as-found", "set", "lock-up"]);

function StationView({ here }: { here: StationKey }) {
  switch (here) {
    case "make-safe":
      return <MakeSafe />;
    case "as-found":
      return <ReadingStation phase="as-found" />;
    case "set":
      return <ReadingStation phase="set" />;
    case "lock-up":
      return <LockUp />;
    case "prove":
      return <Prove />;
    case "sign-off":
      return <SignOff />;
  }
}

/** Where to begin on opening the job. */
function firstStation(record: JobRecord): StationKey {
  if (!record.power) return "make-safe";
  if (!record.asFound) return "as-found";
  return record.proofs.length > 0 ? "sign-off" : "set";
}

function Finding() {
  return (
    <p role="status" className="p-6 text-lg text-mid">
      Looking for what was typed before …
    </p>
  );
}

function StationBar({
  here,
  record,
  signed,
  jobId,
}: {
  here: StationKey;
  record: JobRecord;
  signed: boolean;
  jobId: string;
}) {
  const done: Record<StationKey, boolean> = {
    "make-safe": record.power !== null,
    "as-found": record.asFound !== null,
    set: record.moves.length > 0 && !record.changedSinceRound,
    "lock-up": record.clamps.every((clamp) => clamp.state === "firm" || clamp.state === "dressed"),
    prove: record.proofs.length > 0,
    "sign-off": signed,
  };
  return (
    <nav aria-label="Stations" className="border-b border-rule shrink-0 overflow-x-auto">
      <ol className="flex w-full min-w-max">
        {stations.map(({ key, name }) => (
          <li key={key} className="grow">
            <Link
              to={`/jobs/${jobId}/${key}`}
              replace
              aria-current={key === here ? "step" : undefined}
              className={`flex items-center gap-2 min-h-13 px-5 max-sm:px-3.5 no-underline ${key === here ? "font-bold text-lg text-ink shadow-[inset_0_-4px_0_var(--room-ink)]" : "text-mid font-semibold"}`}
            >
              {done[key] && <Check aria-label="done" size={18} className="text-inside" strokeWidth={3} />}
              {name}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  );
}

/** Isolated or live: always on screen, and changed here. */
function Power({ record, signed, jobId }: { record: JobRecord; signed: boolean; jobId: string }) {
  const [asking, setAsking] = useState(false);
  const navigate = useNavigate();
  if (signed) return <span className="font-semibold text-inside">Signed</span>;
  if (record.power?.state === "isolated") {
    return (
      <>
        <Button kind="solid" onClick={() => setAsking(true)}>
          Isolated, lock {record.power.lock}
        </Button>
        <GoingLive open={asking} onOpenChange={setAsking} />
      </>
    );
  }
  const live = record.power?.state === "live";
  return (
    <Button
      className={live ? "border-outside text-outside" : "border-dashed"}
      onClick={() => navigate(`/jobs/${jobId}/make-safe`, { replace: true })}
    >
      {live ? (
        <>
          <Zap aria-hidden="true" size={18} /> Live
        </>
      ) : (
        "Not made safe"
      )}
    </Button>
  );
}

function KeptMark({ kept, timeZone }: { kept: Kept; timeZone: string }) {
  const why = {
    "no-network": "no network",
    server: "server away",
    database: "logbook away",
    "signed-out": "signed out",
  } as const;
  if (kept.why) {
    const what = kept.waiting === 0 ? "" : `, ${kept.waiting} to send`;
    return (
      <span
        role="status"
        className="border-2 border-near text-near bg-panel font-semibold px-3 min-h-11 inline-flex items-center"
      >
        {kept.why === "signed-out" ? (
          <a
            className={`${buttonClass("quiet")} border-0`}
            href={`/sign-in?to=${encodeURIComponent(globalThis.location?.pathname ?? "/")}`}
          >
            Kept here{what}. Sign in again
          </a>
        ) : (
          `Kept on this tablet${what}: ${why[kept.why]}`
        )}
      </span>
    );
  }
  return (
    <span role="status" className="text-mid px-1 max-sm:hidden">
      {kept.at ? (
        <>
          Kept <span className="figure">{clock(kept.at, timeZone)}</span>
        </>
      ) : (
        "…"
      )}
    </span>
  );
}
