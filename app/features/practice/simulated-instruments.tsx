import { useMemo, useState } from "react";
import { adjusterNow, centreChange } from "~/core/advice";
import { isKind } from "~/core/logbook";
import { type HiddenStage, type SimulatedKey, seededRandom, wedgeReading } from "~/core/practice";
import { Button } from "~/ui/button";
import { useJobScreen } from "../job/entries/job-context";
import { InstrumentSelect } from "./instrument-select";
import { typeAsWedge } from "./type-as-wedge";
import { useLastField } from "./use-last-field";

/**
 * Simulated instruments beside the job: each sends what it reads on a simulated stage, with its hidden wobble, noise and steps, into the
 * field that has the cursor, as a wedge keyboard would. The stage follows what is moved in the job.
 */
export function SimulatedInstruments() {
  const { stage, entered, before, job } = useJobScreen();
  const [key, setKey] = useState<SimulatedKey>("lever");
  const [said, setSaid] = useState("");
  const field = useLastField();
  const random = useMemo(() => seededRandom(seedOf(job.entries[0]?.id ?? stage.id)), [job.entries[0]?.id, stage.id]);
  const { adjuster } = entered.adjuster;
  let at = before.moved;
  const moved = job.entries
    .filter(isKind("move"))
    .filter((move) => move.stageId === stage.id)
    .map((move) => {
      const change = adjuster ? centreChange(adjusterNow(adjuster, at), move.body.amount) : 0;
      at += move.body.amount;
      return change;
    });
  const send = () => {
    const into = field.current;
    if (!into?.isConnected) return setSaid("Put the cursor into a field first.");
    const place = Number(into.dataset.place ?? 1);
    const text = wedgeReading(
      key,
      hiddenOf(stage.id, stage.geometry.element, stage.limits ?? anywhere),
      moved,
      place,
      random,
    );
    setSaid(text === null ? "It reads nothing on such a stage." : `Sent ${text}`);
    if (text !== null) typeAsWedge(into, text);
  };
  return (
    <aside
      aria-label="Simulated instruments"
      className="bg-panel border-t-2 border-ink px-5 max-sm:px-3.5 py-1.5 flex flex-wrap gap-3 items-center shrink-0"
    >
      <b>Simulated</b>
      <InstrumentSelect value={key} onChange={setKey} />
      {/* The cursor stays where the reading goes. */}
      <Button kind="solid" onPointerDown={(event) => event.preventDefault()} onClick={send}>
        Send a reading
      </Button>
      <span role="status" className="text-mid">
        {said}
      </span>
    </aside>
  );
}

/** The same stage has the same faults every time: a little too loose, and out of round by a fifth of its band. */
function hiddenOf(id: string, element: HiddenStage["element"], { lo, hi }: { lo: number; hi: number }): HiddenStage {
  const random = seededRandom(seedOf(id));
  const band = hi - lo;
  return {
    element,
    mean: hi + band * (0.1 + 0.3 * random()),
    gear: { eccentricityMm: 0.15 * Math.min(band, 0.4), tightAngleDeg: 360 * random() },
    pinion: { eccentricityMm: 0.05 * Math.min(band, 0.4), tightAngleDeg: 360 * random() },
    response: 0.85 + 0.2 * random(),
  };
}

const seedOf = (text: string): number => {
  let seed = 2_166_136_261;
  for (const letter of text) seed = Math.imul(seed ^ letter.charCodeAt(0), 16_777_619);
  return seed >>> 0;
};

/** About what a stage reads of which nobody has said the limits. */
const anywhere = { lo: 0.1, hi: 0.2 };
