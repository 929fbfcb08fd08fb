import { lazy, Suspense, useRef } from "react";
import { Link, useSearchParams } from "react-router";
import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { daysToIso, isoToDays, type StageTrend, type TrendAxis } from "~/core/logbook";
import { Fold } from "~/ui/fold";
import { SavePicture } from "../export/save-picture";
import { Term } from "../shell/term";
import type { StageUnit } from "../words/quantity";
import { day } from "../words/times";
import { intervalWords, slopeWords, trendNews } from "./trend-words";

// The heaviest thing on the page, and the last that one needs of it.
const TrendChart = lazy(() => import("./trend-chart").then(({ TrendChart: chart }) => ({ default: chart })));

/** Where the stage has been and where it goes, with the limits, what was moved, and how sure the forecast is. */
export function TrendPane({
  trend,
  axis,
  roundsRead,
  limits,
  spoken,
  unit,
  now,
}: {
  trend: StageTrend | null;
  axis: TrendAxis;
  roundsRead: number;
  limits: { lo: number; hi: number } | null;
  spoken: StageUnit;
  unit: string;
  now: string;
}) {
  const reader = useWords();
  const picture = useRef<HTMLDivElement>(null);
  const other = axis === "time" ? "usage" : "time";
  const search = new URLSearchParams(useSearchParams()[0]);
  search.set("axis", other);
  return (
    <section aria-labelledby="trend" className="min-w-0">
      <div className="flex flex-wrap gap-x-6 gap-y-2 items-center justify-between mb-2">
        <h2 id="trend" className="text-xl font-bold">
          {trend ? trendNews(reader, trend, unit, limits, spoken.quantity, now) : "The trend needs three rounds"}
        </h2>
        <span className="flex gap-3 items-center">
          <Link to={`?${search}`} replace preventScrollReset className="min-h-11 inline-flex items-center">
            {other === "usage" ? `Over ${unit}` : "Over time"}
          </Link>
          {trend && <SavePicture of={picture} name="Trend" />}
        </span>
      </div>
      {trend ? (
        <>
          <div ref={picture}>
            <Suspense fallback={<div className="h-80 bg-panel" aria-busy="true" />}>
              <TrendChart
                trend={trend}
                limits={limits}
                unit={unit}
                spoken={spoken}
                today={axis === "time" ? isoToDays(now) : null}
              />
            </Suspense>
          </div>
          <p className="mt-2">
            {trend.drift && `${intervalWords(reader, trend, unit)}. `}
            Dots: least and greatest of each round, rings: mean. Upright dotted lines: something was moved or replaced.
            Dashed: where it leads.
          </p>
          <Fold className="mt-1" summary="Why, and the figures">
            <p className="mb-2">
              <Term name="drift">Drift</Term>: least {slopeWords(reader, trend.tightest, axis, unit, spoken)}; greatest{" "}
              {slopeWords(reader, trend.loosest, axis, unit, spoken)}. The slope is the median of the slopes of all
              pairs of rounds between two moves (Theil–Sen), its interval from their order (Sen 1968), how surely it
              lies there counted out: three rounds are 66 in a hundred, four 91, five and more 95 at least; the line
              starts anew at every move. It is forecast only where the whole interval has one sign. Rounds as found and
              checked count; those read while setting do not.
            </p>
            <table className="w-full text-left">
              <thead>
                <tr className="border-b-2 border-ink">
                  <th className="py-1">{axis === "time" ? "Read" : unit}</th>
                  <th>Least</th>
                  <th>Mean</th>
                  <th>Greatest</th>
                </tr>
              </thead>
              <tbody>
                {[...trend.points].reverse().map((point) => (
                  <tr key={`${point.t} ${point.madeAt}`} className="border-b border-rule">
                    <td className="py-1">
                      {axis === "time" ? day(reader, daysToIso(point.t)) : formatNumber(reader, point.t, 0)}
                    </td>
                    <td className="figure">{spoken.figure(point.min, 1)}</td>
                    <td className="figure">{spoken.figure(point.mean, 1)}</td>
                    <td className="figure">{spoken.figure(point.max, 1)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Fold>
        </>
      ) : (
        <p className="text-lg text-mid">
          {roundsRead === 0
            ? "Nothing was read yet."
            : axis === "usage"
              ? `It needs rounds at three different meter readings, two of them without a move in between; ${roundsRead} ${roundsRead === 1 ? "round is" : "rounds are"} read.`
              : `${roundsRead} ${roundsRead === 1 ? "round is" : "rounds are"} read so far, as found or as checked; two of them must lie between moves.`}
        </p>
      )}
    </section>
  );
}
