import type { EntryOf } from "~/core/logbook";
import { MarkShape, type MarkState } from "~/ui/state-mark";
import { capital } from "../../words/count";
import { outcomeWords } from "../../words/entry";
import { axisRunWords } from "../../words/proof";
import type { Reader } from "../../words/reader";
import { runNameBothWays, runShows } from "../../words/run";
import { useWords } from "../../words/use-words";
import { choiceName, lastOf, type RunBlock, type RunChoice } from "./run-choice";

type Proof = EntryOf<"proof">;

const stateOf = { proven: "inside", "not-run": "unknown", "went-wrong": "outside", undecided: "near" } as const;
const stateSaid: Record<keyof typeof stateOf, string> = {
  proven: "proven",
  "not-run": "not run yet",
  "went-wrong": "did not go well",
  undecided: "not decided",
};

/** Runs to be done and done, one touch each: what each showed, and what it showed last time. */
export function RunMatrix({
  blocks,
  chosen,
  proofs,
  before,
  onChoose,
}: {
  blocks: readonly RunBlock[];
  chosen: RunChoice | null;
  proofs: readonly Proof[];
  /** Of the last job that ran it. */
  before: readonly Proof[];
  onChoose: (choice: RunChoice) => void;
}) {
  const reader = useWords();
  const cell = (choice: RunChoice | null, span = 1) => (
    <td colSpan={span} className="p-0.5 align-top">
      {choice && (
        <Cell
          choice={choice}
          pressed={choice.key === chosen?.key}
          now={lastOf(choice, proofs)}
          before={lastOf(choice, before)}
          onChoose={onChoose}
        />
      )}
    </td>
  );
  return (
    <>
      {blocks.map(({ plan, rows }, i) => (
        <table key={plan?.id ?? "plain"} className="w-full text-left table-fixed">
          <caption className="text-left font-bold text-lg py-1">
            {plan === null
              ? "Every direction, at every speed"
              : plan.stageId === null
                ? "The machine as a whole"
                : blocks.length > 1
                  ? "This stage"
                  : ""}
          </caption>
          <colgroup>
            <col className="w-[26%]" />
            <col />
            <col />
          </colgroup>
          {i === 0 && (
            <thead>
              <tr className="border-b-2 border-ink">
                <th className="py-1">Run</th>
                <th>Forwards</th>
                <th>Backwards</th>
              </tr>
            </thead>
          )}
          <tbody>
            {rows.map((row) => (
              <tr key={row.key} className="border-b border-rule">
                <th scope="row" className="font-semibold py-2 pr-2 align-top">
                  {plan ? runNameBothWays(reader, row.of) : plainName(row.of)}
                </th>
                {row.either ? (
                  cell(row.either, 2)
                ) : (
                  <>
                    {cell(row.forwards)}
                    {cell(row.backwards)}
                  </>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </>
  );
}

const plainName = ({ move, gear, speed }: RunBlock["rows"][number]["of"]): string =>
  capital([gear, move === "hand-turn" ? "by hand" : speed].filter(Boolean).join(", "));

/** "1.4 A, 30 °C, even hum": what a run showed, with how it ended where that was not well. */
export const shownBy = (reader: Reader, { body }: Proof): string =>
  [
    body.outcome === null || body.outcome === "ran" ? "" : outcomeWords[body.outcome],
    ...runShows(reader, body),
    axisRunWords(reader, body),
  ]
    .filter(Boolean)
    .join(", ");

function Cell({
  choice,
  pressed,
  now,
  before,
  onChoose,
}: {
  choice: RunChoice;
  pressed: boolean;
  now: Proof | null;
  before: Proof | null;
  onChoose: (choice: RunChoice) => void;
}) {
  const reader = useWords();
  const { planned } = choice;
  const state: MarkState | null = planned ? stateOf[planned.state] : null;
  const optional = planned !== null && !planned.run.required;
  const said = planned ? stateSaid[planned.state] : now ? "" : "not run yet";
  return (
    <button
      type="button"
      aria-pressed={pressed}
      onClick={() => onChoose(choice)}
      className={`w-full min-h-14 px-2 py-1 text-left cursor-pointer border-2 ${
        pressed ? "border-now bg-panel" : "border-transparent bg-panel/60"
      }`}
    >
      <span className="sr-only">{choiceName(reader, choice)}: </span>
      <span className="flex items-center gap-2">
        {state && (
          <svg viewBox="0 0 20 20" className="size-5 shrink-0" aria-hidden="true">
            <MarkShape state={state} x={10} y={10} r={7} />
          </svg>
        )}
        <span className={now ? "" : "text-mid"}>
          {now ? shownBy(reader, now) || "ran" : optional ? "if there is time" : "not run yet"}
        </span>
        <span className="sr-only">{now ? said : ""}</span>
      </span>
      {planned && (planned.state === "went-wrong" || planned.state === "undecided") && (
        <span className="block font-semibold">{capital(stateSaid[planned.state])}</span>
      )}
      {before && <span className="block text-mid text-base">last {shownBy(reader, before)}</span>}
    </button>
  );
}
