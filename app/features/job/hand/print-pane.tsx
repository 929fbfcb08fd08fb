import { useState } from "react";
import { useWords } from "~/app/features/words/use-words";
import { aimedDepth, type PrintFlank as Flank, type PrintKind } from "~/core/prints";
import { printable } from "~/core/stages";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { Tick } from "~/ui/tick";
import { over0Or } from "../../form/field-readers";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { PrintFlank } from "../../print/print-flank";
import { printFlanks, readPrints, spanTexts, typedSpan } from "../../print/print-texts";
import { printEnds, printKindWords } from "../../words/print";
import { refusalWords } from "../../words/refusal";
import { useJobScreen } from "../entries/job-context";
import { useTexts } from "../entries/use-draft";
import { doneWords } from "../stations/stations";
import type { HandPane } from "./hand-pane";

/** The texts of a print by the names that a form of prints has. */
export const printTexts = (texts: Texts): Texts =>
  Object.fromEntries(
    Object.entries(texts).flatMap(([name, text]) => (name.startsWith("print.") ? [[name.slice(6), text]] : [])),
  );

/** Marking paint: painted, run a few times, taken off, and marked here with the finger where it touches. */
export function PrintPane({ phase, log, problem }: HandPane) {
  const reader = useWords();
  const { stage, job } = useJobScreen();
  const texts = useTexts();
  const [problems, setProblems] = useState<TextReader["problems"]>({});
  const mesh = printable(stage.geometry.element);
  const kinds = mesh?.kinds ?? [];
  const kind: PrintKind = kinds.find((known) => known === texts["print.kind"]) ?? kinds[0] ?? "spur";
  const own = printTexts(texts);
  const painted = job.record.things.find(({ thing }) => thing === "marking paint");
  const write = (more: Texts) => {
    for (const [name, text] of Object.entries(more)) job.changeText(`print.${name}`, text);
  };
  const error = (name: string) => {
    const found = problems[name];
    return found && refusalWords(reader, found);
  };
  const done = async () => {
    const read = new TextReader(own);
    const prints = readPrints(read);
    const boltSpanMm = read.lengthOrNull("bolts");
    const filmMm = read.lengthOrNull("film");
    const wholeDepthMm = mesh?.wholeDepthMm ?? over0Or(read, "depth", null);
    read.want("depth", wholeDepthMm !== null, "missing");
    const faceWidthMm = mesh?.faceWidthMm ?? over0Or(read, "face", null);
    read.want("bolts", boltSpanMm === null || !(boltSpanMm <= 0), "too-small");
    read.want("film", filmMm === null || !(filmMm <= 0), "too-small");
    setProblems(read.problems);
    if (Object.keys(read.problems).length > 0) return;
    const logged = await log({
      method: "marking paint",
      places: [],
      print: { kind, prints, boltSpanMm, filmMm, wholeDepthMm, faceWidthMm },
    });
    if (logged)
      write(
        Object.fromEntries(
          Object.keys(own).map((name) => [
            name,
            ["kind", "bolts", "depth", "face"].includes(name) ? (own[name] ?? "") : "",
          ]),
        ),
      );
  };
  return (
    <section aria-label="Print" className="flex flex-col gap-3">
      <p className="text-2xl font-bold">Where does it touch?</p>
      <ol className="list-decimal pl-5 text-lg" aria-label="How">
        <li>Thin paint on a few teeth of the larger gear. Where there is no access later: before it is fitted.</li>
        <li>Fit it, run it a few times, braked and guarded; take it off.</li>
        <li>Draw over the print, on both flanks.</li>
      </ol>
      {!painted && (
        <Button
          onClick={() =>
            void job.put({ kind: "loose-thing", state: "in", thing: "marking paint", where: "on the teeth" })
          }
        >
          The teeth are painted
        </Button>
      )}
      {kinds.length > 1 && (
        <Choice
          legend="Read as"
          name="print-kind"
          value={kind}
          onChange={(value) => write({ kind: value })}
          options={kinds.map((value) => ({ value, label: printKindWords[value] }))}
        />
      )}
      {printFlanks.map(({ flank, label }) => (
        <FlankMark key={flank} flank={flank} label={label} kind={kind} texts={own} write={write} error={error} />
      ))}
      {mesh?.wholeDepthMm === null && (
        <Field
          label="Whole depth of the tooth"
          hint="mm; 2.25 modules"
          value={own.depth ?? ""}
          onChange={(event) => write({ depth: event.target.value })}
          error={error("depth")}
        />
      )}
      {mesh?.faceWidthMm === null && (
        <Field
          label="Face width"
          hint="mm; says how far it is tilted. Empty: not known."
          value={own.face ?? ""}
          onChange={(event) => write({ face: event.target.value })}
          error={error("face")}
        />
      )}
      <Field
        label="Bolts apart along the shaft"
        hint="mm; says what shim tilts it. Empty: not known."
        value={own.bolts ?? ""}
        onChange={(event) => write({ bolts: event.target.value })}
        error={error("bolts")}
      />
      <Field
        label="Film of paint"
        hint="mm; empty: not known, 0.01 is reckoned with (common practice)"
        value={own.film ?? ""}
        onChange={(event) => write({ film: event.target.value })}
        error={error("film")}
      />
      {problem && (
        <p role="alert" className="text-outside font-semibold">
          {refusalWords(reader, problem)}
        </p>
      )}
      <Button kind="now" large onClick={done}>
        {doneWords[phase]}
      </Button>
      {painted && (
        <Button onClick={() => void job.put({ kind: "loose-thing", state: "out", names: painted.entry })}>
          The paint is cleaned off
        </Button>
      )}
    </section>
  );
}

const edges = [
  { name: "depth.from", label: "Depth from, %" },
  { name: "depth.to", label: "depth to, %" },
  { name: "length.from", label: "Length from, %" },
  { name: "length.to", label: "length to, %" },
];

function FlankMark({
  flank,
  label,
  kind,
  texts,
  write,
  error,
}: {
  flank: Flank;
  label: string;
  kind: PrintKind;
  texts: Texts;
  write: (texts: Texts) => void;
  error: (name: string) => string | undefined;
}) {
  return (
    <fieldset className="grid gap-2 min-w-0">
      <legend className="font-semibold mb-1">{label}: draw over the print</legend>
      <PrintFlank
        label={label}
        span={typedSpan(texts, flank)}
        aim={aimedDepth(kind)}
        ends={printEnds[kind]}
        onMark={(span) => write(spanTexts(flank, span))}
      />
      <details>
        <summary className="min-h-11 content-center cursor-pointer underline">Type it</summary>
        <div className="grid grid-cols-2 gap-2">
          {edges.map(({ name, label: edge }) => (
            <Field
              key={name}
              label={`${label.split(" ")[0]}, ${edge.charAt(0).toLowerCase()}${edge.slice(1)}`}
              inputMode="numeric"
              value={texts[`${flank}.${name}`] ?? ""}
              onChange={(event) => write({ [`${flank}.${name}`]: event.target.value })}
            />
          ))}
        </div>
      </details>
      {edges.flatMap(({ name }) => {
        const said = error(`${flank}.${name}`);
        return said ? [said] : [];
      })[0] && (
        <p role="alert" className="text-outside font-semibold">
          {edges
            .map(({ name, label: edge }) => error(`${flank}.${name}`) && `${edge}: ${error(`${flank}.${name}`)}`)
            .find(Boolean)}
        </p>
      )}
      <Tick
        label="It runs diagonally"
        checked={texts[`${flank}.diagonal`] === "yes"}
        onChange={(checked) => write({ [`${flank}.diagonal`]: checked ? "yes" : "" })}
      />
    </fieldset>
  );
}
