import { aimedDepth, type PrintKind } from "~/core/prints";
import { TextField } from "../form/text-field";
import { TickField } from "../form/tick-field";
import { useFormTexts, useWriteTexts } from "../form/use-form-texts";
import { printEnds } from "../words/print";
import { PrintFlank } from "./print-flank";
import { printFlanks, spanTexts, typedSpan } from "./print-texts";

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
