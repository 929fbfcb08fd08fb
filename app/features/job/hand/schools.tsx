import { type EntryOf, feltOfStage, isKind } from "~/core/logbook";
import { StateMark } from "~/ui/state-mark";
import { capital } from "../../words/count";
import { readWords } from "../../words/entry";
import { feltState, feltWords } from "../../words/feel";
import { stateOfVerdict } from "../../words/state";
import { useWords } from "../../words/use-words";
import { useJobScreen } from "../entries/job-context";

/** What each school last said of this stage in this job, since it was last moved; and that they disagree, where they do. */
export function Schools() {
  const reader = useWords();
  const { stage, job, entriesHere } = useJobScreen();
  const moved = Math.max(0, ...entriesHere.filter(isKind("move")).map(({ seq }) => seq));
  const bySchool = new Map<string, EntryOf<"feel">>();
  for (const entry of entriesHere.filter(isKind("feel"))) {
    if (entry.seq > moved) bySchool.set(feltOfStage(entry, stage.geometry).by ?? "feel", entry);
  }
  const said = [...bySchool].map(([school, entry]) => {
    const judged = feltOfStage(entry, stage.geometry);
    return { school, state: feltState[judged.verdict], words: capital(feltWords(judged)) };
  });
  const round = job.record.lastRound;
  if (round && round.seq > moved)
    said.push({
      school: "number",
      state: stateOfVerdict(round.body.result.verdict),
      words: `Measured: ${readWords(reader, round.body.result)}`,
    });
  if (said.length < 2) return null;
  const decided = said.filter(({ state }) => state === "inside" || state === "outside");
  const disagree = new Set(decided.map(({ state }) => state)).size > 1;
  return (
    <section aria-label="Side by side" className="border-t border-rule pt-3 grid gap-1">
      {disagree && <p className="text-lg font-semibold">They do not agree. A measured round decides.</p>}
      <ul className="grid gap-1 text-lg">
        {said.map(({ school, state, words }) => (
          <li key={school} className="flex gap-3 items-center">
            <StateMark state={state} word="" /> {words}
          </li>
        ))}
      </ul>
    </section>
  );
}
