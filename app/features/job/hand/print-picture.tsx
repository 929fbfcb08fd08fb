import type { RoundPhase } from "~/core/logbook";
import { aimedDepth } from "~/core/prints";
import { PrintFlank, wantedSpan } from "../../print/print-flank";
import { printFlanks } from "../../print/print-texts";
import { printEnds } from "../../words/print";
import { useJobScreen } from "../entries/job-context";

/** The last print of the job as it lies, and dashed where it should lie. */
export function PrintPicture({ phase }: { phase: RoundPhase }) {
  const { job } = useJobScreen();
  const marked = job.record.lastFeel?.body.print;
  if (!marked)
    return (
      <p className="text-lg text-mid p-6 max-w-md">
        {phase === "as-found"
          ? "The print as found stands here once it is marked: what it looked like before anything was moved."
          : "The print stands here once it is marked, with where it should lie."}
      </p>
    );
  const aim = aimedDepth(marked.kind);
  const wanted = marked.findings.length > 0 ? wantedSpan(aim) : null;
  return (
    <div className="grid gap-4 w-full max-w-lg">
      {marked.prints.map(({ flank, ...span }) => (
        <PrintFlank
          key={flank}
          label={printFlanks.find((known) => known.flank === flank)?.label ?? flank}
          span={span}
          aim={aim}
          ends={printEnds[marked.kind]}
          wanted={wanted}
        />
      ))}
    </div>
  );
}
