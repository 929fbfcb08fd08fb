import type { ReactNode } from "react";
import { loadsOf, sensitivityWords } from "~/app/features/kinds";
import { useWords } from "~/app/features/words/use-words";
import type { LearntResponse } from "~/core/advice";
import { shownIn } from "~/core/practice";
import type { Instrument, Stage } from "~/core/records";
import { type RoundFit, reIndex } from "~/core/rounds";
import { frameOf, type StageElement, strandRead } from "~/core/stages";
import { Term } from "../../shell/term";
import { exactAmount } from "../../words/amount";
import { noLimits } from "../../words/limit-words";
import { stageUnit } from "../../words/quantity";
import { responseWords } from "../../words/response";
import { lengthUnit, lengthWords } from "../../words/spoken";
import { BudgetPane } from "../read/budget-pane";
import type { RoundView } from "../read/round-view";
import { wavesWords } from "./waves-words";

export type WhyProps = {
  stage: Stage;
  instruments: readonly Instrument[];
  instrument: Instrument;
  view: RoundView;
  learnt: LearntResponse | null;
};

/** Every number behind a move, with its formula and source. */
export function WhyNumbers({ stage, instrument, view, learnt, instruments }: WhyProps) {
  const reader = useWords();
  const { limits, adjuster } = stage;
  const { element } = stage.geometry;
  const unit = stageUnit(reader, element);
  const { advice, judged, sensitivity } = view;
  const { fit } = judged;
  const upper = judged.quantity === "elongation";
  const shows = shownIn(instrument);
  const loads = loadsOf(reader, element, judged.mean);
  const strand = strandRead(view.read);
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 mt-2">
      <Fact name="Limits">
        {limits
          ? `${upper ? "up to " : `${unit.figure(limits.lo)} to `}${unit.figure(limits.hi)} ${unit.unit}, ${limits.source}, revision ${limits.revision}`
          : noLimits}
      </Fact>
      <Fact name={<Term name="uncertainty">Uncertainty of a reading</Term>}>
        ±{unit.said(view.expandedUncertainty, 1)} (k = 2): {instrument.name}, step {shows.shown(instrument.resolution)}{" "}
        {shows.symbol} as r/√6, certificate ±{shows.shown(instrument.expandedUncertainty)} {shows.symbol} (JCGM 100)
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
        <Term name="guard band">Guard bands</Term> of that uncertainty at {upper ? "the limit" : "both limits"} (ISO
        14253-1)
      </Fact>
      {sensitivity !== null && (
        <Fact name={`A ${lengthUnit(reader)} of it`}>{sensitivityWords(reader, element, sensitivity, strand)}</Fact>
      )}
      {loads && <Fact name={loads[0]}>{loads[1]}</Fact>}
      {learnt && adjuster.adjuster && (
        <Fact name={<Term name="response">Response</Term>}>{responseWords(reader, stage, learnt)}</Fact>
      )}
      {fit && <Fact name={<Term name="waves">Waves found</Term>}>{wavesWords(reader, element, fit)}</Fact>}
      {fit && (
        <Fact
          name={
            frameOf(element).teeth ? (
              <>
                Worst over the <Term name="hunting cycle">hunting cycle</Term>
              </>
            ) : (
              "Worst round the turn"
            )
          }
        >
          {unit.range(fit.least.value, fit.greatest.value, 1)} {unit.unit}
          {fit.least.turnsBetween > 1 && `, every ${fit.least.turnsBetween} turns`}
        </Fact>
      )}
      {fit && <TurnedOn fit={fit} element={element} said={unit.said} />}
      {advice?.move && adjuster.adjuster && (
        <Fact name="Move before rounding">
          {exactAmount(reader, advice.move.amount, advice.move.unit)}, which is{" "}
          {lengthWords(reader, Math.abs(advice.move.centreDistanceChangeMm), 3)} {advice.move.direction}
        </Fact>
      )}
    </dl>
  );
}

/** What meeting differently would gain, or truing one part; nothing where the two wobbles were not told apart. */
function TurnedOn({
  fit,
  element,
  said,
}: {
  fit: RoundFit;
  element: StageElement;
  said: (value: number, more?: number) => string;
}) {
  const { teeth } = frameOf(element);
  const found = teeth && reIndex(fit.harmonics, teeth);
  if (!found) return null;
  const { spread, turnOn, spreadThen, gearTrued, pinionTrued } = found;
  const gains = turnOn > 0 && spreadThen < 0.95 * spread;
  return (
    <Fact name="Met differently">
      From least to greatest {said(spread, 1)}.{" "}
      {gains
        ? `Pinion turned on by ${turnOn} ${turnOn === 1 ? "tooth" : "teeth"} in mesh: ${said(spreadThen, 1)}.`
        : "Turning the pinion on in mesh gains nothing."}{" "}
      Gear trued: {said(gearTrued, 1)}; pinion trued: {said(pinionTrued, 1)}.
    </Fact>
  );
}

function Fact({ name, children }: { name: ReactNode; children: ReactNode }) {
  return (
    <>
      <dt className="text-mid">{name}</dt>
      <dd>{children}</dd>
    </>
  );
}
