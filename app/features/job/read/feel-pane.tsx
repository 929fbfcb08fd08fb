import { useEffect, useRef } from "react";
import { useWords } from "~/app/features/words/use-words";
import { type Feel, type FeltAt, type FeltJudged, feelMethods, feels } from "~/core/logbook";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Select } from "~/ui/field";
import { feltWords } from "../../words/feel";
import { refusalWords } from "../../words/refusal";

type Props = {
  felt: readonly FeltAt[];
  method: string;
  judged: FeltJudged | null;
  /** The tooth to feel now; null where enough is felt. */
  tooth: number | null;
  /** Gears of a switchable stage, of which one is in. */
  gears: readonly string[];
  gear: string | null;
  onGear: (gear: string) => void;
  onFelt: (felt: FeltAt[]) => void;
  onMethod: (method: string) => void;
  onDone: () => void;
  onNumbers: () => void;
  doneWord: string;
  problem: Refusal | null;
};

const feelHints: Record<Feel, string> = {
  knocks: "loose, hammers",
  "loose click": "more than it should",
  "small click": "as it should be",
  "faint click": "just still there",
  binds: "no click, drags",
};

/** A round by feel: five words from loose to tight, one touch a place. A keyboard's 1 to 5 do the same. */
export function FeelPane(props: Props) {
  const reader = useWords();
  const { felt, judged, tooth } = props;
  const feel = (word: Feel) => tooth !== null && props.onFelt([...felt, { tooth, feel: word }]);
  // The keys work wherever the focus is, as long as nobody types into a field.
  const latest = useRef(feel);
  latest.current = feel;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const word = feels[Number(event.key) - 1];
      const typing = event.target instanceof Element && event.target.closest("input, textarea, select, [role=dialog]");
      if (word && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) latest.current(word);
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, []);
  return (
    <section aria-label="Feel" className="flex flex-col gap-2 grow min-h-0 max-lg:order-2">
      <p className="text-2xl font-bold" aria-live="polite">
        {tooth === null ? "Enough places are felt" : `Tooth ${tooth}: how does it click?`}
      </p>
      <div className="grid gap-1.5">
        {feels.map((word, i) => (
          <button
            key={word}
            type="button"
            disabled={tooth === null}
            className="min-h-14 px-4 flex items-center gap-3 text-left text-lg font-semibold bg-panel border-2 border-ink cursor-pointer disabled:opacity-45 active:bg-ink active:text-panel"
            onClick={() => feel(word)}
          >
            <span className="figure text-mid w-4">{i + 1}</span>
            <span className="grow">{word}</span>
            <span className="font-normal text-base text-mid">{feelHints[word]}</span>
          </button>
        ))}
      </div>
      {props.problem && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, props.problem)}
        </p>
      )}
      {judged && (
        <p className="text-lg" role="status">
          {felt.length} {felt.length === 1 ? "place" : "places"}: <b>{feltWords(judged)}</b>.{missingWords(judged)}
        </p>
      )}
      {felt.length > 0 && (
        <Button kind={tooth === null ? "now" : "line"} large onClick={props.onDone}>
          {props.doneWord}
        </Button>
      )}
      <ol aria-label="Felt so far, newest first" className="overflow-y-auto min-h-11 max-h-60">
        {[...felt].reverse().map((item) => (
          <li key={`${item.tooth} ${item.feel}`} className="flex items-center border-b border-rule">
            <span className="figure w-10">{item.tooth}</span>
            <span className="grow">{item.feel}</span>
            <button
              type="button"
              className="min-h-11 px-2 text-mid underline cursor-pointer"
              aria-label={`Feel tooth ${item.tooth} again`}
              onClick={() => props.onFelt(felt.filter((other) => other.tooth !== item.tooth))}
            >
              again
            </button>
          </li>
        ))}
      </ol>
      {props.gears.length > 0 && (
        <Choice
          legend="Gear that is in"
          name="felt-gear"
          value={props.gear ?? ""}
          onChange={props.onGear}
          options={props.gears.map((name) => ({ value: name, label: name }))}
        />
      )}
      <Select label="Felt" value={props.method} onChange={(event) => props.onMethod(event.target.value)}>
        {feelMethods.map((method) => (
          <option key={method}>{method}</option>
        ))}
      </Select>
      <p className="text-mid">
        Feel with the motor uncoupled: its magnets make tight spots of their own. A verdict by feel is shown as one, and
        never as good as a measured one.
      </p>
      <Button kind="quiet" onClick={props.onNumbers}>
        Read numbers instead
      </Button>
    </section>
  );
}

/** Where nothing was felt, while that says something. */
const missingWords = ({ missing, nextTooth }: FeltJudged): string =>
  nextTooth === null ? "" : ` ${missing} places in a row are not felt; the tight spot may lie there.`;

/** Where a word stands against the band, for the picture only. */
const shareOfBand: Record<Feel, number> = {
  knocks: 1.3,
  "loose click": 0.9,
  "small click": 0.5,
  "faint click": 0.1,
  binds: -0.3,
};

/** Felt places as marks of the dial; by feel, so not to scale. */
export const feltMarks = (felt: readonly FeltAt[], band: { lo: number; hi: number }, teeth: number) =>
  felt.map(({ tooth, feel }) => ({
    key: String(tooth),
    angleDeg: ((tooth - 1) * 360) / teeth,
    value: band.lo + shareOfBand[feel] * (band.hi - band.lo),
    state:
      feel === "knocks" || feel === "binds"
        ? ("outside" as const)
        : feel === "small click"
          ? ("inside" as const)
          : ("near" as const),
    struck: false,
    current: false,
  }));
