import { nothingToAdjust, notRound } from "~/app/features/kinds";
import { traitsOf } from "~/app/features/kinds/traits";
import { useWords } from "~/app/features/words/use-words";
import { responseChange } from "~/core/advice";
import { Fold } from "~/ui/fold";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { capital } from "../../words/count";
import { stageUnit } from "../../words/quantity";
import type { WhyProps } from "./why-numbers";

/** Why this move, in a sentence, and every number behind it with its formula and source. */
export function WhyMove(props: WhyProps) {
  const reader = useWords();
  const { stage, view } = props;
  const { limits } = stage;
  const change = props.learnt && responseChange(props.learnt.evidence);
  if (!limits) return null;
  const { element } = stage.geometry;
  const unit = stageUnit(reader, element);
  const { advice, judged } = view;
  const upper = judged.quantity === "elongation";
  const apart = unit.figure(limits.hi - limits.lo);
  const read = () => `it reads ${unit.range(judged.least, judged.greatest)} ${unit.unit}`;
  const held = (): string => {
    const wide = `It reads ${unit.range(judged.least, judged.greatest)} ${unit.unit}${judged.fit ? " with the fitted line" : ""}`;
    switch (judged.holds) {
      case null:
        return `${wide}.`;
      case "too-wide":
        return `${wide}, and the limits lie ${apart} ${unit.unit} apart: no setting can hold it. ${capital(notRound(element))}; true it, reseat it or replace it. Until then the tight side is kept inside, and the rest stays provisional.`;
      case "fits":
        return `${wide}, and fits the limits, but leaves no room for the reading's uncertainty of ${unit.said(view.expandedUncertainty, 1)}. A finer instrument could prove it.`;
      case "provable":
        return unit.quantity === "sag"
          ? `${wide}. Sag goes as the root of the slack, so that a move shifts its square: on that scale one setting holds all of it.`
          : `${wide}, and the limits lie ${apart} ${unit.unit} apart: one setting holds all of it.`;
    }
  };
  return (
    <div className="border-t border-rule pt-3 text-base">
      <p>
        <b>Why.</b>{" "}
        {upper
          ? `Worn is what is beyond ${unit.said(limits.hi)}; a chain cannot be too little worn.`
          : view.readings.length === 1 && !view.carried
            ? `The limits lie ${unit.said(limits.hi - limits.lo)} apart; one reading is all there is to go by.`
            : !advice
              ? `${capital(read())}. ${traitsOf(element).setBeside ? nothingToAdjust(element) : "No adjuster changes what is read here."}`
              : held()}
        {advice?.reasons.includes("provisional") &&
          judged.holds !== "too-wide" &&
          " The adjuster does not reach far enough; it goes as far as it can."}
      </p>
      {change && <WhenHere part={changed} props={{ stage, change }} />}
      <Fold summary="Numbers behind this" className="mt-2">
        <WhenHere part={numbers} props={props} />
      </Fold>
    </div>
  );
}

const changed = later(async () => (await import("./response-changed")).ResponseChanged);
const numbers = later(async () => (await import("./why-numbers")).WhyNumbers);
