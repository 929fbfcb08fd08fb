import { useWords } from "~/app/features/words/use-words";
import { judge } from "~/core/limits";
import type { Instrument, Stage } from "~/core/records";
import { limitsThatJudge } from "~/core/rounds";
import { judgedBy, judgedUnit } from "~/core/stages";
import { meanUncertainty, type ReadingBudget, whatSettles } from "~/core/statistics";
import { StateMark } from "~/ui/state-mark";
import { placeOf, stageUnit } from "../../words/quantity";
import { spoken } from "../../words/spoken";
import { verdictState } from "../../words/state";
import type { RoundView } from "./round-view";

type Props = {
  stage: Stage;
  view: RoundView;
  budget: ReadingBudget;
  instrument: Instrument;
  instruments: readonly Instrument[];
};

/** The parts of a reading's uncertainty, and what would settle the place that lies nearest to a limit. */
export function BudgetPane({ stage, view, budget, instrument, instruments }: Props) {
  const reader = useWords();
  const { unit: kept, digits } = judgedUnit[judgedBy(stage.geometry.element)];
  const { unit, figure } = spoken(reader, kept, digits + 2);
  const rows: [string, number | null, string][] = [
    ["step of the instrument", budget.resolution, "r/√6, two positions of the pointer"],
    ["its certificate", budget.calibration, "U/k"],
    ["the way it was measured", budget.way, "geometry, and what is known of the part"],
    [
      "repeats at one place",
      budget.repeats?.sd ?? null,
      budget.repeats ? `s, ${budget.repeats.freedom} degrees of freedom` : "nothing was read twice",
    ],
  ];
  return (
    <div className="grid gap-2">
      <table aria-label="Uncertainty budget" className="w-full text-left">
        <tbody>
          {rows.map(([name, u, from]) => (
            <tr key={name} className="border-b border-rule align-top">
              <th className="font-normal py-1 pr-3">{name}</th>
              <td className="figure pr-3">{u === null ? "–" : figure(u)}</td>
              <td className="text-mid">{from}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-mid">Standard uncertainties in {unit}; root of their squares, times 2 (JCGM 100).</p>
      <Settles stage={stage} view={view} budget={budget} instrument={instrument} instruments={instruments} />
    </div>
  );
}

/** The place whose mean lies nearest to a limit, what its readings decide, and what would. */
function Settles({ stage, view, budget, instrument, instruments }: Props) {
  const reader = useWords();
  const { element } = stage.geometry;
  if (!stage.limits) return null;
  const limits = limitsThatJudge(judgedBy(element), stage.limits);
  const places = new Map<number, number[]>();
  for (const reading of view.readings)
    if (!reading.struck) places.set(reading.tooth, [...(places.get(reading.tooth) ?? []), reading.value]);
  const means = [...places].map(([place, values]) => {
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
    const u = meanUncertainty(budget, values.length);
    return { place, mean, count: values.length, u, ...judge(mean, limits, u) };
  });
  const nearest = means.sort((a, b) => Math.abs(a.marginToNearest) - Math.abs(b.marginToNearest))[0];
  if (!nearest) return null;
  const { unit, figure } = stageUnit(reader, element);
  const settles = whatSettles(budget, Math.abs(nearest.marginToNearest), nearest.count);
  const f = (value: number) => figure(value, 1);
  return (
    <p>
      Nearest to a limit: <b>{placeOf(element, nearest.place)}</b>,{" "}
      {nearest.count === 1 ? "one reading" : `mean of ${nearest.count}`}{" "}
      <span className="figure">
        {f(nearest.mean)} ± {f(nearest.u)} {unit}
      </span>
      , <StateMark state={verdictState[nearest.verdict]} />. {words()}
    </p>
  );

  function words(): string {
    switch (settles.by) {
      case "now":
        return "That decides it.";
      case "repeats":
        return `${settles.more === 1 ? "One more reading" : `${settles.more} more readings`} there would settle it, if they scatter as these do.`;
      case "finer": {
        const finer = finerThan(Math.abs(nearest?.marginToNearest ?? 0));
        const own = `No number of repeats settles it: the instrument alone leaves ±${f(settles.leastUncertainty)}.`;
        return finer ? `${own} ${finer} could.` : `${own} None here is finer.`;
      }
    }
  }

  /** An instrument of the workshop that would decide it, read the same way. */
  function finerThan(distance: number): string | undefined {
    const slope = (budget.resolution * Math.sqrt(6)) / instrument.resolution;
    return instruments.find(
      (one) =>
        one.dimension === instrument.dimension &&
        2 *
          Math.hypot(
            (slope * one.resolution) / Math.sqrt(6),
            (slope * one.expandedUncertainty) / one.coverage,
            budget.way,
          ) <=
          distance,
    )?.name;
  }
}
