import { useEffect, useRef, useState } from "react";
import type { LessonHere } from "~/app/routes/practice/load-practice.server";
import { type HuntTest, huntTests, practiceMinutes, type Renewal } from "~/core/practice";
import { Button } from "~/ui/button";
import { BareSelect } from "~/ui/field";
import { renewalWords } from "./lesson-words";
import { playKnocks } from "./play-knocks";
import { partsOf } from "./renew-keys";
import type { Practice } from "./use-practice";

type Stages = LessonHere["stages"];
type Part = { stageId: string; name: string; part: Renewal };

const testNames: Record<HuntTest, string> = {
  mark: `Mark it, and watch: ${practiceMinutes.test.mark} minutes`,
  look: `Isolate, open, and look: ${practiceMinutes.test.look} minutes`,
  uncouple: `Uncouple what comes after it: ${practiceMinutes.test.uncouple} minutes`,
};

/** The line run and listened to, and what can be tried on its parts. */
export function HuntKeys({ practice, stages }: { practice: Practice; stages: Stages }) {
  const parts: Part[] = stages.flatMap(({ id, name, kind }) =>
    partsOf(kind).flatMap((part) => (part === "bearing" || part === "adjuster" ? [] : [{ stageId: id, name, part }])),
  );
  const [test, setTest] = useState<HuntTest>("mark");
  const [chosen, setChosen] = useState(0);
  const [said, setSaid] = useState("");
  const one = parts[chosen];
  if (!one) return null;
  const tryIt = async () => {
    const answer = await practice.act({ does: "test", test, stageId: one.stageId, part: one.part });
    if (answer && "knocks" in answer) setSaid("There is no knock any more to try it by.");
    if (answer && "yes" in answer) setSaid(toldBy(test, one, answer.yes));
  };
  return (
    <>
      <Listening practice={practice} />
      <BareSelect label="Part of the line" value={chosen} onChange={(event) => setChosen(Number(event.target.value))}>
        {parts.map(({ stageId, name, part }, i) => (
          <option key={`${stageId} ${part}`} value={i}>
            {name}: {renewalWords[part]}
          </option>
        ))}
      </BareSelect>
      <BareSelect label="What to try" value={test} onChange={(event) => setTest(event.target.value as HuntTest)}>
        {huntTests.map((way) => (
          <option key={way} value={way}>
            {testNames[way]}
          </option>
        ))}
      </BareSelect>
      <Button disabled={practice.busy} onClick={tryIt}>
        Try it
      </Button>
      <span role="status" className="text-lg">
        {said}
      </span>
    </>
  );
}

function toldBy(test: HuntTest, { name, part }: Part, yes: boolean): string {
  const what = `${renewalWords[part]} of ${name}`;
  if (test === "mark") return yes ? `The mark on ${what} comes by with every knock.` : `The mark on ${what} wanders.`;
  if (test === "look") return yes ? `There: a broken place on ${what}.` : `Sound all the way round: ${what}.`;
  return yes ? `Uncoupled behind ${name}, it still knocks.` : `Uncoupled behind ${name}, it is quiet.`;
}

/** Slow running behind closed guards, heard and seen by a lamp, for who works where it is loud. */
function Listening({ practice }: { practice: Practice }) {
  const [running, setRunning] = useState(false);
  const [lamp, setLamp] = useState(false);
  const [quiet, setQuiet] = useState(false);
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const listen = async () => {
    const answer = await practice.act({ does: "listen" });
    if (!answer || !("knocks" in answer)) return;
    setQuiet(answer.knocks.length === 0);
    if (answer.knocks.length === 0) return;
    setRunning(true);
    stop.current = playKnocks(answer.knocks, setLamp, () => setRunning(false));
  };
  return (
    <>
      <Button
        kind="solid"
        disabled={practice.busy}
        onClick={() => (running ? stop.current() : listen())}
        aria-pressed={running}
      >
        {running ? "Stop it" : "Run it and listen"}
      </Button>
      <span
        role="img"
        aria-label={lamp ? "Knock" : "No knock"}
        className={`size-8 rounded-full border-2 border-ink ${lamp ? "bg-now" : "bg-ground"}`}
      />
      {quiet && <b role="status">It runs quietly: no knock any more.</b>}
    </>
  );
}
