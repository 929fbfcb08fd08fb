import { Link } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { Stage } from "~/core/records";
import { type MeasuredQuantity, measuredUnit, onlyUpper, waysToMeasure } from "~/core/stages";
import type { LimitsRevision } from "~/data/queries/stages";
import { limitWords } from "../words/limit-words";
import { sideIn, stageUnit } from "../words/quantity";
import { measuredWords, sideWords } from "../words/quantity-names";
import { day } from "../words/times";

const givenUnit = (quantity: MeasuredQuantity): string =>
  quantity === "elongation" ? "%" : measuredUnit[quantity].unit;

/** The limits with their source, and every revision they had, from when. */
export function LimitsHistory({
  stage,
  revisions,
  mayEdit,
}: {
  stage: Stage;
  revisions: readonly LimitsRevision[];
  mayEdit: boolean;
}) {
  const reader = useWords();
  const unit = stageUnit(reader, stage.geometry.element);
  const { limits } = stage;
  const only = onlyUpper(unit.quantity);
  const f = (value: number) =>
    formatNumber(reader, value, 3)
      .replace(/(\.\d*?)0+$/, "$1")
      .replace(/\.$/, "");
  return (
    <section aria-labelledby="limits">
      <div className="flex gap-4 items-baseline justify-between">
        <h2 id="limits" className="text-xl font-bold">
          Limits
        </h2>
        {mayEdit && <Link to={`/stages/${stage.id}/limits`}>{limits ? "Revise the limits" : "Give its limits"}</Link>}
      </div>
      <ol>
        {revisions.map((revised, i) => (
          <li key={revised.id} className={`border-t border-rule py-1.5 ${i > 0 ? "text-mid" : ""}`}>
            <span className="figure font-semibold">
              {only ? "up to" : `${f(revised.given.lo)} to`} {f(revised.given.hi)}
            </span>{" "}
            {givenUnit(revised.given.quantity)}
            {revised.given.aim !== null ? `, aim ${f(revised.given.aim)}` : only ? "" : ", aim the middle"}.{" "}
            {revised.source} <span className="text-mid">({revised.sourceKind})</span>
            <span className="block text-mid">
              Revision {revised.revision}, from {day(reader, revised.effectiveFrom)}, {revised.madeByName}
            </span>
          </li>
        ))}
      </ol>
      {!limits && <p className="text-lg">Nobody has said them yet. Until then what is read is kept and not judged.</p>}
      {limits &&
        limits.given.quantity !== waysToMeasure(stage.geometry.element)[0] &&
        unit.quantity !== "lost-motion" && (
          <p className="text-mid">
            Given as {measuredWords[limits.given.quantity].name.toLowerCase()}; judged as{" "}
            {unit.range(limits.lo, limits.hi)} {unit.unit} of {unit.name}.
          </p>
        )}
      {stage.sideLimits.length > 0 && (
        <ul aria-label="Limits of what is read beside it" className="border-t border-rule">
          {stage.sideLimits.map((side) => (
            <li key={side.id} className="py-1.5">
              {sideWords[side.quantity]}: {limitWords(side.lo, side.hi, sideIn(reader, side.quantity))}. {side.source}{" "}
              <span className="text-mid">({side.sourceKind})</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
