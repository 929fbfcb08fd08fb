import { data, Link, redirect } from "react-router";
import { damageWords, expertWords, hiddenWords, lessonWords, renewalWords } from "~/app/features/practice/lesson-words";
import { PlaceHead } from "~/app/features/shell/head";
import { capital } from "~/app/features/words/count";
import { stageUnit } from "~/app/features/words/quantity";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { partOf, practiceMinutes } from "~/core/practice";
import { finishLesson } from "~/operations/practice/lesson";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/lesson";
import { loadLesson } from "./load-practice.server";

export const meta: Route.MetaFunction = () => [{ title: "What came of it, Harmostat" }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const loaded = await loadLesson(asked, params.lessonId);
    // What is hidden stays so while it goes on.
    if (loaded.lesson.endedAt === null) throw redirect("/practice");
    return loaded;
  });

/** The lesson is over. */
export const action = ({ params, context, request }: Route.ActionArgs) =>
  asPerson(context, request, everyRole, async (asked) => {
    const ended = await finishLesson(asked, { lessonId: params.lessonId });
    if (!ended.ok) return data({ refusal: ended.refusal }, { status: 400 });
    throw redirect(`/practice/${ended.value.id}`);
  });

type Loaded = Route.ComponentProps["loaderData"];

/** What was hidden, what one did of it against what it can be done with, and how somebody who knows the trade goes about it. */
export default function LessonOver({ loaderData }: Route.ComponentProps) {
  const { lesson, stages, scored } = loaderData;
  const reader = useWords();
  const { name, learnt } = lessonWords[lesson.lesson];
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-7">
        <header>
          <p className="text-lg">
            <Link to="/practice" className="text-ink">
              Lessons
            </Link>
            : {name}
          </p>
          <h1 className="text-3xl max-sm:text-2xl font-bold">
            {lesson.outcome?.right ? "Set right" : "It is not right yet"}
          </h1>
          <p className="text-lg max-w-3xl">{learnt} Common practice.</p>
        </header>
        {scored ? (
          <>
            <Compared scored={scored} stages={stages} />
            <section aria-labelledby="hidden">
              <h2 id="hidden" className="text-xl font-bold">
                What was hidden
              </h2>
              <ul className="text-lg">
                {hidden(reader, scored, stages).map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </section>
            <section aria-labelledby="expert">
              <h2 id="expert" className="text-xl font-bold">
                What somebody who knows the trade does
              </h2>
              <p className="text-mid">
                Worked out on the same machine with the same instruments, and without being told what is hidden. Minutes
                as usual for such work: a reading {practiceMinutes.read}, a move {practiceMinutes.move}, a look{" "}
                {practiceMinutes.test.look}, a part renewed {practiceMinutes.renew} (common practice).
              </p>
              <ol className="list-decimal pl-8 text-lg">
                {scored.score.expert.steps.map((step, i) => (
                  <li key={i}>{expertWords(reader, step, stages)}</li>
                ))}
              </ol>
            </section>
          </>
        ) : (
          <p className="text-lg">The lessons have changed since: how it went in detail is not told any more.</p>
        )}
        <p>
          <Link to="/practice" className={buttonClass("now", true)}>
            Go on to the next
          </Link>
        </p>
      </main>
    </>
  );
}

type Scored = NonNullable<Loaded["scored"]>;

function hidden(reader: Parameters<typeof hiddenWords>[0], scored: Scored, stages: Loaded["stages"]): string[] {
  const part = scored.cause && partOf(scored.cause.part);
  const knock =
    scored.cause && part
      ? [`It was ${renewalWords[part]} of ${stages[scored.cause.stage]?.name ?? "a stage that is gone"} that knocked.`]
      : [];
  const faults = stages.flatMap((stage, i) =>
    hiddenWords(reader, stage, scored.faults[i] ?? {}, scored.responses[i] ?? 1).map((line) => `${capital(line)}.`),
  );
  return knock.length + faults.length > 0 ? [...knock, ...faults] : ["Nothing but its runout."];
}

/** One's own way against the expert's, and what would have cost a real machine something. */
function Compared({ scored: { score }, stages }: { scored: Scored; stages: Loaded["stages"] }) {
  const reader = useWords();
  const rows = [
    ["Minutes of work", score.minutes, score.expert.minutes],
    ["Readings", score.readings, score.expert.readings],
    ["Moves", score.moves, score.expert.moves],
  ] as const;
  return (
    <section aria-labelledby="compared" className="grid gap-4">
      <h2 id="compared" className="text-xl font-bold">
        How it went
      </h2>
      <table className="text-lg text-left max-w-xl bg-panel">
        <thead>
          <tr>
            <th scope="col" className="p-2">
              <span className="sr-only">What</span>
            </th>
            <th scope="col" className="p-2">
              You
            </th>
            <th scope="col" className="p-2">
              An expert
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([what, own, best]) => (
            <tr key={what} className="border-t border-rule">
              <th scope="row" className="p-2 font-normal">
                {what}
              </th>
              <td className="p-2 figure font-semibold">{own}</td>
              <td className="p-2 figure">{best}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="text-lg">
        {score.ends.map(({ least, greatest, inside }, i) => {
          const stage = stages[i];
          if (!stage) return null;
          return (
            <li key={stage.id}>
              {stage.name} really has {stageUnit(reader, stage.geometry.element).range(least, greatest)}{" "}
              {stageUnit(reader, stage.geometry.element).unit} round its turn, cold:{" "}
              <b className={inside ? "text-inside" : "text-outside"}>{inside ? "inside" : "outside"}</b>.
            </li>
          );
        })}
      </ul>
      {score.damage.length > 0 ? (
        <ul aria-label="What it would have cost" className="text-lg">
          {score.damage.map(({ what, stage, times }) => (
            <li key={`${what} ${stage}`} className="border-l-4 border-outside pl-3 mb-1.5">
              {damageWords[what]}
              {stage !== null && stages.length > 1 ? `: ${stages[stage]?.name ?? ""}` : ""}
              {times > 1 ? `, ${times} times` : ""}.
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-lg text-inside font-semibold">Nothing that would have cost a real machine anything.</p>
      )}
    </section>
  );
}
