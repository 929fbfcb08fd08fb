import { aimedDepth, type ContactPrint, type PrintFlank as Flank, type PrintKind } from "~/core/prints";
import { TextField } from "../form/text-field";
import type { TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { TickField } from "../form/tick-field";
import { useFormTexts, useWriteTexts } from "../form/use-form-texts";
import { printEnds } from "../words/print";
import { type FlankSpan, PrintFlank } from "./print-flank";

export const printFlanks: readonly { flank: Flank; label: string }[] = [
  { flank: "drive", label: "Drive flank" },
  { flank: "coast", label: "Coast flank" },
];
const edges = ["depth.from", "depth.to", "length.from", "length.to"] as const;

/** Both flanks of a painted tooth, each marked with the finger or typed in per cent. */
export function PrintFields({ kind }: { kind: PrintKind }) {
  const texts = useFormTexts();
  const write = useWriteTexts();
  return (
    <div className="grid gap-5">
      {printFlanks.map(({ flank, label }) => (
        <fieldset key={flank} className="grid gap-2 content-start min-w-0">
          <legend className="font-semibold mb-1">{label}: draw over the print</legend>
          <PrintFlank
            label={label}
            span={typedSpan(texts, flank)}
            aim={aimedDepth(kind)}
            ends={printEnds[kind]}
            onMark={(span) => write(spanTexts(flank, span))}
          />
          <div className="grid grid-cols-2 sm:grid-cols-4 gap-2">
            <TextField name={`${flank}.depth.from`} label="Depth from, %" hint="0 is the root" inputMode="numeric" />
            <TextField name={`${flank}.depth.to`} label="to, %" hint="100 is the tip" inputMode="numeric" />
            <TextField name={`${flank}.length.from`} label="Length from, %" inputMode="numeric" />
            <TextField name={`${flank}.length.to`} label="to, %" inputMode="numeric" />
          </div>
          <TickField name={`${flank}.diagonal`} label="It runs diagonally" />
        </fieldset>
      ))}
    </div>
  );
}

const spanTexts = (flank: Flank, { depth, length }: FlankSpan): Texts => ({
  [`${flank}.depth.from`]: percent(depth.from),
  [`${flank}.depth.to`]: percent(depth.to),
  [`${flank}.length.from`]: percent(length.from),
  [`${flank}.length.to`]: percent(length.to),
});
const percent = (share: number): string => String(Math.round(100 * share));

/** The prints that were marked: of a flank all four edges, or none. */
export function readPrints(read: TextReader): ContactPrint[] {
  const prints = printFlanks.flatMap(({ flank }): ContactPrint[] => {
    if (!edges.some((edge) => read.has(`${flank}.${edge}`))) return [];
    const share = (edge: (typeof edges)[number]) => {
      const value = read.number(`${flank}.${edge}`) / 100;
      read.want(`${flank}.${edge}`, !(value < 0), "too-small");
      read.want(`${flank}.${edge}`, !(value > 1), "too-large");
      return value;
    };
    const depth = { from: share("depth.from"), to: share("depth.to") };
    const length = { from: share("length.from"), to: share("length.to") };
    read.want(`${flank}.depth.from`, !(depth.from >= depth.to), "window-upside-down");
    read.want(`${flank}.length.from`, !(length.from >= length.to), "window-upside-down");
    return [{ flank, depth, length, diagonal: read.has(`${flank}.diagonal`) }];
  });
  read.want("drive.depth.from", prints.length > 0, "missing");
  return prints;
}

/** What is typed as far as it can be drawn. */
function typedSpan(texts: Texts, flank: Flank): FlankSpan | null {
  const [from, to, start, end] = edges.map((edge) => Number((texts[`${flank}.${edge}`] ?? "").replace(",", ".")) / 100);
  const ordered = (a = Number.NaN, b = Number.NaN) => a >= 0 && b <= 1 && a < b;
  if (!ordered(from, to) || !ordered(start, end)) return null;
  return { depth: { from: from as number, to: to as number }, length: { from: start as number, to: end as number } };
}
