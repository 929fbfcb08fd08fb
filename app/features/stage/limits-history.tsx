import { Link } from "react-router";
import { formatNumber } from "~/core/quantity";
import type { LimitsRevision, Stage } from "~/data/queries/stages";
import { day } from "../words/times";

/** The limits with their source, and every revision they had, from when. */
export function LimitsHistory({
  stage,
  revisions,
  timeZone,
  mayEdit,
}: {
  stage: Stage;
  revisions: readonly LimitsRevision[];
  timeZone: string;
  mayEdit: boolean;
}) {
  return (
    <section aria-labelledby="limits">
      <div className="flex gap-4 items-baseline justify-between">
        <h2 id="limits" className="text-xl font-bold">
          Limits
        </h2>
        {mayEdit && <Link to={`/stages/${stage.id}/limits`}>Revise the limits</Link>}
      </div>
      <ol>
        {revisions.map((limits, i) => (
          <li key={limits.id} className={`border-t border-rule py-1.5 ${i > 0 ? "text-mid" : ""}`}>
            <span className="figure font-semibold">
              {formatNumber(limits.loMm, 3)} to {formatNumber(limits.hiMm, 3)}
            </span>{" "}
            mm, aim{" "}
            {limits.aimMm === null ? "the middle" : <span className="figure">{formatNumber(limits.aimMm, 3)}</span>}.{" "}
            {limits.source} <span className="text-mid">({limits.sourceKind})</span>
            <span className="block text-mid">
              Revision {limits.revision}, from {day(limits.effectiveFrom, timeZone)}, {limits.madeByName}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
