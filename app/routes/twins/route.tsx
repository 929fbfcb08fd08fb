import { Link } from "react-router";
import { runsBeside } from "~/app/features/proving/runs-beside";
import { RunsBesideList } from "~/app/features/proving/runs-beside-list";
import { PlaceHead } from "~/app/features/shell/head";
import { glanceOf } from "~/app/features/stage/stage-glance";
import { slopeWords } from "~/app/features/trend/trend-words";
import { capital, countWords } from "~/app/features/words/count";
import { endWords } from "~/app/features/words/ends";
import { stageUnit } from "~/app/features/words/quantity";
import { responseChangeWords, responseWords } from "~/app/features/words/response";
import { day, shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { responseChange } from "~/core/advice";
import { judgedBy } from "~/core/stages";
import { StateMark } from "~/ui/state-mark";
import type { Route } from "./+types/route";
import { loadTwins } from "./load-twins.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Twins of ${loaderData?.stage.name ?? "a stage"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadTwins(asked, params.stageId));

const dayMs = 86_400_000;

/** A stage beside its twins: readings, drift, response and runs, with what all of them together say of this one. */
export default function Twins({ loaderData }: Route.ComponentProps) {
  const { stage, machine, rows, without, fleet, ahead } = loaderData;
  const reader = useWords();
  const { element } = stage.geometry;
  const unit = stageUnit(reader, element);
  const others = rows.length - 1;
  const runs = runsBeside(reader, rows);
  const inDays = (from: string, days: number) => day(reader, new Date(Date.parse(from) + days * dayMs).toISOString());
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-7">
        <header>
          <h1 className="text-3xl max-sm:text-2xl font-bold">
            {others === 0
              ? "No twin has such a stage"
              : `${capital(countWords(others))} ${others === 1 ? "twin" : "twins"} beside it`}
          </h1>
          <p className="text-lg text-mid">
            <Link to={`/stages/${stage.id}`} className="text-ink">
              {stage.name}
            </Link>
            ,{" "}
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
          </p>
          {without.length > 0 && (
            <p>
              {without.join(", ")} {without.length === 1 ? "has" : "have"} no stage of this name and kind.
            </p>
          )}
        </header>
        {ahead && (
          <p className="text-xl max-w-4xl">
            <b>
              As the others drift, it is {endWords[judgedBy(element)][ahead.limit]} about {inDays(ahead.from, ahead.at)}
            </b>
            : 95 % between {inDays(ahead.from, ahead.earliest)} and{" "}
            {ahead.latest === null ? "never" : inDays(ahead.from, ahead.latest)}, from where it was last read.
          </p>
        )}
        {fleet.hi && (
          <p className="text-mid max-w-4xl">
            Taken together, {countWords(fleet.hi.stages)} of them drift {unit.figure(fleet.hi.slope * 365.25, 1)}{" "}
            {unit.unit} a year at their greatest, and differ by {unit.figure(fleet.hi.between * 365.25, 1)} {unit.unit}{" "}
            a year from each other (1 sd; DerSimonian and Laird).
          </p>
        )}
        <section aria-labelledby="beside">
          <h2 id="beside" className="text-xl font-bold mb-1">
            Readings, drift and response
          </h2>
          <ul>
            {rows.map((row, i) => {
              const glance = glanceOf(reader, row.stage, row.standing);
              const change = row.learnt && responseChange(row.learnt.evidence);
              return (
                <li
                  key={row.machine.id}
                  className="border-t border-rule py-3 grid lg:grid-cols-[16rem_minmax(0,1fr)] gap-x-8"
                >
                  <span>
                    <Link to={`/stages/${row.stage.id}`} className="text-ink font-semibold">
                      {row.machine.name}, {row.machine.tag}
                    </Link>
                    {i === 0 && <span className="block text-mid">this one</span>}
                  </span>
                  <span>
                    <span className="flex flex-wrap gap-x-4 text-lg">
                      <StateMark state={glance.state} />
                      <span className="figure">{glance.read}</span>
                      <span className="text-mid">
                        {row.readAt ? shortDay(reader, row.readAt) : ""}
                        {row.limits
                          ? `; limits ${unit.range(row.limits.lo, row.limits.hi)} ${unit.unit}`
                          : "; no limits are known"}
                      </span>
                    </span>
                    <span className="block">
                      {row.trend
                        ? `Drifts ${slopeWords(reader, row.trend.loosest, "time", "", unit)}, ${row.trend.rounds} rounds`
                        : "Too few rounds for a trend of its own"}
                    </span>
                    <span className="block">
                      {row.learnt
                        ? `A unit of its adjuster: ${responseWords(reader, row.stage, row.learnt)}`
                        : "What its adjuster does is not known"}
                    </span>
                    {change && <b className="block text-near">{responseChangeWords(reader, row.stage, change)}</b>}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
        <section aria-labelledby="runs">
          <h2 id="runs" className="text-xl font-bold mb-1">
            Runs, one beside the other
          </h2>
          {runs.length === 0 && <p className="text-mid">Nothing of it was run yet.</p>}
          <RunsBesideList runs={runs} />
        </section>
      </main>
    </>
  );
}
