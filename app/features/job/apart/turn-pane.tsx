import { useState } from "react";
import { type NextTest, type TurnFeel, type TurnWay, turnDeeds, turnFeels, turnFinds } from "~/core/guides";
import { filedOn } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { SeveralWords } from "~/ui/several-words";
import { capital, countWords } from "../../words/count";
import { suspectText, turnFeelWords, turnWayWords } from "../../words/parts";
import { Refused } from "../../words/refused";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";

/** Turn by hand: how it turns as it is built so far; where it binds, who is suspect and which test tells most. */
export function TurnPane() {
  const { job } = useJobScreen();
  const texts = useTexts();
  const [problem, setProblem] = useState<Refusal | null>(null);
  const { apart } = job.record;
  const { binds } = apart;
  const chosen = <T extends string>(key: string, words: readonly T[]): T[] =>
    words.filter((word) => (texts[`turn.${key}`] ?? "").split("|").includes(word));
  const log = async (way: TurnWay, feel: TurnFeel) => {
    const result = await job.put({
      kind: "turned",
      way,
      feel,
      found: chosen("found", turnFinds),
      did: chosen("did", turnDeeds),
      note: texts["turn.note"] ?? "",
    });
    setProblem(result.ok ? null : result.refusal);
    if (result.ok) for (const key of ["found", "did", "note"]) job.changeText(`turn.${key}`, "");
  };
  const called = (key: string) => apart.parts.find((part) => part.key === key)?.name ?? key;
  const suspect = binds?.suspects[0];
  const filed = suspect ? filedOn(job.entries, suspect.part) : 0;
  return (
    <section aria-label="Turn by hand" className="border-2 border-ink bg-panel p-4 grid gap-3">
      <h2 className="text-xl font-bold">
        {apart.toTurn ? "Turn it by hand now" : binds ? "It binds" : "Turn it by hand"}
      </h2>
      {binds && (
        <p className="text-lg" role="status">
          {suspect
            ? `Suspect: ${binds.suspects.map(({ part, by }) => suspectText({ part: { key: part, name: called(part) }, by })).join(", ")}. `
            : "Nothing came on since it was turned. "}
          {!binds.wasFree && "Nobody turned it freely before, so all of it is suspect. "}
          <b>{testWords(binds.next, called)}</b>
          {filed > 0 &&
            ` Filed ${countWords(filed)} ${filed === 1 ? "time" : "times"} so far: small tries, and stop before it has slop.`}
        </p>
      )}
      {binds && binds.next.code in turnWayWords && (
        <Keys
          legend={capital(turnWayWords[binds.next.code as TurnWay])}
          onPick={(feel) => log(binds.next.code as TurnWay, feel)}
        />
      )}
      <Keys legend={capital(turnWayWords["as built"])} now={!binds} onPick={(feel) => log("as built", feel)} />
      <Fold summary="What was found and done" look="line">
        <div className="grid gap-3 py-2">
          <SeveralWords
            legend="Found"
            words={turnFinds}
            value={chosen("found", turnFinds)}
            onChange={(words) => job.changeText("turn.found", words.join("|"))}
          />
          <SeveralWords
            legend="Done"
            words={turnDeeds}
            value={chosen("did", turnDeeds)}
            onChange={(words) => job.changeText("turn.did", words.join("|"))}
          />
          <Field
            label="Remark on the turning"
            value={texts["turn.note"] ?? ""}
            autoComplete="off"
            onChange={(event) => job.changeText("turn.note", event.target.value)}
          />
          <p className="text-mid">
            It goes into the log with the next turn. Filing dust is blown out before it is turned.
          </p>
        </div>
      </Fold>
      {problem && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={problem} />
        </p>
      )}
    </section>
  );
}

function Keys({ legend, now = false, onPick }: { legend: string; now?: boolean; onPick: (feel: TurnFeel) => void }) {
  return (
    <fieldset className="flex flex-wrap gap-2 items-center">
      <legend className="font-semibold mb-1">{legend}</legend>
      {turnFeels.map((feel) => (
        <Button
          key={feel}
          large
          kind={now && feel === "free" ? "now" : "line"}
          onClick={() => onPick(feel)}
          className="grow sm:grow-0 sm:min-w-28"
        >
          {capital(turnFeelWords[feel])}
        </Button>
      ))}
    </fieldset>
  );
}

function testWords(next: NextTest, called: (key: string) => string): string {
  switch (next.code) {
    case "alone":
      return "Next: turn it alone, off its seat.";
    case "at that end only":
      return "Next: push it home at that end only, and turn.";
    case "half a turn back":
      return "Next: its screws half a turn back, and turn.";
    case "newer-half":
      return `Next: take off what came last (${next.parts.map(called).join(", ")}), and turn again.`;
    case "part-itself":
      return "It is the part itself: it does not turn freely alone. Clean it, or exchange it.";
    case "screws-pull":
      return "Its screws pull it askew: all out, a look at its seat for a burr, then in cross order, all lightly first.";
    case "fouled-there":
      return "It is fouled at that end: off again, look for a burr, a raised edge or dust. Take it off in small tries, blow it out.";
    case "look":
      return "No test tells it: look at all that touches it, with a light.";
  }
}
