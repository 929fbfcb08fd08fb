import { type RefObject, useEffect, useRef } from "react";
import { firstOfRound, isKind, type RoundPhase } from "~/core/logbook";
import { leastPlaces } from "~/core/stages";
import { Button } from "~/ui/button";
import { useDeferred } from "~/ui/deferred";
import { later } from "~/ui/use-later";
import { OtherGears } from "../advise/other-gears";
import { useJobScreen } from "../entries/job-context";
import { rememberUnit } from "../entries/remembered-unit";
import { HandWayKeys } from "../hand/hand-way-keys";
import { ShiftFold } from "../shift/shift-fold";
import { doneWords } from "../stations/stations";
import { GearKeys } from "./gear-keys";
import { ListenKey } from "./listen-key";
import { MethodForm } from "./method-form";
import { ReadBeside } from "./read-beside";
import { ReadingsPane } from "./readings-pane";
import { type Logging, useLogging } from "./use-logging";
import { type RoundNow, useRound } from "./use-round";

const whatItSays = later(async () => (await import("./what-it-says")).WhatItSays);

/** Left to right, one glance: the readings being taken, the picture they make, the next move. */
export function NumberStation({ phase }: { phase: RoundPhase }) {
  const WhatItSays = useDeferred(whatItSays);
  const { stage, job, data } = useJobScreen();
  const soButton = useRef<HTMLButtonElement>(null);
  const readingField = useRef<HTMLInputElement>(null);
  const methodFields = useRef(new Map<string, HTMLInputElement>());
  const now = useRound(phase);
  const logging = useLogging(now, { method: methodFields, so: soButton });
  const { goesOn, frame, positions, method, texts } = now;
  useFieldAfterMove(readingField, phase, goesOn?.first ?? "");
  const kept = (texts[`kept.${phase}`] ?? "").split(" ").filter(Boolean);
  return (
    <div className="grow min-h-0 grid lg:grid-cols-[18.5rem_minmax(0,1fr)_minmax(0,28rem)] max-lg:flex max-lg:flex-col max-lg:gap-1.5 max-lg:px-3.5 max-lg:py-2 md:max-lg:overflow-y-auto">
      <div className="p-4 min-h-0 flex flex-col lg:overflow-y-auto max-lg:contents">
        <GearKeys gear={method.gear} held={now.readings.length > 0} />
        <ReadingsPane
          field={readingField}
          phase={phase}
          change={logging.changeRound}
          positions={positions}
          frame={frame}
          quantity={method.quantity}
          view={now.taken}
          bareUnit={method.bareUnit}
          canRead={now.canRead}
          onBareUnit={(unit) => {
            job.changeText("method.unit", unit);
            rememberUnit(data.person.id, unit);
          }}
          least={phase === "set" || goesOn ? 1 : leastPlaces(frame)}
          stopsEarly={phase === "set" || goesOn !== null}
          doneWord={goesOn ? "Add to the round" : doneWords[phase]}
          onDone={logging.done}
          problem={logging.problem}
          questioned={now.questioned}
          onKeepQuestioned={(index) => job.changeText(`kept.${phase}`, `${kept.join(" ")} ${index}`.trim())}
          asking={now.asking}
          method={
            <>
              <MethodForm
                fields={methodFields}
                stage={stage}
                texts={texts}
                instruments={data.instruments}
                onText={job.changeText}
              />
              <ReadBeside stage={stage} />
              <ShiftFold stage={stage} />
            </>
          }
          listen={
            method.quantity === "span-frequency"
              ? (place, onTake) => (
                  <ListenKey
                    stage={stage}
                    place={place}
                    instrument={method.instrument}
                    begun={now.readings.some(({ struck }) => !struck)}
                    onTake={onTake}
                  />
                )
              : null
          }
          instead={<Instead now={now} logging={logging} />}
        />
      </div>
      {WhatItSays ? (
        <WhatItSays now={now} logging={logging} soButton={soButton} />
      ) : (
        <div
          aria-busy="true"
          className="bg-panel min-h-0 max-lg:-mx-3.5 max-lg:h-[24rem] max-sm:h-[18.5rem] shrink-0"
        />
      )}
    </div>
  );
}

/** What can be done instead of typing numbers. */
function Instead({ now, logging }: { now: RoundNow; logging: Logging }) {
  const { job } = useJobScreen();
  const { phase, exchanged, begun, mesh, settled, last, goesOn, typing, frame } = now;
  const goOn = `on.${phase}`;
  const exchangedWords = `These were read with ${begun?.join(" : ")} in mesh; ${mesh?.join(" : ")} are in now.`;
  return (
    <div className="flex flex-wrap gap-2 py-1.5">
      {exchanged && (
        <div className="border-l-4 border-outside pl-3 grid gap-2">
          <p role="alert" className="font-semibold">
            {exchangedWords}
          </p>
          <Button onClick={logging.putInNote}>Put them in a note, and begin anew</Button>
        </div>
      )}
      {settled && last && !goesOn && (
        <Button kind="quiet" onClick={() => job.changeText(goOn, firstOfRound(last))}>
          Read more places
        </Button>
      )}
      {goesOn && !typing && (
        <Button kind="quiet" onClick={() => job.changeText(goOn, "")}>
          Begin a new round
        </Button>
      )}
      {frame.teeth && !typing && phase !== "set" && (
        <p className="basis-full">
          {now.even
            ? "Even steps: the pinion's runout may hide behind the gear's. "
            : "The steps are uneven so that the pinion's runout can be told from the gear's. "}
          <button
            type="button"
            className="underline min-h-11 cursor-pointer"
            onClick={() => job.changeText("method.steps", now.even ? "" : "even")}
          >
            {now.even ? "Uneven steps" : "Even steps"}
          </button>
        </p>
      )}
      <HandWayKeys phase={phase} />
      {!typing && <OtherGears />}
    </div>
  );
}

/** After a move the field waits for the tight spot, and on going on with a round for its next place. */
function useFieldAfterMove(field: RefObject<HTMLInputElement | null>, phase: RoundPhase, goesOnWith: string): void {
  const { entriesHere } = useJobScreen();
  const moves = entriesHere.filter(isKind("move")).length;
  useEffect(() => {
    if ((phase === "set" && moves > 0) || goesOnWith !== "") field.current?.focus({ preventScroll: true });
  }, [field, phase, moves, goesOnWith]);
}
