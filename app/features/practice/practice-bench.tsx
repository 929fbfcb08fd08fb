import { useState } from "react";
import { Link } from "react-router";
import { type Hold, holds, type SimulatedKey } from "~/core/practice";
import { Button } from "~/ui/button";
import { BareSelect } from "~/ui/field";
import { Refused } from "../words/refused";
import { HuntKeys } from "./hunt-keys";
import { InstrumentSelect } from "./instrument-select";
import { RenewKeys } from "./renew-keys";
import { typeAsWedge } from "./type-as-wedge";
import { useLastField } from "./use-last-field";
import { type Practice, usePractice } from "./use-practice";

/**
 * Beside the pages of a practice machine: what one would do there with one's hands. It answers as the machine would, and what is hidden in it stays
 * with the server.
 */
export function PracticeBench({ machineId, stageId }: { machineId: string; stageId: string | null }) {
  const practice = usePractice(machineId);
  const { lesson, refusal } = practice;
  const [renewing, setRenewing] = useState(false);
  if (lesson === null) return null;
  return (
    <aside
      aria-label="Practice machine"
      className="bg-panel border-t-2 border-ink px-5 max-sm:px-3.5 py-2 grid gap-2 shrink-0 sticky bottom-0"
    >
      {lesson?.over && (
        <p className="text-lg">
          This lesson is over. <Link to={`/practice/${lesson.id}`}>What came of it</Link>
        </p>
      )}
      {lesson && !lesson.over && (
        <>
          <div className="flex flex-wrap gap-3 items-center">
            {lesson.lesson === "knock" && <HuntKeys practice={practice} stages={lesson.stages} />}
            {stageId !== null && <Reading practice={practice} stageId={stageId} />}
            <Button kind="quiet" aria-expanded={renewing} onClick={() => setRenewing(!renewing)}>
              Renew a part
            </Button>
          </div>
          {renewing && <RenewKeys practice={practice} stages={lesson.stages} />}
        </>
      )}
      {refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={refusal} />
        </p>
      )}
    </aside>
  );
}

const holdWords: Record<Hold, string> = { motor: "held by the motor", clamp: "motor uncoupled, shaft clamped" };

/** An instrument that sends what it reads into the field that has the cursor, as a wedge keyboard would; how it is held, and waiting. */
function Reading({ practice, stageId }: { practice: Practice; stageId: string }) {
  const [key, setKey] = useState<SimulatedKey>("lever");
  const [hold, setHold] = useState<Hold>("motor");
  const [said, setSaid] = useState("");
  const field = useLastField();
  const send = async () => {
    const into = field.current;
    if (!into?.isConnected) return setSaid("Put the cursor into a field first.");
    const place = Number(into.dataset.place ?? 1);
    const answer = await practice.act({ does: "read", stageId, key, place, hold });
    if (!answer || !("text" in answer)) return setSaid("");
    setSaid(answer.text === null ? "It reads nothing on such a stage." : `It shows ${answer.text}`);
    if (answer.text !== null) typeAsWedge(into, answer.text);
  };
  const wait = async (minutes: number) => {
    const answer = await practice.act({ does: "wait", minutes });
    if (answer) setSaid(minutes === 60 ? "An hour later." : `${minutes} minutes later.`);
  };
  const still = (event: React.PointerEvent) => event.preventDefault();
  return (
    <>
      <InstrumentSelect value={key} onChange={setKey} />
      <BareSelect label="How the shaft is held" value={hold} onChange={(event) => setHold(event.target.value as Hold)}>
        {holds.map((way) => (
          <option key={way} value={way}>
            {holdWords[way]}
          </option>
        ))}
      </BareSelect>
      {/* The cursor stays where the reading goes. */}
      <Button kind="solid" disabled={practice.busy} onPointerDown={still} onClick={send}>
        Take a reading
      </Button>
      <Button kind="quiet" disabled={practice.busy} onPointerDown={still} onClick={() => wait(15)}>
        Wait 15 minutes
      </Button>
      <Button kind="quiet" disabled={practice.busy} onPointerDown={still} onClick={() => wait(60)}>
        Wait an hour
      </Button>
      <span role="status" className="text-mid">
        {said}
      </span>
    </>
  );
}
