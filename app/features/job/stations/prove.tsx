import { useState } from "react";
import { Link } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { isKind, outstandingOf, type RunWay, unlikeDirections } from "~/core/logbook";
import { usualAsymmetryPercent } from "~/core/proving";
import type { Stage } from "~/core/records";
import { frameOf, gearNames } from "~/core/stages";
import { Button, buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import { useIdle } from "~/ui/use-later";
import { useDoNow } from "../../shell/use-arrival";
import { unprovenEndsWords, unprovenWords } from "../../words/proof";
import { asymmetryWords, outstandingWords } from "../../words/run";
import { shortDay } from "../../words/times";
import { onlyPushes } from "../advise/only-pushes";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { measurePane } from "../right/deferred-measure";
import { SweepFold } from "../shift/sweep-fold";
import { ClunkPane } from "./clunk-pane";
import { GoingLive } from "./going-live";
import { choicesOf, chosenRun, lastOf, runBlocks } from "./run-choice";
import { RunForm } from "./run-form";
import { RunFigures } from "./run-judged";
import { RunMatrix } from "./run-matrix";
import { StallList } from "./stall-list";

const Closure = measurePane("closure", () => import("../../bench/measures/closure"));

/** The runs that prove it: each touched, run, filled in and judged; what is still to be done is seen. */
export function Prove() {
  const { data, job, stage, stationPath, before: known } = useJobScreen();
  const [asking, setAsking] = useState(false);
  const texts = useTexts();
  // What is asked next where it knocks comes beforehand, so that it opens without a network.
  const idle = useIdle();
  useDoNow(job.record.power?.state);
  const { ends } = frameOf(stage.geometry.element);
  const live = job.record.power?.state === "live";
  const way: RunWay = live ? "powered" : "by-hand";
  const blocks = runBlocks(job.record.planned, stage.id, gearsToProve(stage));
  const proofs = job.record.proofs;
  const choice = chosenRun(blocks, texts["proof.run"] ?? "", way, proofs);
  const earlier = known.proofs.filter(isKind("proof"));
  const last = earlier[0];
  // Each run of a plan beside when it was last run; without one, beside the last job.
  const before = earlier.filter((run) => run.body.planned || run.jobId === last?.jobId).reverse();
  const stall = proofs.at(-1)?.body.outcome === "stalled" ? proofs.at(-1) : undefined;
  return (
    <div className="grow min-h-0 overflow-y-auto grid content-start lg:grid-cols-[minmax(0,34rem)_minmax(0,1fr)] gap-6 p-5 max-sm:p-3.5">
      <section aria-label="Run" className="grid gap-4 content-start lg:order-2">
        <h2 className="text-2xl font-bold">
          {live
            ? "Run it, and note what it does"
            : ends
              ? "Push it by hand first, from end to end: the same drag everywhere"
              : "Turn it by hand first, all the way round: the same drag everywhere"}
        </h2>
        {!live && (
          <div className="flex flex-wrap items-center gap-4">
            <p className="text-lg">
              Then powered. It has to be live for that; a turn by hand is logged while it is isolated.
            </p>
            {job.record.power?.state === "isolated" ? (
              <Button kind="now" large onClick={() => setAsking(true)}>
                Go live
              </Button>
            ) : (
              <Link to={stationPath("make-safe")} replace className={buttonClass("now", true)}>
                Make safe first
              </Link>
            )}
            <GoingLive open={asking} onOpenChange={setAsking} />
          </div>
        )}
        {stall && <StallList key={stall.id} stall={stall} />}
        {onlyPushes(stage) && (
          <p className="border-l-4 border-ink pl-3 text-lg">
            Its screw only pushes: one whole turn of the output under power, watched for a stall, belongs to the proof.
            A tight spot that a hand passes over stops it there.
          </p>
        )}
        {choice && <RunForm key={choice.key} choice={choice} way={way} />}
        <SweepFold stage={stage} />
        <Fold summary="Does it come back to zero?">
          <p className="mb-3">
            Bring the mark to zero driving forwards. Drive whole turns, read by how much it misses; the same way back.
          </p>
          <Closure />
        </Fold>
      </section>
      <section aria-label="Runs so far" className="grid gap-4 content-start">
        <Outstanding />
        <RunMatrix
          blocks={blocks}
          chosen={choice}
          proofs={proofs}
          before={before}
          onChoose={({ key }) => job.changeText("proof.run", key)}
        />
        {last && <LastTime at={last.madeAt} />}
        <Judged />
        <Asymmetry />
        <OtherRuns keys={choicesOf(blocks).flatMap((one) => lastOf(one, proofs)?.id ?? [])} />
        <p>
          <Link to={`/machines/${data.job.machineId}/why?job=${data.job.id}`} prefetch={idle ? "render" : "none"}>
            It does something it should not: why?
          </Link>
        </p>
        {(stage.plans ?? []).length === 0 && (
          <p>
            <Link to={`/stages/${stage.id}/proof-plan`}>Say what proves this stage, and within what limits</Link>
          </p>
        )}
        <ClunkPane />
      </section>
    </div>
  );
}

/** The gears of a switchable stage; of any other one that has no name. */
const gearsToProve = ({ geometry: { element } }: Stage): readonly (string | null)[] => gearNames(element) ?? [null];

/** What is not proven yet, as news. */
function Outstanding() {
  const reader = useWords();
  const { job, stage } = useJobScreen();
  const { planned, unproven, unprovenEnds } = job.record;
  const asked = planned.filter(({ run }) => run.required);
  const proven = asked.filter(({ state }) => state === "proven").length;
  const own = planned.some(({ plan }) => plan.stageId === stage.id);
  // What was not run yet is seen in its cell.
  const looked = (outstandingOf(job.record).outstanding ?? []).filter(({ why }) => why !== "not-run");
  return (
    <p className="text-lg" role="status">
      {planned.length > 0 && (
        <>
          <b>
            {proven} of {asked.length} runs proven.
          </b>{" "}
          {outstandingWords(reader, looked)}{" "}
        </>
      )}
      {!own && `${unprovenWords(unproven) || "Every direction is proven under power"}. `}
      {unprovenEnds.length > 0 && `${unprovenEndsWords(unprovenEnds)}.`}
    </p>
  );
}

function LastTime({ at }: { at: string }) {
  const reader = useWords();
  return <p className="text-mid">Grey: what it showed last time; last run on {shortDay(reader, at)}.</p>;
}

/** The last run that was logged, against the limits of its plan. */
function Judged() {
  const { job } = useJobScreen();
  const last = job.record.proofs.at(-1);
  return last?.body.judged ? <RunFigures judged={last.body.judged} label="The last run against its limits" /> : null;
}

/** Directions that draw unlike. */
function Asymmetry() {
  const reader = useWords();
  const { job, stage } = useJobScreen();
  const limit = (stage.plans ?? []).find(({ stageId }) => stageId === stage.id)?.asymmetryPercent ?? null;
  const unlike = unlikeDirections(job.record.proofs, limit ?? usualAsymmetryPercent);
  if (unlike.length === 0) return null;
  return (
    <ul aria-label="Both directions" className="grid gap-1">
      {unlike.map((one) => (
        <li key={one.alike} className="border-l-4 border-near pl-3 text-lg">
          {asymmetryWords(reader, one)}
          {limit === null ? "" : `; ${limit} % are allowed`}. What binds one way only: end float, a thrust, a print on
          one flank.
        </li>
      ))}
    </ul>
  );
}

/** Runs that stand in no cell: ran again meanwhile, or in a plan that was changed. */
function OtherRuns({ keys }: { keys: readonly string[] }) {
  const { job } = useJobScreen();
  const others = job.record.proofs.filter(({ id }) => !keys.includes(id)).length;
  if (others === 0) return null;
  return (
    <p className="text-mid">
      {others} more {others === 1 ? "run stands" : "runs stand"} on the tape: run again since, or of no run shown here.
    </p>
  );
}
