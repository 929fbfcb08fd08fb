import { type Closures, isoToDays } from "~/core/logbook";
import { PointsPlot } from "~/ui/points-plot";
import { StateMark } from "~/ui/state-mark";
import { closureWords, stepsLostWords } from "../words/closure";
import { formatNumber } from "../words/figure";
import { stateOfVerdict } from "../words/state";
import { day, shortDay } from "../words/times";
import { useWords } from "../words/use-words";

const shownReads = 6;
/** A drift less sure than this is not said for sure. */
const leastCoverage = 0.9;

/** How it came back to zero over the years, whether that drifts, and whether the errors that are known of it explain it. */
export function ClosurePane({ closures: { reads, trend, against } }: { closures: Closures }) {
  const reader = useWords();
  const f = (arcmin: number, decimals = 1) => formatNumber(reader, arcmin, decimals);
  const [first, last] = [reads[0], reads.at(-1)];
  if (!first || !last) return null;
  const t = (at: string) => isoToDays(at) - isoToDays(first.at);
  const end = t(last.at);
  const tolerance = last.toleranceArcmin;
  const lost = last.closure.stepsLost;
  return (
    <section aria-labelledby="closure">
      <h2 id="closure" className="text-xl font-bold flex gap-3 items-center">
        Back to zero <StateMark state={stateOfVerdict(last.closure.verdict)} />
      </h2>
      <p className="text-lg">
        {closureWords(reader, last.closure)}; ± {f(tolerance)}′ is allowed. {day(reader, last.at)}, {last.by}.
      </p>
      {lost && <p className="text-lg">{stepsLostWords(reader, lost)}</p>}
      {against && (
        <p className="text-lg">
          {
            {
              explained: `The errors that are known of it explain the miss: together they make ± ${f(against.worstArcmin)}′ at worst.`,
              "not-explained": `More than all its known errors together (± ${f(against.worstArcmin)}′ at worst): something slips, or steps are lost.`,
              undecided: `Whether its known errors (± ${f(against.worstArcmin)}′ at worst) explain the miss cannot be told by these readings.`,
            }[against.find]
          }{" "}
          <span className="text-mid">As computed {shortDay(reader, against.at)}.</span>
        </p>
      )}
      {trend && (
        <>
          <p className="text-lg">
            {trend.coverage < leastCoverage
              ? `By ${reads.length} readings it goes ${f(trend.slope * 365.25)}′ a year: too few to be sure of it.`
              : trend.slopeInterval[0] > 0 || trend.slopeInterval[1] < 0
                ? `The forward miss drifts ${f(trend.slope * 365.25)}′ a year (${formatNumber(reader, Math.floor(100 * trend.coverage), 0)} %: ${f(trend.slopeInterval[0] * 365.25)} to ${f(trend.slopeInterval[1] * 365.25)}).`
                : "The forward miss does not surely drift by what was measured so far."}
          </p>
          <PointsPlot
            points={reads.map(({ at, closure }) => ({ x: t(at), y: closure.forward.meanArcmin }))}
            lines={[
              {
                kind: "fit",
                points: [
                  { x: 0, y: trend.level - trend.slope * end },
                  { x: end, y: trend.level },
                ],
              },
              ...[tolerance, -tolerance].map((y) => ({
                kind: "limit" as const,
                points: [
                  { x: 0, y },
                  { x: end, y },
                ],
              })),
            ]}
            label={`Forward miss over time: ${reads.map(({ at, closure }) => `${shortDay(reader, at)} ${f(closure.forward.meanArcmin)}′`).join(", ")}`}
            axes="forward miss, ′, over days"
            figure={f}
          />
        </>
      )}
      {reads.length > 1 && (
        <ul>
          {reads
            .slice(-shownReads - 1, -1)
            .reverse()
            .map(({ at, closure }) => (
              <li key={at} className="border-t border-rule py-1">
                {day(reader, at)}: {closureWords(reader, closure)}
              </li>
            ))}
        </ul>
      )}
    </section>
  );
}
