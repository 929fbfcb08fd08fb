import { useEffect, useRef } from "react";
import { useWords } from "~/app/features/words/use-words";
import type { FeelMethod, FeltJudged } from "~/core/logbook";
import { type Feel, type FeltAs, feelsOf, feltAs, gradeOfFeel } from "~/core/stages";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { capital } from "../../words/count";
import { feltWords } from "../../words/feel";
import { placeOf } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { doneWords } from "../stations/stations";
import type { HandPane } from "./hand-pane";
import type { FeelRoundNow } from "./use-feel-round";

const feelHints: Record<Feel, string> = {
  knocks: "loose, hammers",
  "loose click": "more than it should",
  "small click": "as it should be",
  "faint click": "just still there",
  binds: "no click, drags",
  "knocks when rocked": "play at the output",
  free: "turns as it should",
  nips: "held, drags",
  claps: "slack, beats",
  gives: "softer than it should",
  firm: "as it should be",
  hums: "too tight, sings",
  rough: "drags here and there",
  stiff: "hard to turn",
};
const questions: Record<FeltAs, string> = {
  click: "how does it click?",
  worm: "how does it rock?",
  strand: "how is the strand?",
  shaft: "how does it turn?",
};

/** A round by feel: the words of the kind from loose to tight, one touch a place. A keyboard's 1 to 5 do the same. */
export function FeelPane({
  phase,
  log,
  problem,
  round,
  method,
}: HandPane & { round: FeelRoundNow; method: FeelMethod }) {
  const reader = useWords();
  const { stage, job } = useJobScreen();
  const texts = useTexts();
  const { element } = stage.geometry;
  const scale = feltAs(element) ?? "click";
  const words = feelsOf(scale);
  const { felt, judged, next: tooth, change, magnetSteps } = round;
  const feel = (word: Feel) => tooth !== null && change([...felt, { tooth, feel: word }]);
  // The keys work wherever the focus is, as long as nobody types into a field.
  const latest = useRef<(grade: number) => void>(() => {});
  latest.current = (grade) => {
    const word = words.find((known) => gradeOfFeel(known) === grade);
    if (word) feel(word);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof Element && event.target.closest("input, textarea, select, [role=dialog]");
      if (!typing && !event.ctrlKey && !event.metaKey && !event.altKey) latest.current(Number(event.key));
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, []);
  const done = async () => {
    const here = Number(texts["felt.here"]) || null;
    const logged = await log({
      method,
      places: felt,
      ...(magnetSteps ? { magnetSteps } : {}),
      ...(here ? { here } : {}),
    });
    if (logged) change([]);
  };
  const last = felt[felt.length - 1];
  const here = Number(texts["felt.here"]) || null;
  return (
    <section aria-label="Feel" className="flex flex-col gap-2">
      <p className="text-2xl font-bold" aria-live="polite">
        {tooth === null ? "Enough places are felt" : `${capital(placeOf(element, tooth))}: ${questions[scale]}`}
      </p>
      <div className="grid gap-1.5">
        {words.map((word) => (
          <button
            key={word}
            type="button"
            disabled={tooth === null}
            className="min-h-14 px-4 flex items-center gap-3 text-left text-lg font-semibold bg-panel border-2 border-ink cursor-pointer disabled:opacity-45 active:bg-ink active:text-panel"
            onClick={() => feel(word)}
          >
            <span className="figure text-mid w-4">{gradeOfFeel(word)}</span>
            <span className="grow">{word}</span>
            <span className="font-normal text-base text-mid">{feelHints[word]}</span>
          </button>
        ))}
      </div>
      {problem && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      {judged && (
        <p className="text-lg" role="status">
          {felt.length} {felt.length === 1 ? "place" : "places"}: <b>{feltWords(judged)}</b>.{missingWords(judged)}
        </p>
      )}
      {felt.length > 0 && (
        <Button kind={tooth === null ? "now" : "line"} large onClick={done}>
          {doneWords[phase]}
        </Button>
      )}
      {last && (
        <Button kind="quiet" onClick={() => job.changeText("felt.here", here === last.tooth ? "" : String(last.tooth))}>
          {here === last.tooth
            ? `The tight spot is not at ${placeOf(element, last.tooth)}`
            : `The tight spot is here, at ${placeOf(element, last.tooth)}: paint it`}
        </Button>
      )}
      <ol aria-label="Felt so far, newest first" className="overflow-y-auto max-h-60">
        {[...felt].reverse().map((item) => (
          <li key={`${item.tooth} ${item.feel}`} className="flex items-center border-b border-rule">
            <span className="figure w-10">{item.tooth}</span>
            <span className="grow">{item.feel}</span>
            <button
              type="button"
              className="min-h-11 px-2 text-mid underline cursor-pointer"
              aria-label={`Feel ${placeOf(element, item.tooth)} again`}
              onClick={() => change(felt.filter((other) => other.tooth !== item.tooth))}
            >
              again
            </button>
          </li>
        ))}
      </ol>
      <Choice
        legend="Felt"
        name="felt-method"
        value={method === "by ear" ? "by ear" : "by hand"}
        onChange={(value) => job.changeText("felt.method", value)}
        options={[
          { value: "by hand", label: "by hand" },
          { value: "by ear", label: "by ear" },
        ]}
      />
      <Field
        label="Motor still coupled: its magnet steps in a turn of this part"
        hint="Empty: uncoupled, which is best. Magnets make tight spots of their own; those are not taken for one."
        inputMode="numeric"
        value={texts["felt.magnets"] ?? ""}
        onChange={(event) => job.changeText("felt.magnets", event.target.value.replace(/\D/g, ""))}
      />
    </section>
  );
}

/** Where nothing was felt, while that says something. */
const missingWords = ({ missing, nextTooth }: FeltJudged): string =>
  nextTooth === null ? "" : ` ${missing} places in a row are not felt; the tight spot may lie there.`;
