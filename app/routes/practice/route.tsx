import { useState } from "react";
import { data, Link, useFetcher } from "react-router";
import { v7 } from "uuid";
import { lessonWords } from "~/app/features/practice/lesson-words";
import { useLeaving } from "~/app/features/practice/practice-strip";
import { PlaceHead } from "~/app/features/shell/head";
import { Refused } from "~/app/features/words/refused";
import { clockOrDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole, sessionIdOf } from "~/app/session/session.server";
import type { LessonKey } from "~/core/practice";
import type { Refusal } from "~/core/quantity";
import { startLesson } from "~/operations/practice/lesson";
import { enterPractice, leavePractice, practisingAs } from "~/operations/practice/practice-book";
import { Button, buttonClass } from "~/ui/button";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { loadPractice } from "./load-practice.server";

export const meta: Route.MetaFunction = () => [{ title: "Practice, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) => ({
    ...(await loadPractice(asked)),
    stays: new URL(request.url).searchParams.has("stays"),
    now: asked.now.toISOString(),
  }));

/** Begins a lesson, in one's own practice workshop; or leaves it. */
export async function action({ context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  const sessionId = await sessionIdOf(request);
  return asPerson(context, request, everyRole, async (asked) => {
    if (input?.leave) {
      const left = await leavePractice(asked, sessionId);
      return left.ok ? data({ onward: "/" }) : data({ refusal: left.refusal }, { status: 400 });
    }
    const self = await practisingAs(asked);
    const begun = await startLesson({ ...asked, person: self }, input);
    if (!begun.ok) return data({ refusal: begun.refusal }, { status: 400 });
    await enterPractice(asked, sessionId, self);
    return data({ onward: `/machines/${begun.value.machineId}` });
  });
}

type Try = Route.ComponentProps["loaderData"]["over"][number];

/** Five lessons and whatever comes, on machines with faults that nobody is told of. */
export default function Practice({ loaderData }: Route.ComponentProps) {
  const { lessons, goingOn, over, practising, stays, now } = loaderData;
  const next = goingOn.length === 0 ? (lessons.find(({ done }) => !done)?.key ?? "drawn") : null;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-7">
        <header>
          <h1 className="text-3xl max-sm:text-2xl font-bold">Practice</h1>
          <p className="text-lg text-mid max-w-3xl">
            Machines with hidden faults, worked on with simulated instruments and on the same screens as a real one.
            What you do is kept in a book of your own: it is never among the workshop’s machines, and is never exported,
            nor signed as real.
          </p>
          {stays && (
            <p role="alert" className="border-l-4 border-near pl-3 text-lg mt-3">
              Not while you practise: nothing of a practice leaves it, and the account belongs to who you are. Leave the
              practice first.
            </p>
          )}
        </header>
        {goingOn.length > 0 && (
          <section aria-labelledby="going-on" className="grid gap-3">
            <h2 id="going-on" className="text-xl font-bold">
              Going on
            </h2>
            {goingOn.map((one) => (
              <GoingOn key={one.id} lesson={one} practising={practising} />
            ))}
          </section>
        )}
        <section aria-labelledby="lessons">
          <h2 id="lessons" className="text-xl font-bold mb-2">
            Lessons
          </h2>
          <ol className="grid gap-0">
            {lessons.map(({ key, done }, i) => (
              <Lesson key={key} lesson={key} number={i + 1} done={done} now={key === next} />
            ))}
          </ol>
          <p className="text-mid mt-3">
            On a real machine isolate, lock and try to start before hands go in, and keep to the rules of your site. The
            screens ask for it here as they do there.
          </p>
        </section>
        {over.length > 0 && (
          <Fold summary={`What came of ${over.length === 1 ? "one try" : `${over.length} tries`}`}>
            <ul aria-label="Tries">
              {over.map((one) => (
                <Over key={one.id} lesson={one} now={now} />
              ))}
            </ul>
          </Fold>
        )}
      </main>
    </>
  );
}

/** A lesson that is begun is gone on with from where it stands: its machine. */
function GoingOn({ lesson, practising }: { lesson: Try; practising: boolean }) {
  const fetcher = useFetcher<{ refusal?: Refusal }>();
  const reenter = useFetcher<{ onward?: string; refusal?: Refusal }>();
  useLeaving(reenter.data?.onward);
  const refusal = fetcher.data?.refusal ?? reenter.data?.refusal;
  return (
    <div className="border-l-8 border-now bg-panel p-4 grid gap-3">
      <p className="text-lg">
        <b>{lessonWords[lesson.lesson].name}.</b> {lessonWords[lesson.lesson].told}
      </p>
      <div className="flex flex-wrap gap-3">
        {practising ? (
          <Link to={`/machines/${lesson.machineId}`} className={buttonClass("now", true)}>
            To its machine
          </Link>
        ) : (
          <Button
            kind="now"
            large
            disabled={reenter.state !== "idle"}
            onClick={() =>
              reenter.submit(
                { id: lesson.id, lesson: lesson.lesson },
                { method: "post", action: "/practice", encType: "application/json" },
              )
            }
          >
            Go on with it
          </Button>
        )}
        {practising && (
          <Button
            large
            disabled={fetcher.state !== "idle"}
            onClick={() =>
              fetcher.submit({}, { method: "post", action: `/practice/${lesson.id}`, encType: "application/json" })
            }
          >
            It is set right: what came of it
          </Button>
        )}
      </div>
      {refusal && (
        <p role="alert" className="text-outside font-semibold">
          <Refused refusal={refusal} />
        </p>
      )}
    </div>
  );
}

function Lesson({ lesson, number, done, now }: { lesson: LessonKey; number: number; done: boolean; now: boolean }) {
  const fetcher = useFetcher<{ onward?: string; refusal?: Refusal }>();
  const [id] = useState(() => v7());
  useLeaving(fetcher.data?.onward);
  const { name, told } = lessonWords[lesson];
  return (
    <li className="border-t border-rule py-3 flex flex-wrap gap-x-6 gap-y-2 items-center justify-between bg-ground">
      <div className="min-w-0 grow basis-96">
        <b className="text-lg">
          {number}. {name}
        </b>
        {done && <span className="text-inside font-semibold"> · done</span>}
        <span className="block">{told}</span>
      </div>
      <Button
        kind={now ? "now" : "line"}
        large
        autoFocus={now}
        disabled={fetcher.state !== "idle"}
        aria-label={`Begin: ${name}`}
        onClick={() => fetcher.submit({ id, lesson }, { method: "post", encType: "application/json" })}
      >
        {done ? "Once more" : "Begin"}
      </Button>
      {fetcher.data?.refusal && (
        <p role="alert" className="text-outside font-semibold basis-full">
          <Refused refusal={fetcher.data.refusal} />
        </p>
      )}
    </li>
  );
}

function Over({ lesson, now }: { lesson: Try; now: string }) {
  const reader = useWords();
  const { outcome } = lesson;
  return (
    <li className="border-t border-rule py-2 text-lg">
      <Link to={`/practice/${lesson.id}`}>{lessonWords[lesson.lesson].name}</Link>,{" "}
      {clockOrDay(reader, lesson.endedAt ?? lesson.beganAt, now)}:{" "}
      {outcome
        ? `${outcome.right ? "set right" : "not right"}, ${outcome.own.minutes} minutes of work against ${outcome.expert.minutes}${outcome.damage.length > 0 ? `, ${outcome.damage.length} ${outcome.damage.length === 1 ? "thing" : "things"} that cost` : ""}`
        : ""}
    </li>
  );
}
