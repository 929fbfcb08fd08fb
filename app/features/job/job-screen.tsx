import { Zap } from "lucide-react";
import { Fragment, useMemo, useState } from "react";
import { Link, Navigate, Outlet, useNavigate, useSearchParams } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { type JobRecord, jobRecord, movedBy } from "~/core/logbook";
import type { Stage } from "~/core/records";
import { stoodAdjuster } from "~/operations/stood-adjuster";
import { Button, buttonClass } from "~/ui/button";
import { deferred } from "~/ui/deferred";
import { later, useLater } from "~/ui/use-later";
import { ClockStrip, UnkeptStrip } from "../offline/clock-strip";
import { useOutbox } from "../offline/outbox-state";
import { InstrumentPanel } from "../practice/instrument-panel";
import { useWedgeGuard } from "../practice/wedge-guard";
import { Head } from "../shell/head";
import { Help } from "../shell/help";
import { PersonMenu } from "../shell/person-menu";
import { clock } from "../words/times";
import { JobContext, type JobScreenValue, pathOf } from "./entries/job-context";
import type { JobLoaded } from "./entries/job-loaded";
import { nothingBefore } from "./entries/stage-before";
import type { TypedDraft } from "./entries/typed-draft";
import { useDraftKept, useDraftReady, useTypedDraft } from "./entries/use-draft";
import { useEntries } from "./entries/use-entries";
import { stageIn } from "./stations/first-station";
import { Ledger } from "./stations/ledger";
import { StageSwitch } from "./stations/stage-switch";
import { StationShaft } from "./stations/station-shaft";
import type { StationKey } from "./stations/stations";

/** Head with power and what is kept, stations along the top, the station itself, the tape along the bottom. */
export function JobScreen({ data, here }: { data: JobLoaded; here: StationKey }) {
  useWedgeGuard();
  const { machine, stages } = data;
  const [search] = useSearchParams();
  const entered = stageIn(stages, search);
  const screen = useScreen(data, entered);
  const { job, stage, draft } = screen;
  const ready = useDraftReady(draft);
  const signed = job.entries.some((entry) => entry.kind === "signature");
  const safePath = screen.stationPath("make-safe");
  return (
    <JobContext value={screen}>
      <div className="h-dvh max-sm:h-auto max-sm:min-h-dvh flex flex-col">
        <Head
          right={
            <>
              {!signed && <Ledger />}
              <Power record={job.record} signed={signed} safePath={safePath} />
              <KeptMark draft={draft} jobId={data.job.id} />
              <div className="flex gap-3 max-lg:hidden">
                <Help />
                <PersonMenu />
              </div>
            </>
          }
        >
          <div className="flex gap-3 items-center">
            <h1 className="grow text-lg truncate max-sm:whitespace-normal max-sm:leading-tight">
              <Link to={`/machines/${machine.id}`} className="text-ink max-sm:text-base">
                {machine.name}
              </Link>
              ,{" "}
              <b>
                {stage.name}{" "}
                <span className="figure">
                  <SizeOf element={stage.geometry.element} />
                </span>
              </b>
            </h1>
            <span className="lg:hidden">
              <Help typed={false} />
            </span>
          </div>
        </Head>
        {stages.length > 1 && <StageSwitch here={here} />}
        <StationShaft
          here={here}
          record={job.record}
          locks={stage.adjuster.adjuster !== null}
          signed={signed}
          pathOf={screen.stationPath}
        />
        {!signed && data.given && (
          <p className="bg-panel border-b border-rule px-5 max-sm:px-3.5 py-2 text-lg shrink-0">
            <b>{data.given.to.id === data.person.id ? "Yours" : `${data.given.to.name} has it`}</b>, from{" "}
            {data.given.givenByName}
            {data.given.note && `: ${data.given.note}`}
          </p>
        )}
        <ClockStrip />
        <UnkeptStrip />
        {job.refused.map((waiting) => (
          <RefusedStrip key={waiting.id} waiting={waiting} stages={stages} />
        ))}
        {job.revised.length > 0 && (
          <p role="alert" className="bg-panel border-b-2 border-near px-5 max-sm:px-3.5 py-2 text-lg shrink-0">
            <b>{job.revised.join(", ")}:</b> geometry, adjuster or limits were revised while this job is open. What you
            read from now on is judged by the new ones; what was read before stays as it was judged.
          </p>
        )}
        {handsIn.has(here) && ready && !signed && job.record.power?.state !== "isolated" && (
          <p role="alert" className="bg-panel border-b-2 border-outside px-5 max-sm:px-3.5 py-2 text-lg shrink-0">
            <b className="text-outside">{job.record.power ? "It is live." : "It was not made safe."}</b>{" "}
            <Link to={safePath} replace>
              Make safe
            </Link>{" "}
            before hands go in.
          </p>
        )}
        <main className="grow min-h-0 flex flex-col">
          {signed && here !== "sign-off" ? (
            <Navigate to={screen.stationPath("sign-off")} replace />
          ) : ready ? (
            <Fragment key={`${here} ${stage.id}`}>
              <Outlet />
            </Fragment>
          ) : (
            <Finding />
          )}
        </main>
        {!signed && <InstrumentPanel machineId={machine.id} stageId={stage.id} />}
        <Tape entries={job.entries} stages={stages} now={data.now} />
      </div>
    </JobContext>
  );
}

/** The job as it stands on one of its stages; the same value until an entry comes or what was loaded is another. */
function useScreen(data: JobLoaded, entered: Stage): JobScreenValue {
  const { entries, refused, allHere, revised, put, sign } = useEntries(data);
  const draft = useTypedDraft(data.job.id, entered.id, data.person.id, data.drafts);
  return useMemo(() => {
    const before = data.before.find((item) => item.stageId === entered.id) ?? nothingBefore(entered.id);
    const moved = before.moved + movedBy(entries, entered.adjuster.id);
    const stage = { ...entered, adjuster: stoodAdjuster(entered, moved) };
    const all = [...(data.leftOff ?? []), ...entries];
    const recordOf = (of: Stage) => jobRecord(all, of);
    const { changeRound, changeText } = draft;
    const job = { entries, refused, allHere, revised, sign, changeRound, changeText, recordOf };
    return {
      data,
      stage,
      entered,
      before,
      draft,
      job: { ...job, record: recordOf(stage), put: (work) => put(stage, work) },
      entriesHere: entries.filter((entry) => entry.stageId === stage.id || entry.stageId === null),
      stationPath: (station) => pathOf(data, stage, station),
    };
  }, [data, entered, entries, refused, allHere, revised, put, sign, draft]);
}

/** Stations at which hands are in the machine. */
const handsIn: ReadonlySet<StationKey> = new Set(["as-found", "apart", "put-right", "set", "lock-up"]);

function Finding() {
  return (
    <p role="status" className="p-6 text-lg text-mid">
      Looking for what was typed before …
    </p>
  );
}

const SizeOf = deferred(async () => (await import("../stage/size-of")).SizeOf);
const RefusedStrip = deferred(async () => (await import("./stations/refused-strip")).RefusedStrip);
const Tape = deferred(async () => (await import("../logbook/tape")).Tape);
const goingLive = later(async () => (await import("./stations/going-live")).GoingLive);

/** Isolated or live: always on screen, and changed here. */
function Power({ record, signed, safePath }: { record: JobRecord; signed: boolean; safePath: string }) {
  const [asking, setAsking] = useState(false);
  const navigate = useNavigate();
  const GoingLive = useLater(goingLive, asking, () => setAsking(false));
  if (signed) return <span className="font-semibold text-inside">Signed</span>;
  if (record.power?.state === "isolated") {
    return (
      <>
        <Button kind="solid" onClick={() => setAsking(true)}>
          {record.power.lock === null ? "Isolated, no lock" : `Isolated, lock ${record.power.lock}`}
        </Button>
        {GoingLive && <GoingLive open={asking} onOpenChange={setAsking} />}
      </>
    );
  }
  const live = record.power?.state === "live";
  return (
    <Button
      className={live ? "border-outside text-outside" : "border-dashed"}
      onClick={() => navigate(safePath, { replace: true })}
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

/** How well what was done and typed is kept: on the server since when, or on this tablet and why. */
function KeptMark({ draft, jobId }: { draft: TypedDraft; jobId: string }) {
  const reader = useWords();
  const outbox = useOutbox();
  const typed = useDraftKept(draft);
  const waiting = outbox.items.filter((item) => item.jobId === jobId && !item.refusal).length;
  const at = [outbox.at, typed.at].filter((time) => time !== null).sort();
  const kept = {
    at: at[at.length - 1] ?? null,
    waiting,
    why: waiting > 0 ? (outbox.stopped ?? typed.why) : typed.why,
  };
  const why = {
    "no-network": "no network",
    server: "server away",
    database: "logbook away",
    "signed-out": "signed out",
    "other-person": "somebody else is signed in",
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
      {kept.at && (
        <>
          Kept <span className="figure">{clock(reader, kept.at)}</span>
        </>
      )}
    </span>
  );
}
