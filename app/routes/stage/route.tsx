import { useRef } from "react";
import { data, Link } from "react-router";
import { StageDrawing } from "~/app/features/drawing/stage-drawing";
import { SavePicture } from "~/app/features/export/save-picture";
import { elementWords, factsOf, kindName, madeOf, sizeWords, thrustWords } from "~/app/features/kinds";
import { traitsOf } from "~/app/features/kinds/traits";
import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { StartJob } from "~/app/features/machine/start-job";
import { PlaceHead } from "~/app/features/shell/head";
import { ClosurePane } from "~/app/features/stage/closure-pane";
import { FrictionPane } from "~/app/features/stage/friction-pane";
import { GearPositions } from "~/app/features/stage/gear-positions";
import { LearntPane } from "~/app/features/stage/learnt-pane";
import { LimitsHistory } from "~/app/features/stage/limits-history";
import { PlanVisit } from "~/app/features/stage/plan-visit";
import { ProofPane } from "~/app/features/stage/proof-pane";
import { RetireStage } from "~/app/features/stage/retire-stage";
import { RoundsCompared } from "~/app/features/stage/rounds-compared";
import { StandingWhy } from "~/app/features/stage/standing-why";
import { ThrustPane } from "~/app/features/stage/thrust-pane";
import { TriedPane } from "~/app/features/stage/tried-pane";
import { WarmPane } from "~/app/features/stage/warm-pane";
import { WearPane } from "~/app/features/stage/wear-pane";
import { TrendPane } from "~/app/features/trend/trend-pane";
import { capital } from "~/app/features/words/count";
import { formatNumber } from "~/app/features/words/figure";
import { stageUnit } from "~/app/features/words/quantity";
import { clockOrDay } from "~/app/features/words/times";
import { clampCountWords } from "~/app/features/words/torque";
import { turnedWords } from "~/app/features/words/turned";
import { unwiseWords } from "~/app/features/words/unwise";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { asPerson, everyRole } from "~/app/session/session.server";
import { accept, parseNumber } from "~/core/quantity";
import { checkElement, thrustsOf } from "~/core/stages";
import { mayWork } from "~/operations/context";
import { planVisit } from "~/operations/plan-visit";
import { reviseStage } from "~/operations/revise-stage";
import { buttonClass } from "~/ui/button";
import { StateMark } from "~/ui/state-mark";
import type { Route } from "./+types/route";
import { loadStage } from "./load-stage.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.stage.name}, ${loaderData?.machine.name}, Harmostat` },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const axis = search.get("axis") === "usage" ? "usage" : "time";
  return asPerson(context, request, everyRole, (asked) =>
    loadStage(asked, params.stageId, { axis, thin: search.get("thin"), full: search.get("full") }),
  );
}

/** Plans the next visit, or takes the stage out. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const form = await formOf(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const text = form.get("text") ?? "";
    const typed = String(form.get("afterUsage") ?? "").trim();
    const afterUsage = typed === "" ? accept(null) : parseNumber(typed);
    if (!afterUsage.ok) return data({ refusal: { ...afterUsage.refusal, path: ["afterUsage"] } }, { status: 400 });
    const done =
      form.get("what") === "retired"
        ? await reviseStage(asked, { what: "retired", stageId: params.stageId, entryId: form.get("id"), text })
        : await planVisit(asked, {
            id: form.get("id"),
            stageId: params.stageId,
            date: form.get("date") || null,
            afterUsage: afterUsage.value,
            text,
            madeAt: asked.now.toISOString(),
          });
    return done.ok ? { done: true } : data({ refusal: done.refusal }, { status: 400 });
  });
}

export default function StagePage({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { stage, machine, standing, now, job } = loaderData;
  const { element, arcDeg, turnedBy } = stage.geometry;
  const drawing = useRef<HTMLDivElement>(null);
  const checked = checkElement(element);
  const warnings = checked.ok ? checked.value : [];
  const facts = factsOf(reader, element);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-8">
        <header className="flex flex-wrap gap-x-8 gap-y-3 items-start">
          <div className="grow">
            <h1 className="text-3xl font-bold flex flex-wrap gap-x-4 items-center">
              {stage.name} <span className="figure">{sizeWords(reader, element)}</span>
              <span className="text-xl">
                <StateMark state={standing?.state ?? "unknown"} />
              </span>
            </h1>
            <p className="text-lg text-mid">
              <Link to={`/machines/${machine.id}`} className="text-ink">
                {machine.name}
              </Link>
              , {machine.tag}
              {stage.retiredAt && ". Taken out of the machine"}
            </p>
          </div>
          {job && (
            <Link to={`/jobs/${job.id}`} className={buttonClass("now", true)}>
              Go on with the job of {clockOrDay(reader, job.openedAt, now)}
            </Link>
          )}
          {!job && loaderData.mayWork && traitsOf(element).reTensioned && (
            <Link to={`/at/${machine.id}?stage=${stage.id}&do=tension`} className={buttonClass("line", true)}>
              Re-tension
            </Link>
          )}
          {!job && loaderData.mayWork && (
            <Link to={`/at/${machine.id}?stage=${stage.id}`} className={buttonClass("line", true)}>
              Quick touch
            </Link>
          )}
        </header>
        {!job && loaderData.opening && (
          <StartJob stages={[loaderData.opening]} usual={stage.id} refused={null} to={`/machines/${machine.id}`} />
        )}
        <div className="grid xl:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] gap-x-12 gap-y-8">
          <div className="grid gap-8 content-start min-w-0">
            <TrendPane
              trend={loaderData.trend}
              axis={loaderData.axis}
              roundsRead={loaderData.roundsRead}
              limits={loaderData.trendLimits}
              spoken={stageUnit(reader, element)}
              unit={machine.usageUnit}
              now={now}
            />
            <RoundsCompared stage={stage} {...loaderData.rounds} />
          </div>
          <div className="grid gap-8 content-start min-w-0">
            <StandingWhy stage={stage} standing={standing} />
            <ClosurePane closures={loaderData.closures} />
            {loaderData.wear && <WearPane wear={loaderData.wear} usageUnit={machine.usageUnit} />}
            {loaderData.friction && <FrictionPane found={loaderData.friction} spoken={stageUnit(reader, element)} />}
            <LimitsHistory stage={stage} revisions={loaderData.limits} mayEdit={loaderData.mayEdit} />
            <LearntPane stage={stage} learnt={loaderData.learnt} mayEdit={loaderData.mayEdit} />
            <WarmPane stage={stage} result={standing?.result ?? null} />
            <ProofPane stage={stage} mayEdit={loaderData.mayWork} />
            <GearPositions stage={stage} />
            <section aria-labelledby="geometry">
              <div className="flex gap-4 items-baseline justify-between">
                <h2 id="geometry" className="text-xl font-bold">
                  {capital(kindName(element.kind))}
                </h2>
                {loaderData.mayEdit && <Link to={`/stages/${stage.id}/geometry`}>Revise the geometry</Link>}
              </div>
              <div className="bg-panel p-3 grid place-items-center" ref={drawing}>
                <StageDrawing
                  element={element}
                  fit={{ widthPx: 420, heightPx: 260 }}
                  label={`${stage.name} to scale`}
                />
              </div>
              <p className="mt-2">
                {capital(elementWords(reader, element))}
                {madeOf(element) && `, ${madeOf(element)}`}. {clampCountWords(stage.geometry.clamps)}.
                {arcDeg &&
                  ` Turns only from ${formatNumber(reader, arcDeg[0], 0)}° to ${formatNumber(reader, arcDeg[1], 0)}°.`}{" "}
                {turnedWords[turnedBy]} Revision {stage.geometry.revision}.
              </p>
              {facts.length > 0 && (
                <dl className="mt-2 grid grid-cols-[9rem_1fr] gap-x-4 gap-y-1">
                  {facts.map(([name, said]) => (
                    <div key={name} className="contents">
                      <dt className="text-mid">{name}</dt>
                      <dd>{said}</dd>
                    </div>
                  ))}
                </dl>
              )}
              <ul className="mt-2 grid gap-1">
                {warnings.map((warning) => (
                  <li key={JSON.stringify(warning)} className="border-l-4 border-near pl-3">
                    {unwiseWords(reader, warning)}
                  </li>
                ))}
              </ul>
              {traitsOf(element).swaps && (
                <p className="mt-2">
                  <Link to={`/stages/${stage.id}/swap`} className={buttonClass("quiet")}>
                    Other gears in this place
                  </Link>
                </p>
              )}
              <p className="mt-2">
                <Link to={`/stages/${stage.id}/options`} className={buttonClass("quiet")}>
                  Other ways to drive it
                </Link>{" "}
                <Link to={`/stages/${stage.id}/twins`} className={buttonClass("quiet")}>
                  Beside its twins
                </Link>{" "}
                {loaderData.mayWork && (
                  <Link to={`/stages/${stage.id}/paper`} className={buttonClass("quiet")}>
                    Rounds kept on paper
                  </Link>
                )}
              </p>
              <ThrustPane thrusts={thrustsOf(element)} words={thrustWords(element)} />
              <div className="mt-2">
                <SavePicture of={drawing} name={stage.name} />
              </div>
            </section>
            <section aria-labelledby="stage-points">
              <h2 id="stage-points" className="text-xl font-bold">
                Open points
              </h2>
              <ul>
                {loaderData.points.map((point) => (
                  <OpenPointLine key={point.id} point={point} where="" now={now} mayClose={loaderData.mayWork} />
                ))}
                {loaderData.points.length === 0 && <li className="text-mid">Nothing is left open.</li>}
              </ul>
            </section>
            <TriedPane stageId={stage.id} parts={loaderData.tried} mayWork={loaderData.mayWork} />
            {loaderData.mayWork && <PlanVisit planned={standing} unit={machine.usageUnit} />}
            {loaderData.mayEdit && <RetireStage stageId={stage.id} />}
          </div>
        </div>
      </main>
    </>
  );
}
