import { useMemo, useRef, useState } from "react";
import { type EntryOf, isKind, wholeRound } from "~/core/logbook";
import type { NamedEntry } from "~/data/queries/entries";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { SavePicture } from "../export/save-picture";
import { RoundPane } from "../job/round-pane";
import { recordedView } from "../job/round-view";
import { readWords } from "../words/entry";
import { judgedIn } from "../words/quantity";
import { day } from "../words/times";

/** Any two rounds of the stage on one gear: the first as a ghost, the second with its readings. */
export function RoundsCompared({
  stage,
  rounds,
  instruments,
  timeZone,
}: {
  stage: Stage;
  rounds: readonly NamedEntry[];
  instruments: readonly Instrument[];
  timeZone: string;
}) {
  const list = rounds.filter(isKind("round"));
  const inOrder = useMemo(() => [...rounds].reverse(), [rounds]);
  const usual = usualPair(list);
  const [chosen, setChosen] = useState<{ before: string; after: string } | null>(null);
  const picture = useRef<HTMLDivElement>(null);
  const before = list.find((round) => round.id === (chosen?.before ?? usual?.before));
  const after = list.find((round) => round.id === (chosen?.after ?? usual?.after));
  const view = useMemo(
    () => after && recordedView(stage, after, wholeRound(inOrder, after), null, undefined),
    [stage, after, inOrder],
  );
  const ghost = useMemo(
    () => before && recordedView(stage, before, wholeRound(inOrder, before), null, undefined),
    [stage, before, inOrder],
  );
  const instrument = instruments.find((item) => item.id === after?.readings[0]?.instrumentId) ?? instruments[0];
  if (!after || !instrument)
    return (
      <section aria-labelledby="rounds">
        <h2 id="rounds" className="text-xl font-bold">
          Rounds
        </h2>
        <p className="text-mid text-lg">No round was read yet. A job or a quick touch reads the first.</p>
      </section>
    );
  const words = (round: EntryOf<"round">) =>
    `${day(round.madeAt, timeZone)}, ${round.body.phase === "as-found" ? "as found" : "as left"}: ${readWords(round.body.result)}`;
  const choose = (which: "before" | "after", id: string) =>
    setChosen({ before: before?.id ?? "", after: after.id, [which]: id });
  return (
    <section aria-labelledby="rounds">
      <div className="flex flex-wrap gap-4 items-center justify-between mb-2">
        <h2 id="rounds" className="text-xl font-bold">
          Two rounds on one part
        </h2>
        <SavePicture of={picture} name="Round" />
      </div>
      <div className="grid sm:grid-cols-2 gap-4 mb-3">
        <RoundChoice
          label="Thin line"
          value={before?.id ?? ""}
          rounds={list}
          words={words}
          onChoose={(id) => choose("before", id)}
          none
        />
        <RoundChoice
          label="With its readings"
          value={after.id}
          rounds={list}
          words={words}
          onChoose={(id) => choose("after", id)}
        />
      </div>
      <div className="bg-panel p-2 h-112 flex items-center justify-center" ref={picture}>
        <RoundPane
          stage={stage}
          instrument={instrument}
          view={view ?? null}
          ghost={ghost?.fitted ?? null}
          currentTooth={null}
          counterClockwise={after.readings[0]?.sense === "counter-clockwise"}
        />
      </div>
      {before && (
        <p className="mt-2 text-lg">
          From {judgedIn(before.body.result.quantity).range(before.body.result.min, before.body.result.max)} to{" "}
          {readWords(after.body.result)}: the mean moved by{" "}
          <span className="figure font-semibold">
            {judgedIn(after.body.result.quantity).said(after.body.result.mean - before.body.result.mean, 1)}
          </span>
          .
        </p>
      )}
    </section>
  );
}

/** The last round as found and the one after it in the same job; else the last two. */
function usualPair(rounds: readonly EntryOf<"round">[]): { before: string; after: string } | null {
  const last = rounds[0];
  if (!last) return null;
  const found = rounds.find(
    (round) => round.jobId === last.jobId && round.body.phase === "as-found" && round.id !== last.id,
  );
  return { before: (found ?? rounds[1])?.id ?? "", after: last.id };
}

function RoundChoice({
  label,
  value,
  rounds,
  words,
  onChoose,
  none = false,
}: {
  label: string;
  value: string;
  rounds: readonly EntryOf<"round">[];
  words: (round: EntryOf<"round">) => string;
  onChoose: (id: string) => void;
  none?: boolean;
}) {
  return (
    <label className="block">
      <span className="block font-semibold mb-1">{label}</span>
      <select
        className="w-full min-h-12 px-2 bg-panel border-2 border-ink text-lg"
        value={value}
        onChange={(event) => onChoose(event.target.value)}
      >
        {none && <option value="">none</option>}
        {rounds.map((round) => (
          <option key={round.id} value={round.id}>
            {words(round)}
          </option>
        ))}
      </select>
    </label>
  );
}
