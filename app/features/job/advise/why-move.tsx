import type { ReactNode } from "react";
import { notRound, sensitivityWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { LearntResponse } from "~/core/advice";
import { shownIn } from "~/core/practice";
import { frameOf, strandRead } from "~/core/stages";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { exactAmount } from "../../words/amount";
import { capital } from "../../words/count";
import { stageUnit } from "../../words/quantity";
import { responseWords } from "../../words/response";
import { lengthUnit, lengthWords } from "../../words/spoken";
import { BudgetPane } from "../read/budget-pane";
import type { RoundView } from "../read/round-view";
import { wavesWords } from "./waves-words";

/** Why this move, in a sentence, and every number behind it with its formula and source. */
export function WhyMove({
  stage,
  instrument,
  view,
  learnt,
  instruments,
}: {
  stage: Stage;
  instruments: readonly Instrument[];
  instrument: Instrument;
  view: RoundView;
  learnt: LearntResponse | null;
}) {
  const reader = useWords();
  const { limits, adjuster } = stage;
  const { element } = stage.geometry;
  const unit = stageUnit(reader, element);
  const { advice, judged, sensitivity } = view;
  const { fit } = judged;
  const upper = judged.quantity === "elongation";
  const apart = unit.figure(limits.hi - limits.lo);
  const shows = shownIn(instrument);
  const strand = strandRead(view.read);
  const held = (): string => {
    const wide = `The round is ${unit.figure(judged.spread)} wide`;
    switch (judged.holds) {
      case "too-wide":
        return `${wide} and the limits lie ${apart} apart: no setting can hold it. ${capital(notRound(element))}; true it, reseat it or replace it. Until then the tight side is kept inside, and the rest stays provisional.`;
      case "fits":
        return `${wide} and fits the limits, but leaves no room for the reading's uncertainty of ${unit.said(view.expandedUncertainty, 1)}. A finer instrument could prove it.`;
      case "provable":
        return unit.quantity === "sag"
          ? `${wide}. Sag goes as the root of the slack, so that a move shifts its square: on that scale one setting holds all of it.`
          : `${wide} and the limits lie ${apart} apart: one setting holds all of it.`;
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
              ? `The round is ${unit.figure(judged.spread)} wide, and no adjuster changes what is read here.`
              : held()}
        {advice?.reasons.includes("provisional") &&
          judged.holds !== "too-wide" &&
          " The adjuster does not reach far enough; it goes as far as it can."}
      </p>
      <details className="mt-2">
        <summary className="cursor-pointer min-h-11 content-center font-semibold underline">
          Numbers behind this
        </summary>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 mt-2">
          <Fact name="Limits">
            {upper ? "up to " : `${unit.figure(limits.lo)} to `}
            {unit.figure(limits.hi)} {unit.unit}, {limits.source}, revision {limits.revision}
          </Fact>
          <Fact name="Uncertainty of a reading">
            ±{unit.said(view.expandedUncertainty, 1)} (k = 2): {instrument.name}, step{" "}
            {shows.shown(instrument.resolution)} {shows.symbol} as r/√6, certificate ±
            {shows.shown(instrument.expandedUncertainty)} {shows.symbol} (JCGM 100)
          </Fact>
          {view.budget && (
            <Fact name="What it is made of">
              <BudgetPane
                stage={stage}
                view={view}
                budget={view.budget}
                instrument={instrument}
                instruments={instruments}
              />
            </Fact>
          )}
          <Fact name="Verdict">
            Guard bands of that uncertainty at {upper ? "the limit" : "both limits"} (ISO 14253-1)
          </Fact>
          {sensitivity !== null && (
            <Fact name={`A ${lengthUnit(reader)} of it`}>{sensitivityWords(reader, element, sensitivity, strand)}</Fact>
          )}
          {learnt && adjuster.adjuster && <Fact name="Response">{responseWords(reader, stage, learnt)}</Fact>}
          {fit && <Fact name="Waves found">{wavesWords(reader, element, fit)}</Fact>}
          {fit && (
            <Fact name={frameOf(element).teeth ? "Worst over the hunting cycle" : "Worst round the turn"}>
              {unit.range(fit.least.value, fit.greatest.value, 1)} {unit.unit}
              {fit.least.turnsBetween > 1 && `, every ${fit.least.turnsBetween} turns`}
            </Fact>
          )}
          {advice?.move && adjuster.adjuster && (
            <Fact name="Move before rounding">
              {exactAmount(reader, advice.move.amount, advice.move.unit)}, which is{" "}
              {lengthWords(reader, Math.abs(advice.move.centreDistanceChangeMm), 3)} {advice.move.direction}
            </Fact>
          )}
        </dl>
      </details>
    </div>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}
