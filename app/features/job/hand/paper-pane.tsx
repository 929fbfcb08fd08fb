import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { judgeStrip, type PaperPrint, paperPrints, stripIn } from "~/core/logbook";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { StateMark } from "~/ui/state-mark";
import { TextReader } from "../../form/text-reader";
import { StripInMesh } from "../../print/strip-in-mesh";
import { placeOf } from "../../words/quantity";
import { refusalWords } from "../../words/refusal";
import { lengthWords } from "../../words/spoken";
import { stateOfVerdict } from "../../words/state";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { doneWords } from "../stations/stations";
import type { HandPane } from "./hand-pane";
import { readPrints, writePrints } from "./paper-texts";
import { useFeelRound } from "./use-feel-round";

const printHints: Record<PaperPrint, string> = {
  "falls out": "no print: loose",
  even: "as it should be",
  "bunched at one end": "shafts inclined",
  askew: "shafts crossed",
  "cut through": "too tight",
};

/** A strip of paper at the tight spot: in, push home, snug, roll it out, read the print; then turn round and try it elsewhere. */
export function PaperPane({ phase, log, problem }: HandPane) {
  const reader = useWords();
  const { stage, job } = useJobScreen();
  const texts = useTexts();
  const { next } = useFeelRound(phase);
  const { element } = stage.geometry;
  const prints = readPrints(texts[`paper.${phase}`]);
  const [sheetProblems, setSheetProblems] = useState<TextReader["problems"]>({});
  const sheet = readSheet(texts);
  const held = sheet.value?.sheet && stripIn(element, sheet.value.sheet);
  const means = held && judgeStrip(held, stage.limits);
  const strips = job.record.things.filter(({ thing }) => thing === "paper strip");
  const known = job.record.lastFeel?.body.here ?? job.record.lastFeel?.body.judged?.tightTooth ?? null;
  const typed = Number(texts["paper.tooth"]) || null;
  const tooth = typed ?? (prints.length === 0 ? (known ?? 1) : (next ?? 1));
  const say = (print: PaperPrint) => {
    job.changeText(`paper.${phase}`, writePrints([...prints.filter((p) => p.tooth !== tooth), { tooth, print }]));
    job.changeText("paper.tooth", "");
  };
  const done = async () => {
    setSheetProblems(sheet.problems ?? {});
    if (!sheet.value) return;
    const logged = await log({ method: "paper strip", places: [], paper: { ...sheet.value, prints } });
    if (logged) job.changeText(`paper.${phase}`, "");
  };
  const sheetError = (name: string) => {
    const found = sheetProblems[name];
    return found && refusalWords(reader, found);
  };
  return (
    <section aria-label="Paper" className="flex flex-col gap-3">
      <p className="text-2xl font-bold">{`Paper at ${placeOf(element, tooth)}: what does it look like?`}</p>
      <ol className="list-decimal pl-5 text-lg" aria-label="How">
        <li>Isolated, mark the tight spot and bring it into mesh.</li>
        <li>Strip in, push home, snug the clamps.</li>
        <li>Roll it out by hand and read its print.</li>
      </ol>
      {strips.length === 0 ? (
        <Button
          onClick={() => void job.put({ kind: "loose-thing", state: "in", thing: "paper strip", where: "in the mesh" })}
        >
          The strip is in
        </Button>
      ) : (
        <Button onClick={() => void job.put({ kind: "loose-thing", state: "out", names: strips[0]?.entry ?? "" })}>
          The strip is out
        </Button>
      )}
      <div className="grid gap-1.5">
        {paperPrints.map((print) => (
          <button
            key={print}
            type="button"
            className="min-h-14 px-4 flex items-center gap-3 text-left text-lg font-semibold bg-panel border-2 border-ink cursor-pointer active:bg-ink active:text-panel"
            onClick={() => say(print)}
          >
            <span className="grow">{print}</span>
            <span className="font-normal text-base text-mid">{printHints[print]}</span>
          </button>
        ))}
      </div>
      {problem && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      {prints.length > 0 && (
        <>
          <ul aria-label="Prints so far">
            {prints.map(({ tooth, print }) => (
              <li key={tooth} className="border-b border-rule py-1">
                <span className="figure">{placeOf(element, tooth)}</span>: {print}
              </li>
            ))}
          </ul>
          <Button kind="now" large onClick={done}>
            {doneWords[phase]}
          </Button>
        </>
      )}
      <Field
        label="Another place"
        hint="tooth from the witness mark"
        inputMode="numeric"
        value={texts["paper.tooth"] ?? ""}
        onChange={(event) => job.changeText("paper.tooth", event.target.value.replace(/\D/g, ""))}
      />
      <details open={Object.keys(sheetProblems).length > 0 || undefined}>
        <summary className="min-h-11 content-center cursor-pointer underline">The sheet</summary>
        <div className="grid gap-3">
          <StripInMesh flanks={texts["paper.flanks"] === "1" ? 1 : 2} />
          <Field
            label="Thickness"
            hint="mm. Fold and measure a pack of ten: office paper is about 0.10 (from memory)."
            value={texts["paper.t"] ?? ""}
            onChange={(event) => job.changeText("paper.t", event.target.value)}
            error={sheetError("paper.t")}
          />
          <Field
            label="Left under pressure"
            hint="%; empty: all of it. Soft sheets give 5 to 15 % (common practice)."
            value={texts["paper.pressed"] ?? ""}
            onChange={(event) => job.changeText("paper.pressed", event.target.value)}
            error={sheetError("paper.pressed")}
          />
          <Choice
            legend="It was"
            name="paper-flanks"
            value={texts["paper.flanks"] === "1" ? "1" : "2"}
            onChange={(value) => job.changeText("paper.flanks", value)}
            options={[
              { value: "2", label: "rolled right through" },
              { value: "1", label: "beside one flank" },
            ]}
          />
        </div>
      </details>
      {!means && <p className="text-mid">A sheet that was not measured is a feel, not a gauge.</p>}
      {means && (
        <p className="text-lg">
          It stands for {lengthWords(reader, means.circumferentialMm, 3)} ±{" "}
          {lengthWords(reader, means.expandedUncertaintyMm, 3)} of backlash
          {means.verdict && (
            <>
              {": "}
              <StateMark state={stateOfVerdict(means.verdict)} />
              {means.verdict !== "conforms" && ". An even print is then not right: take another sheet"}
            </>
          )}
          .
        </p>
      )}
    </section>
  );
}

/** The sheet as it was measured; none where nobody did. */
function readSheet(texts: Record<string, string>) {
  const read = new TextReader(texts);
  const sheet = read.has("paper.t") ? measured(read, texts["paper.flanks"] === "1" ? 1 : 2) : null;
  return read.done({ sheet });
}

function measured(read: TextReader, flanks: 1 | 2) {
  const thicknessMm = read.length("paper.t");
  read.want("paper.t", !(thicknessMm <= 0), "too-small");
  read.want("paper.t", !(thicknessMm > 2), "too-large");
  const pressed = read.numberOr("paper.pressed", 100) / 100;
  read.want("paper.pressed", !(pressed <= 0), "too-small");
  read.want("paper.pressed", !(pressed > 1), "too-large");
  return { thicknessMm, flanks, pressed, toleranceMm: thicknessMm / 10 };
}
