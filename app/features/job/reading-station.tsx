import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { isKind, knownRound, pastMoves, type RoundPhase } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { buttonClass } from "~/ui/button";
import { emptyRound } from "./draft-store";
import { useJobScreen } from "./job-context";
import { learnStage } from "./learn-stage";
import { MethodForm, methodOf } from "./method-form";
import { MovePane } from "./move-pane";
import { plannedTeeth } from "./planned-teeth";
import { ReadingsPane } from "./readings-pane";
import { RoundPane } from "./round-pane";
import { recordedView, roundView } from "./round-view";

const doneWords: Record<RoundPhase, string> = {
  "as-found": "Round done",
  set: "Reading done",
  check: "Check round done",
};

/** Left to right, one glance: the readings being taken, the picture they make, the next move. */
export function ReadingStation({ phase }: { phase: RoundPhase }) {
  const { data, job, stationPath } = useJobScreen();
  const { stage, instruments, earlierMoves } = data;
  const learnt = useMemo(
    () => learnStage(stage, [...earlierMoves, ...pastMoves(job.entries, stage.adjuster.id)], instruments),
    [stage, earlierMoves, job.entries, instruments],
  );
  const navigate = useNavigate();
  const soButton = useRef<HTMLButtonElement>(null);
  const round = job.draft.rounds[phase];
  const { texts } = job.draft;
  const method = useMemo(() => methodOf(texts, instruments), [texts, instruments]);
  const response = useMemo(() => (learnt.moves > 0 ? { perUnit: learnt.perUnit, sd: learnt.sd } : undefined), [learnt]);
  const [problem, setProblem] = useState<Refusal | null>(null);

  const last = job.record.lastRound;
  const teeth = stage.geometry.pair.teeth[1];
  const known = useMemo(() => knownRound(job.entries, stage.id, teeth), [job.entries, stage.id, teeth]);
  const recorded = useMemo(() => {
    if (!last) return null;
    const before = job.entries.filter((entry) => entry.seq < last.seq);
    return recordedView(stage, last, knownRound(before, stage.id, teeth), response);
  }, [stage, last, job.entries, teeth, response]);
  const positions = useMemo(() => {
    const planned = plannedTeeth(stage.geometry.pair.teeth);
    const stand = phase === "set" ? recorded?.standTooth : null;
    return stand ? [stand, ...planned.filter((tooth) => tooth !== stand)] : planned;
  }, [stage, phase, recorded?.standTooth]);
  const tooth = positions[Math.min(round.at, positions.length)] ?? null;
  const typing = round.readings.length > 0 || round.field !== "";
  const typed = useMemo(
    () =>
      roundView({
        stage,
        instrument: method.instrument,
        method: { indicatorRadiusMm: method.indicatorRadiusMm, indicatorAngleDeg: method.indicatorAngleDeg },
        phase,
        readings: round.readings,
        open: tooth === null || round.field === "" ? null : { typed: round.field, tooth },
        known,
        response,
      }),
    [stage, method, phase, round, tooth, known, response],
  );
  // What stands in the logbook is shown until one types again, and until something was moved.
  const settled = !typing && recorded !== null && !job.record.changedSinceRound;
  const view = typing ? typed : recorded;
  const asFound = job.record.asFound;
  const ghost = useMemo(() => {
    if (!asFound || asFound.id === last?.id) return null;
    return recordedView(stage, asFound, null, undefined)?.fitted ?? null;
  }, [asFound, last?.id, stage]);

  const putRound = () =>
    job.put({
      kind: "round",
      phase,
      method: {
        instrumentId: method.instrument.id,
        indicatorRadiusMm: method.indicatorRadiusMm,
        indicatorAngleDeg: method.indicatorAngleDeg,
        temperatureC: method.temperatureC,
        sense: method.sense,
      },
      readings: round.readings,
    });

  /** Makes an entry of the readings that stand open; false where they were refused, and then they all stay. */
  const finish = async (): Promise<boolean> => {
    if (round.readings.length === 0) return true;
    const result = await putRound();
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) {
      job.changeRound(phase, emptyRound);
      job.changeText(`kept.${phase}`, "");
    }
    return result.ok;
  };

  const done = async () => {
    if (!(await finish())) return;
    const nothingToMove = !view?.move || view.move.amount === 0;
    if (phase === "check" && nothingToMove) navigate(stationPath("prove"), { replace: true });
    else setTimeout(() => soButton.current?.focus(), 60);
  };

  const move = async (amount: number, did: "so" | "otherwise", note: string) => {
    if (!(await finish())) return;
    const advised = view?.move && view.move.amount !== 0 ? { ...view.move, standTooth: view.standTooth } : null;
    const result = await job.put({ kind: "move", amount, did, advised, reasons: view?.advice.reasons ?? [], note });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    for (const name of ["move.amount", "move.note"]) job.changeText(name, "");
    navigate(stationPath("set"), { replace: true });
  };

  // After a move the field waits for the tight spot.
  const moves = job.entries.filter(isKind("move")).length;
  useEffect(() => {
    if (phase === "set" && moves > 0)
      document.querySelector<HTMLInputElement>("[aria-describedby=reading-said]")?.focus({ preventScroll: true });
  }, [phase, moves]);

  const waitingForReading =
    !typing && job.record.changedSinceRound && phase !== "as-found" && job.record.moves.length > 0;
  const kept = (texts[`kept.${phase}`] ?? "").split(" ").filter(Boolean);
  const questioned =
    typed?.readings.find((r) => r.questioned && !r.struck && !r.open && !kept.includes(String(r.index))) ?? null;
  const asking = typing || !recorded || waitingForReading;
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[18.5rem_minmax(0,1fr)_minmax(0,28rem)] max-lg:flex max-lg:flex-col max-lg:gap-1.5 max-lg:px-3.5 max-lg:py-2 md:max-lg:overflow-y-auto">
      <div className="p-4 min-h-0 flex flex-col lg:overflow-y-auto max-lg:contents">
        <ReadingsPane
          round={round}
          change={(how) => job.changeRound(phase, how)}
          positions={positions}
          teeth={teeth}
          view={typed}
          bareUnit={method.bareUnit}
          onBareUnit={(unit) => job.changeText("method.unit", unit)}
          least={phase === "set" ? 1 : 3}
          stopsEarly={phase === "set"}
          doneWord={doneWords[phase]}
          onDone={done}
          problem={problem}
          questioned={questioned}
          onKeepQuestioned={(index) => job.changeText(`kept.${phase}`, `${kept.join(" ")} ${index}`.trim())}
          asking={asking}
          method={<MethodForm texts={texts} instruments={instruments} onText={job.changeText} />}
        />
      </div>
      <div
        className={`bg-panel min-h-0 p-2 max-lg:-mx-3.5 max-lg:h-[24rem] max-sm:h-[18.5rem] shrink-0 flex items-center justify-center ${asking ? "max-lg:order-3" : "max-lg:order-1"}`}
      >
        <RoundPane
          stage={stage}
          instrument={method.instrument}
          view={waitingForReading ? null : view}
          ghost={waitingForReading ? (recorded?.fitted ?? ghost) : ghost}
          currentTooth={asking ? tooth : null}
          counterClockwise={method.sense === "counter-clockwise"}
        />
      </div>
      <div className={`lg:p-5 max-lg:py-3 min-h-0 lg:overflow-y-auto ${asking ? "max-lg:order-5" : "max-lg:order-1"}`}>
        {waitingForReading ? (
          <ReadAgain tooth={positions[0] ?? null} />
        ) : (
          <MovePane
            stage={stage}
            instrument={method.instrument}
            view={view}
            learnt={learnt}
            texts={texts}
            onText={job.changeText}
            onSo={() => view?.move && move(view.move.amount, "so", "")}
            onOtherwise={(amount, note) => {
              if (amount === 0) return { code: "no-amount", path: ["amount"], facts: {} };
              move(amount, "otherwise", note);
              return null;
            }}
            questioned={questioned && { tooth: questioned.tooth, typed: round.readings[questioned.index]?.typed ?? "" }}
            soButton={soButton}
            onward={settled ? <Onward to={stationPath(phase === "check" ? "prove" : "lock-up")} phase={phase} /> : null}
          />
        )}
      </div>
    </div>
  );
}

function Onward({ to, phase }: { to: string; phase: RoundPhase }) {
  return (
    <Link to={to} replace className={buttonClass("now", true)}>
      {phase === "check" ? "Prove it" : "Lock up"}
    </Link>
  );
}

function ReadAgain({ tooth }: { tooth: number | null }) {
  return (
    <section aria-label="Next move">
      <p className="text-mid font-semibold mb-1">Moved</p>
      <p className="text-2xl font-semibold leading-snug">
        Clamp at full torque and read <span className="text-copper">tooth {tooth}</span>, the tight spot, again.
      </p>
      <p className="text-lg text-mid mt-2">
        The rest of the round is carried over from it; read more places if you doubt it.
      </p>
    </section>
  );
}
