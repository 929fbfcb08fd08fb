import { useMemo, useRef } from "react";
import { useNavigation, useSearchParams } from "react-router";
import { useWords } from "~/app/features/words/use-words";
import type { EntryOf } from "~/core/logbook";
import type { Instrument, Stage } from "~/core/records";
import { inGear } from "~/operations/stage-as-read";
import { Select } from "~/ui/field";
import { SavePicture } from "../export/save-picture";
import { RoundPane } from "../job/read/round-pane";
import { recordedView } from "../job/read/round-view";
import { readWords } from "../words/entry";
import { judgedIn } from "../words/quantity";

type Choice = { id: string; words: string };

/** Any two rounds of the stage on one part: the first as a thin line, the second with its readings. */
export function RoundsCompared({
  stage,
  choices,
  thin,
  full,
  instrument,
}: {
  stage: Stage;
  choices: readonly Choice[];
  /** With all their readings. */
  thin: EntryOf<"round"> | null;
  full: EntryOf<"round"> | null;
  /** That the second was read with. */
  instrument: Instrument | null;
}) {
  const reader = useWords();
  const [search, setSearch] = useSearchParams();
  // What was chosen shows at once, while its readings are on the way.
  const coming = new URLSearchParams(useNavigation().location?.search);
  const picture = useRef<HTMLDivElement>(null);
  const view = useMemo(() => full && recordedView(stage, full, full.readings, null, undefined), [stage, full]);
  const ghost = useMemo(() => thin && recordedView(stage, thin, thin.readings, null, undefined), [stage, thin]);
  if (!full || !instrument)
    return (
      <section aria-labelledby="rounds">
        <h2 id="rounds" className="text-xl font-bold">
          Rounds
        </h2>
        <p className="text-mid text-lg">No round was read yet. A job or a quick touch reads the first.</p>
      </section>
    );
  const choose = (chosen: { thin?: string; full?: string }) => {
    const next = new URLSearchParams(search);
    for (const [which, id] of Object.entries({ thin: thin?.id ?? "", full: full.id, ...chosen })) next.set(which, id);
    setSearch(next, { replace: true, preventScrollReset: true });
  };
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
          label="Compare with"
          value={coming.get("thin") ?? thin?.id ?? ""}
          choices={choices}
          onChoose={(id) => choose({ thin: id })}
          none
        />
        <RoundChoice
          label="This round"
          value={coming.get("full") ?? full.id}
          choices={choices}
          onChoose={(id) => choose({ full: id })}
        />
      </div>
      <div className="bg-panel p-2 h-112 flex items-center justify-center" ref={picture}>
        <RoundPane
          stage={inGear(stage, full.body.result.gear)}
          // Where a move would have brought it was a matter of that day.
          view={view && { ...view, predicted: null }}
          ghost={ghost?.fitted ?? null}
          currentTooth={null}
          counterClockwise={full.readings[0]?.sense === "counter-clockwise"}
        />
      </div>
      {thin && (
        <p className="mt-2 text-lg">
          From {judgedIn(reader, thin.body.result.quantity).range(thin.body.result.min, thin.body.result.max)} to{" "}
          {readWords(reader, full.body.result)}: the mean moved by{" "}
          <span className="figure font-semibold">
            {judgedIn(reader, full.body.result.quantity).said(full.body.result.mean - thin.body.result.mean, 1)}
          </span>
          .
        </p>
      )}
    </section>
  );
}

function RoundChoice({
  label,
  value,
  choices,
  onChoose,
  none = false,
}: {
  label: string;
  value: string;
  choices: readonly Choice[];
  onChoose: (id: string) => void;
  none?: boolean;
}) {
  return (
    <Select label={label} value={value} onChange={(event) => onChoose(event.target.value)}>
      {none && <option value="">none</option>}
      {choices.map(({ id, words }) => (
        <option key={id} value={id}>
          {words}
        </option>
      ))}
    </Select>
  );
}
