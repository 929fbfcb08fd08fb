import { useWords } from "~/app/features/words/use-words";
import { aimedDepth, type PrintKind, printKinds } from "~/core/prints";
import { ChoiceField } from "../../form/choice-field";
import { choice, over0, over0Or, pressureAngle } from "../../form/field-readers";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { TickField } from "../../form/tick-field";
import { useFormTexts } from "../../form/use-form-texts";
import { PrintFields } from "../../print/print-fields";
import { PrintFlank, wantedSpan } from "../../print/print-flank";
import { printFlanks, readPrints } from "../../print/print-texts";
import { findingWords, printEnds, printKindWords, printMoveWords, printWords } from "../../words/print";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const kindIn = (texts: Texts): PrintKind => printKinds.find((kind) => kind === texts.kind) ?? "spur";

function readQuestion(texts: Texts) {
  const read = new TextReader(texts);
  const kind = choice(read, "kind", ["spur", "ring-pinion", "bevel", "worm"]);
  const faceWidthMm = over0Or(read, "face", null);
  const boltSpanMm = over0Or(read, "bolts", null);
  return read.done({
    kind,
    prints: readPrints(read),
    wholeDepthMm: over0(read, "depth"),
    ...(faceWidthMm === null ? {} : { faceWidthMm }),
    ...(boltSpanMm === null ? {} : { boltSpanMm }),
    filmMm: over0Or(read, "film", 0.01),
    pressureAngleDeg: pressureAngle(read),
    ...(kind === "bevel" ? { spiral: read.has("spiral") } : {}),
  });
}

function Fields() {
  const kind = kindIn(useFormTexts());
  return (
    <>
      <ChoiceField
        name="kind"
        legend="Printed on the larger gear of"
        usual="spur"
        options={printKinds.map((value) => ({ value, label: printKindWords[value] }))}
      />
      <PrintFields kind={kind} />
      {kind === "bevel" && <TickField name="spiral" label="The teeth are spiral" />}
      <div className="grid grid-cols-2 gap-4">
        <TextField name="depth" label="Whole depth of the tooth" hint="mm; 2.25 modules" />
        <TextField name="face" label="Face width" hint="mm; for the tilt" />
        <TextField name="bolts" label="Bolts apart along the shaft" hint="mm; for the shim" />
        <TextField name="film" label="Film of compound" hint="mm, usually 0.01" />
        <TextField name="alpha" label="Pressure angle" hint="degrees, usually 20" />
      </div>
    </>
  );
}

export const tool = benchTool(
  "contact-print",
  async () => (await import("~/calc/tools/contact-print")).contactPrintTool,
  {
    example: {
      kind: "ring-pinion",
      "drive.depth.from": "10",
      "drive.depth.to": "55",
      "drive.length.from": "0",
      "drive.length.to": "40",
      "coast.depth.from": "15",
      "coast.depth.to": "50",
      "coast.length.from": "5",
      "coast.length.to": "45",
      depth: "5.6",
      face: "18",
      bolts: "70",
    },
    Fields,
    read: (texts) => inputFrom(readQuestion(texts)),
    say: (_, { findings, ok }) => printWords(findings, ok),
    View: ({ output, texts }) => {
      const reader = useWords();
      const { value } = readQuestion(texts);
      const kind = kindIn(texts);
      const aim = aimedDepth(kind);
      return (
        <div className="grid gap-4 text-lg">
          <div className="grid gap-3 max-w-lg">
            {printFlanks.map(({ flank, label }) => {
              const span = value?.prints.find((print) => print.flank === flank);
              const wanted = output.ok ? null : wantedSpan(aim);
              return (
                span && (
                  <PrintFlank key={flank} label={label} span={span} aim={aim} ends={printEnds[kind]} wanted={wanted} />
                )
              );
            })}
          </div>
          {output.findings.slice(1).map((finding) => (
            <p key={finding}>{findingWords[finding]}</p>
          ))}
          {output.moves.length > 0 && (
            <ol className="grid gap-2 list-decimal pl-6" aria-label="What to do">
              {output.moves.map((move) => (
                <li key={move.what}>{printMoveWords(reader, move, printEnds[kind])}</li>
              ))}
            </ol>
          )}
          <p className="text-mid text-base">
            Brake it and guard it while you print; no hand in the mesh. No move lifts the limits of the backlash: read
            it before you go together, and after every move. Clean the paint off in the end. Rules of reading: common
            practice; the tilt is the least that parts the flanks by the film.
          </p>
        </div>
      );
    },
  },
);

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
