import { refuse } from "~/core/quantity";
import type { FeelRound } from "~/core/rounds";
import type { FeelGrade } from "~/core/stages";
import { StateMark } from "~/ui/state-mark";
import { FeelRing } from "../../feel/feel-ring";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { capital } from "../../words/count";
import { feltState, feltWords } from "../../words/feel";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const clicks: Record<FeelGrade, string> = {
  1: "knocks",
  2: "loose click",
  3: "small click",
  4: "faint click",
  5: "binds",
};
const grades = [1, 2, 3, 4, 5] as const;

function readRound(texts: Texts) {
  const read = new TextReader(texts);
  const places = read.number("places", true);
  read.want("places", !(places < 3), "teeth-too-few");
  read.want("places", !(places > 10_000), "too-large");
  // Counted from 1 at the witness mark, as on the part.
  const place = (name: string) => {
    const typed = read.number(name, true);
    if (typed < 1 || typed > places) read.problems[name] = refuse("no-such-place", [name], { places }).refusal;
    return typed - 1;
  };
  const rows = read.rows("words", ["place"]);
  read.want("words", rows.length > 0, "missing");
  const words = rows.map((row) => ({
    place: place(`${row}.place`),
    grade: grades.find((grade) => String(grade) === read.text(`${row}.grade`)) ?? 1,
  }));
  const arc = read.has("from") || read.has("to") ? arcOf(place("from"), place("to"), places) : null;
  read.want("from", arc === null || arc[0] !== arc[1], "arc-empty");
  return read.done({ words, places, ...(arc ? { arc } : {}) });
}

/** It may pass the mark. */
const arcOf = (from: number, to: number, places: number): [number, number] => [from, to >= from ? to : to + places];

const stepWords = {
  apart: "Go apart a small step, then feel again",
  together: "Go together a small step at the tight spot, then feel again",
  none: null,
} as const;

export const tool = benchTool("feel-round", async () => (await import("~/calc/tools/feel-round")).feelRoundTool, {
  example: {
    places: "40",
    ...rowTexts("words", [
      { place: "1", grade: "3" },
      { place: "8", grade: "4" },
      { place: "15", grade: "5" },
      { place: "22", grade: "3" },
      { place: "29", grade: "2" },
      { place: "36", grade: "3" },
    ]),
  },
  Fields: () => (
    <>
      <TextField name="places" label="Teeth or places of the whole turn" inputMode="numeric" className="max-w-60" />
      <RowsField
        name="words"
        legend="Felt, motor uncoupled"
        hint="Places are counted from 1 at the witness mark."
        one="Word"
        columns={[
          { name: "place", label: "At" },
          {
            name: "grade",
            label: "It",
            options: grades.map((grade) => ({ value: String(grade), label: clicks[grade] })),
          },
        ]}
      />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="from" label="Turns only from" hint="empty: all the way round" inputMode="numeric" />
        <TextField name="to" label="to" inputMode="numeric" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readRound(texts)),
  say: (_, output) => sayRound(output),
  View: ({ output, texts }) => {
    const { value } = readRound(texts);
    if (!value) return null;
    const { missing, spreadSteps, feasible } = output;
    return (
      <div className="grid gap-4">
        <p className="text-xl">
          <StateMark state={feltState[output.verdict]} />
        </p>
        <div className="bg-panel max-w-xl">
          <FeelRing
            places={value.places}
            now={value.words}
            tightPlace={output.tightPlace}
            nextPlace={output.feelNext}
            words={clicks}
            arc={value.arc}
            label="What was felt round the turn, loose inside, tight outside"
          />
        </div>
        <p>
          From the loosest to the tightest {spreadSteps} {spreadSteps === 1 ? "step" : "steps"}.{" "}
          {feasible
            ? "No word speaks against one setting that keeps every place right."
            : "No one setting keeps every place right: true the part, re-index it or replace it."}
          {missing > 0 && ` The longest stretch that nobody felt has ${missing} ${missing === 1 ? "place" : "places"}.`}
        </p>
        <p className="text-mid">
          Never by majority: one binding tooth stops the drive, one loose one lies in the load’s way once a turn (common
          practice).
        </p>
      </div>
    );
  },
});

function sayRound(output: FeelRound): string {
  const tight = output.tightPlace === null ? "" : `; the tight spot is at ${output.tightPlace + 1}`;
  const next = output.feelNext === null ? stepWords[output.step] : `Feel at ${output.feelNext + 1} next`;
  return `${capital(feltWords(output))}${tight}${next ? `. ${next}` : ""}`;
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
