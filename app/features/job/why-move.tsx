import type { ReactNode } from "react";
import { formatNumber } from "~/app/features/words/figure";
import { type LearntResponse, unitOf } from "~/core/advice";
import { frameOf } from "~/core/stages";
import type { Instrument } from "~/data/queries/instruments";
import type { Stage } from "~/data/queries/stages";
import { capital } from "../words/count";
import { stageUnit } from "../words/quantity";
import { BudgetPane } from "./budget-pane";
import { notRound } from "./how-to-read";
import type { RoundView } from "./round-view";
import { sensitivityWords, wavesWords } from "./sensitivity-words";

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
  const { limits, adjuster } = stage;
  const { element } = stage.geometry;
  const unit = stageUnit(element);
  const { fit, sensitivity } = view.assessment;
  const band = limits.hi - limits.lo;
  const { advice } = view;
  const f = (value: number, digits = 3) => formatNumber(value, digits);
  const eccentric = adjuster.adjuster?.type === "eccentric";
  const squared = unit.quantity === "sag" ? " of its square" : "";
  const law =
    learnt &&
    (eccentric
      ? `${f(learnt.perUnit, 2)} of its law`
      : `${f(learnt.perUnit)} ${unit.unit}${squared} a ${unitWord(stage)}`);
  return (
    <div className="border-t border-rule pt-3 text-base">
      <p>
        <b>Why.</b>{" "}
        {view.readings.length === 1 && !view.carried
          ? `The limits lie ${unit.said(band)} apart; one reading is all there is to go by.`
          : sensitivity === null
            ? `The round is ${unit.figure(advice.spread)} wide, and no adjuster changes what is read here.`
            : advice.spread > band
              ? `The round is ${unit.figure(advice.spread)} wide and the limits lie ${unit.figure(band)} apart: no setting can hold it. ${capital(notRound(element))}; true it, reseat it or replace it. Until then the tight side is kept inside, and the rest stays provisional.`
              : advice.reasons.includes("not-provable")
                ? `The round is ${unit.figure(advice.spread)} wide and fits the limits, but leaves no room for the reading's uncertainty of ${unit.said(view.expandedUncertainty, 1)}. A finer instrument could prove it.`
                : `The round is ${unit.figure(advice.spread)} wide and the limits lie ${unit.figure(band)} apart: one setting holds all of it.`}
        {advice.reasons.includes("provisional") &&
          sensitivity !== null &&
          advice.spread <= band &&
          " The adjuster does not reach far enough; it goes as far as it can."}
      </p>
      <details className="mt-2">
        <summary className="cursor-pointer min-h-11 content-center font-semibold underline">
          Numbers behind this
        </summary>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 mt-2">
          <Fact name="Limits">
            {unit.figure(limits.lo)} to {unit.figure(limits.hi)} {unit.unit}, {limits.source}, revision{" "}
            {limits.revision}
          </Fact>
          <Fact name="Uncertainty of a reading">
            ±{f(view.expandedUncertainty)} {unit.unit} (k = 2): {instrument.name}, step {f(instrument.resolution)} as
            r/√6, certificate ±{f(instrument.expandedUncertainty)} (JCGM 100)
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
          <Fact name="Verdict">Guard bands of that uncertainty at both limits (ISO 14253-1)</Fact>
          {sensitivity !== null && <Fact name="A mm of it">{sensitivityWords(element, sensitivity)}</Fact>}
          {learnt && (
            <Fact name="Response">
              {learnt.moves === 0
                ? `${law}, by calculation; nothing learnt yet, taken as ±20 %`
                : `${law} ± ${f(2 * learnt.sd)}, learnt from ${learnt.moves} of ${learnt.evidence.length} moves`}
            </Fact>
          )}
          {fit && <Fact name="Waves found">{wavesWords(element, fit)}</Fact>}
          {fit && (
            <Fact name={frameOf(element).teeth ? "Worst over the hunting cycle" : "Worst round the turn"}>
              {f(fit.least.value)} to {f(fit.greatest.value)} {unit.unit}
              {fit.least.turnsBetween > 1 && `, every ${fit.least.turnsBetween} turns`}
            </Fact>
          )}
          {advice.move && (
            <Fact name="Move before rounding">
              {f(advice.move.amount)} {advice.move.unit}, which is {f(Math.abs(advice.move.centreDistanceChangeMm))} mm{" "}
              {advice.move.direction}
            </Fact>
          )}
        </dl>
      </details>
    </div>
  );
}

const unitWord = (stage: Stage): string =>
  ({ turns: "turn", mm: "mm", deg: "degree", "mm-at-lever": "mm at the lever", "mm-of-shim": "mm of shim" })[
    stage.adjuster.adjuster ? unitOf(stage.adjuster.adjuster) : "mm"
  ];

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}
