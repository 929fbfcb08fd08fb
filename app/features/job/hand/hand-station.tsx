import { useMemo, useState } from "react";
import { type FeltJudged, feelMethods, feltOfStage, type RoundPhase, readInGear } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { inGear, ownStop } from "~/operations/stage-as-read";
import { Button } from "~/ui/button";
import { OtherGears } from "../advise/other-gears";
import { JobContext, useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { GearKeys, useGearIn } from "../read/gear-keys";
import { ShiftFold } from "../shift/shift-fold";
import { FeelPane } from "./feel-pane";
import { FeelPicture } from "./feel-picture";
import type { HandPane } from "./hand-pane";
import { HandSays } from "./hand-says";
import { type HandWay, handWaysOf, handWayWords } from "./hand-ways";
import { PaperPane } from "./paper-pane";
import { PaperPicture } from "./paper-picture";
import { PhotographFold } from "./photograph-fold";
import { PinsPane } from "./pins-pane";
import { PinsPicture } from "./pins-picture";
import { PrintPane } from "./print-pane";
import { PrintPicture } from "./print-picture";
import { useFeelRound } from "./use-feel-round";

/** A stage read by hand, where nothing is measured: by feel, with paper, by a contact print, with pins. It is kept beside numbers, and says what it is. */
export function HandStation(props: { phase: RoundPhase; way: HandWay }) {
  const screen = useJobScreen();
  const gear = useGearIn();
  const { stage, job, entriesHere } = screen;
  // Everything below is of the gear that is in: its mesh, its limits, its stop, what was read of it.
  const inIt = useMemo(() => {
    if (gear === null) return screen;
    const record = { ...job.record, ...readInGear(job.record, gear) };
    const stop = ownStop(stage, gear);
    const own = entriesHere.filter((entry) => entry.kind !== "move" || entry.body.gear === stop);
    const put: typeof job.put = (work) => job.put(stop && work.kind === "move" ? { ...work, gear: stop } : work);
    return { ...screen, stage: inGear(stage, gear), entriesHere: own, job: { ...job, record, put } };
  }, [screen, gear, job, stage, entriesHere]);
  return (
    <JobContext value={inIt}>
      <InHand {...props} gear={gear} />
    </JobContext>
  );
}

function InHand({ phase, way, gear }: { phase: RoundPhase; way: HandWay; gear: string | null }) {
  const { stage, job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { element } = stage.geometry;
  const round = useFeelRound(phase);
  const log: HandPane["log"] = async (work) => {
    const result = await job.put({ kind: "feel", phase, ...work, ...(gear ? { gear } : {}) });
    setProblem(result.ok ? null : result.refusal);
    return result.ok;
  };
  const pane: HandPane = { phase, log, problem };
  const { lastFeel, changedSinceFeel } = job.record;
  const stands = lastFeel && !changedSinceFeel ? lastFeel : null;
  const judged: FeltJudged | null =
    round.felt.length > 0 && way === "feel" ? round.judged : stands && feltOfStage(stands, stage.geometry);
  const method = feelMethods.find((known) => known === texts["felt.method"]) ?? "by hand";
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[23rem_minmax(0,1fr)_minmax(0,25rem)] lg:grid-rows-[minmax(0,1fr)] max-lg:flex max-lg:flex-col max-lg:px-3.5 max-lg:py-2 max-lg:overflow-y-auto">
      <div key={way} className="p-4 max-lg:p-0 flex flex-col gap-3 lg:min-h-0 lg:overflow-y-auto">
        <GearKeys gear={gear} held={round.felt.length > 0} />
        {way === "feel" && <FeelPane {...pane} round={round} method={method} />}
        {way === "paper" && <PaperPane {...pane} />}
        {way === "print" && <PrintPane {...pane} />}
        {way === "pins" && <PinsPane {...pane} />}
        {way === "paper" && <PhotographFold shows={`Print of paper, ${stage.name}`} />}
        {way === "print" && <PhotographFold shows={`Contact print, ${stage.name}`} />}
        <ShiftFold stage={stage} />
        <div className="flex flex-wrap gap-2">
          {handWaysOf(element)
            .filter((other) => other !== way)
            .map((other) => (
              <Button key={other} kind="quiet" onClick={() => job.changeText(`way.${phase}`, other)}>
                {handWayWords[other]}
              </Button>
            ))}
          <Button kind="quiet" onClick={() => job.changeText(`way.${phase}`, "numbers")}>
            Read numbers instead
          </Button>
          <OtherGears />
        </div>
      </div>
      <div className="bg-panel min-h-0 p-2 max-lg:min-h-[18.5rem] flex items-center justify-center">
        {way === "feel" && <FeelPicture round={round} />}
        {way === "paper" && <PaperPicture phase={phase} />}
        {way === "print" && <PrintPicture phase={phase} />}
        {way === "pins" && <PinsPicture />}
      </div>
      <HandSays phase={phase} way={way} judged={judged} typing={judged !== null && judged === round.judged} />
    </div>
  );
}
