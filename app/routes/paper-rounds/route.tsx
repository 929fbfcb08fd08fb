import { data, Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { PaperForm } from "~/app/features/stage/paper-form";
import { dateWords } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { asPerson } from "~/app/session/session.server";
import { accept, parseNumber } from "~/core/quantity";
import { mayWork } from "~/operations/context";
import { importPaperRounds } from "~/operations/import-paper-rounds";
import type { Route } from "./+types/route";
import { loadPaper } from "./load-paper.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Rounds of paper, ${loaderData?.stage.name ?? "a stage"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, mayWork, (asked) => loadPaper(asked, params.stageId));

/** Brings a sheet in, all of it or nothing. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const form = await formOf(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const typed = String(form.get("held") ?? "").trim();
    const held = typed === "" ? accept(null) : parseNumber(typed);
    if (!held.ok) return data({ refusal: { ...held.refusal, path: ["held"] } }, { status: 400 });
    const done = await importPaperRounds(asked, {
      ...Object.fromEntries(
        ["id", "sheet", "instrumentId", "quantity", "keptBy", "movedAfter"].map((name) => [name, form.get(name)]),
      ),
      gear: form.get("gear") ?? "",
      held: held.value,
      stageId: params.stageId,
    });
    return done.ok ? data({ done: done.value }) : data({ refusal: done.refusal }, { status: 400 });
  });
}

/** Rounds that were kept on paper so far, brought into the logbook of a stage and marked as such. */
export default function PaperRounds({ loaderData }: Route.ComponentProps) {
  const { machine, stage, days } = loaderData;
  const reader = useWords();
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header>
          <h1 className="text-3xl max-sm:text-2xl font-bold">Bring in rounds kept on paper</h1>
          <p className="text-lg text-mid">
            <Link to={`/stages/${stage.id}`} className="text-ink">
              {stage.name}
            </Link>
            ,{" "}
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
          </p>
          <p className="max-w-3xl">
            They tell of the trend and of wear. How the stage stands, and what its adjuster does, is taken from what was
            read here alone.
          </p>
        </header>
        <PaperForm ways={loaderData.ways} instruments={loaderData.instruments} gears={loaderData.gears} />
        {days.length > 0 && (
          <section aria-labelledby="there">
            <h2 id="there" className="text-xl font-bold">
              There already
            </h2>
            <p>{days.map((date) => dateWords(reader, date)).join("; ")}</p>
          </section>
        )}
      </main>
    </>
  );
}
