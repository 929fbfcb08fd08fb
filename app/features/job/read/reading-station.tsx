import { type RefObject, useEffect, useMemo, useRef, useState } from "react";
import { useNavigate } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import { feltOfStage, firstOfRound, hasClick, isKind, type RoundPhase, sameTeeth } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { placesToRead } from "~/core/rounds";
import { frameOf, leastPlaces, measuredUnit, placeCount, teethOf } from "~/core/stages";
import { inGear } from "~/operations/stage-as-read";
import { Button } from "~/ui/button";
import { usePreferences } from "../../people/use-preferences";
import { withUnit } from "../../words/spoken";
import { Onward, OtherWay, ReadAgain } from "../advise/after-move";
import type { ChosenStack } from "../advise/drawer-pane";
import { MovePane } from "../advise/move-pane";
import { emptyRound } from "../entries/draft-store";
import { useJobScreen } from "../entries/job-context";
import { useGhost, useGoingOn, useKnown } from "../entries/known-round";
import { doneWords } from "../stations/stations";
import { FeelStation } from "./feel-station";
import { MethodForm, methodInput, methodOf } from "./method-form";
import { NoInstrument } from "./no-instrument";
import { ReadingsPane } from "./readings-pane";
import { RoundPane } from "./round-pane";
import { roundView } from "./round-view";
import { SidePane } from "./side-pane";

/** Tooth counts that were in mesh as the open round was begun, as the draft holds them. */
function begunWith(text: string | undefined): [number, number] | undefined {
  const [pinion, gear] = (text ?? "").split(" ").map(Number);
  return pinion && gear ? [pinion, gear] : undefined;
}

/** Left to right, one glance: the readings being taken, the picture they make, the next move. */
export function ReadingStation({ phase }: { phase: RoundPhase }) {
  const { job, data, stage } = useJobScreen();
  if (data.instruments.length === 0) return <NoInstrument />;
  return job.draft.texts[`way.${phase}`] === "feel" && hasClick(stage.geometry.element) ? (
    <FeelStation phase={phase} />
  ) : (
    <NumberStation phase={phase} />
  );
}

function NumberStation({ phase }: { phase: RoundPhase }) {
  const reader = useWords();
  const { data, stage, job, stationPath } = useJobScreen();
  const navigate = useNavigate();
  const soButton = useRef<HTMLButtonElement>(null);
  const round = job.draft.rounds[phase];
  const { texts } = job.draft;
  const method = useMemo(
    () => methodOf(reader, stage, texts, data.instruments),
    [reader, stage, texts, data.instruments],
  );
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { learnt, response, recorded, known, last, wentOtherWay } = useKnown(method.gear);
  const goesOn = useGoingOn(phase);
  const goingOn = useRef(false);
  useEffect(() => {
    goingOn.current = goesOn !== null;
  }, [goesOn]);
  const { school } = usePreferences();
  const { asFoundGhost } = useGhost();
  // A tight spot that was only felt is where one stands while setting, until something was measured.
  const readingField = useRef<HTMLInputElement>(null);
  const methodFields = useRef(new Map<string, HTMLInputElement>());
  const { lastFeel } = job.record;
  const feltTight = lastFeel && !job.record.changedSinceFeel ? feltOfStage(lastFeel, stage.geometry).tightTooth : null;

  const read = useMemo(() => inGear(stage, method.gear), [stage, method.gear]);
  const frame = useMemo(() => frameOf(read.geometry.element), [read]);
  // Of a switchable pair its first gear: which one is in may still be chosen.
  const mesh = teethOf(stage.geometry.element);
  const begun = begunWith(texts[`mesh.${phase}`]);
  const exchanged = round.readings.length > 0 && !sameTeeth(begun, mesh);
  /** Readings of a gear that has been exchanged since: nothing of them is lost, and nothing of them is taken for the new one. */
  const putInNote = async () => {
    const readings = round.readings.map(({ tooth, typed }) => `tooth ${tooth} ${typed}`).join(", ");
    const result = await job.put({ kind: "note", text: `Read with ${begun?.join(" : ")} in mesh: ${readings}` });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) job.changeRound(phase, emptyRound);
  };
  const positions = useMemo(() => {
    const planned = placesToRead(frame, read.geometry.arcDeg);
    if (goesOn) return stillToRead(planned, goesOn.readings, placeCount(frame));
    const stand = phase === "set" ? (recorded?.standTooth ?? feltTight) : null;
    return stand ? [stand, ...planned.filter((tooth) => tooth !== stand)] : planned;
  }, [read, frame, phase, recorded?.standTooth, feltTight, goesOn]);
  const tooth = positions[Math.min(round.at, positions.length)] ?? null;
  const typing = round.readings.length > 0 || round.field !== "";
  const typed = useMemo(
    () =>
      roundView({
        stage: read,
        instrument: method.instrument,
        method,
        phase,
        readings: round.readings,
        open:
          tooth === null || round.field === ""
            ? null
            : { typed: withUnit(round.field, method.bareUnit, measuredUnit[method.quantity].bare), tooth },
        known,
        response,
        earlier: goesOn?.readings ?? [],
        school,
      }),
    [read, method, phase, round, tooth, known, response, goesOn, school],
  );
  // What stands in the logbook is shown until one types again, and until something was moved.
  const settled = !typing && recorded !== null && !job.record.changedSinceRound;
  const view = typing ? typed : recorded;
  const ghost = last && job.record.asFound?.id !== last.id ? asFoundGhost : null;

  /** Makes an entry of the readings that stand open; false where they were refused, and then they all stay. */
  const finish = async (): Promise<boolean> => {
    if (round.readings.length === 0) return true;
    if (method.problem) {
      setProblem(method.problem);
      methodFields.current.get(String(method.problem.path[0]))?.focus();
      return false;
    }
    const result = await job.put({
      kind: "round",
      phase: goesOn?.phase ?? phase,
      method: methodInput(method),
      readings: round.readings,
      teeth: begunWith(texts[`mesh.${phase}`]),
      continues: goesOn?.first ?? null,
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) {
      job.changeRound(phase, emptyRound);
      job.changeText(`kept.${phase}`, "");
      job.changeText(`on.${phase}`, "");
    }
    return result.ok;
  };

  const done = async () => {
    if (!(await finish())) return;
    const nothingToMove = !view?.move || view.move.amount === 0;
    if (phase === "check" && nothingToMove) navigate(stationPath("prove"), { replace: true });
    else
      setTimeout(() => {
        // Whoever goes on with the round meanwhile is in the field, and stays there.
        if (!goingOn.current) soButton.current?.focus();
      }, 60);
  };

  const move = async (amount: number, did: "so" | "otherwise", note: string, feelerMm?: number[]) => {
    if (!(await finish())) return;
    const advised = view?.move && view.move.amount !== 0 ? { ...view.move, standTooth: view.standTooth } : null;
    const reasons = view?.advice?.reasons ?? [];
    const adjusterId = stage.adjuster.id;
    const result = await job.put({ kind: "move", amount, did, advised, reasons, note, adjusterId, feelerMm });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    for (const name of ["move.amount", "move.note"]) job.changeText(name, "");
    navigate(stationPath("set"), { replace: true });
  };

  const take = async ({ amount, min, max, stack, stock }: ChosenStack) => {
    if (!(await finish())) return;
    const advised = { amount, min, max, at: null, standTooth: view?.standTooth ?? null };
    const reasons = view?.advice?.reasons ?? [];
    const adjusterId = stage.adjuster.id;
    const result = await job.put({
      kind: "move",
      amount,
      did: "so",
      advised,
      reasons,
      note: "",
      adjusterId,
      stack,
      stock,
    });
    setProblem(result.ok ? null : result.refusal);
    if (!result.ok) return;
    navigate(stationPath("set"), { replace: true });
  };

  useFieldAfterMove(readingField, phase, goesOn?.first ?? "");
  const waitingForReading =
    !typing && job.record.changedSinceRound && phase !== "as-found" && job.record.moves.length > 0;
  const kept = (texts[`kept.${phase}`] ?? "").split(" ").filter(Boolean);
  const questioned =
    typed?.readings.find((r) => r.questioned && !r.struck && !r.open && !kept.includes(String(r.index))) ?? null;
  const asking = typing || !recorded || waitingForReading || goesOn !== null;
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[18.5rem_minmax(0,1fr)_minmax(0,28rem)] max-lg:flex max-lg:flex-col max-lg:gap-1.5 max-lg:px-3.5 max-lg:py-2 md:max-lg:overflow-y-auto">
      <div className="p-4 min-h-0 flex flex-col lg:overflow-y-auto max-lg:contents">
        <ReadingsPane
          field={readingField}
          round={round}
          change={(how) => {
            if (round.readings.length === 0) job.changeText(`mesh.${phase}`, mesh?.join(" ") ?? "");
            job.changeRound(phase, how);
          }}
          positions={positions}
          frame={frame}
          quantity={method.quantity}
          view={typed}
          bareUnit={method.bareUnit}
          onBareUnit={(unit) => job.changeText("method.unit", unit)}
          least={phase === "set" || goesOn ? 1 : leastPlaces(frame)}
          stopsEarly={phase === "set" || goesOn !== null}
          doneWord={goesOn ? "Add to the round" : doneWords[phase]}
          onDone={done}
          problem={problem}
          questioned={questioned}
          onKeepQuestioned={(index) => job.changeText(`kept.${phase}`, `${kept.join(" ")} ${index}`.trim())}
          asking={asking}
          method={
            <>
              <MethodForm
                fields={methodFields}
                stage={stage}
                texts={texts}
                instruments={data.instruments}
                onText={job.changeText}
              />
              <SidePane stage={stage} />
            </>
          }
          instead={
            <div className="flex flex-wrap gap-2 py-1.5">
              {exchanged && (
                <div className="border-l-4 border-outside pl-3 grid gap-2">
                  <p role="alert" className="font-semibold">
                    These were read with {begun?.join(" : ")} in mesh; {mesh?.join(" : ")} are in now.
                  </p>
                  <Button onClick={putInNote}>Put them in a note, and begin anew</Button>
                </div>
              )}
              {settled && last && !goesOn && (
                <Button kind="quiet" onClick={() => job.changeText(`on.${phase}`, firstOfRound(last))}>
                  Go on with this round
                </Button>
              )}
              {goesOn && !typing && (
                <Button kind="quiet" onClick={() => job.changeText(`on.${phase}`, "")}>
                  Begin a new round
                </Button>
              )}
              {hasClick(stage.geometry.element) && (
                <Button kind="quiet" onClick={() => job.changeText(`way.${phase}`, "feel")}>
                  By feel
                </Button>
              )}
            </div>
          }
        />
      </div>
      <div
        className={`bg-panel min-h-0 p-2 max-lg:-mx-3.5 max-lg:h-[24rem] max-sm:h-[18.5rem] shrink-0 flex items-center justify-center ${asking ? "max-lg:order-3" : "max-lg:order-1"}`}
      >
        <RoundPane
          stage={read}
          instrument={method.instrument}
          view={waitingForReading ? null : view}
          ghost={waitingForReading ? (recorded?.fitted ?? ghost) : ghost}
          currentTooth={asking ? tooth : null}
          counterClockwise={method.sense === "counter-clockwise"}
        />
      </div>
      <div className={`lg:p-5 max-lg:py-3 min-h-0 lg:overflow-y-auto ${asking ? "max-lg:order-5" : "max-lg:order-1"}`}>
        {waitingForReading ? (
          <ReadAgain stage={read} tooth={positions[0] ?? null} />
        ) : wentOtherWay && texts[`sense.${wentOtherWay}`] !== "right" ? (
          <OtherWay stage={stage} onGoOn={() => job.changeText(`sense.${wentOtherWay}`, "right")} />
        ) : (
          <MovePane
            stage={read}
            instrument={method.instrument}
            instruments={data.instruments}
            view={view}
            learnt={learnt}
            clamps={job.record.clamps}
            onEase={(clamp) => job.put({ kind: "clamp", clamp, pass: 0, state: "eased" })}
            feltTight={feltTight}
            texts={texts}
            onText={job.changeText}
            onSo={(feelerMm) => view?.move && move(view.move.amount, "so", "", feelerMm)}
            onTake={take}
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

/** Planned places that the round does not have yet; when it has them all, every other one. */
function stillToRead(
  planned: readonly number[],
  readings: readonly { tooth: number; struck: boolean }[],
  places: number,
) {
  const read = new Set(readings.flatMap((reading) => (reading.struck ? [] : [reading.tooth])));
  const left = planned.filter((tooth) => !read.has(tooth));
  if (left.length > 0) return left;
  return Array.from({ length: places }, (_, i) => i + 1).filter((tooth) => !read.has(tooth));
}

/** After a move the field waits for the tight spot, and on going on with a round for its next place. */
function useFieldAfterMove(field: RefObject<HTMLInputElement | null>, phase: RoundPhase, goesOnWith: string): void {
  const { entriesHere } = useJobScreen();
  const moves = entriesHere.filter(isKind("move")).length;
  useEffect(() => {
    if ((phase === "set" && moves > 0) || goesOnWith !== "") field.current?.focus({ preventScroll: true });
  }, [field, phase, moves, goesOnWith]);
}
