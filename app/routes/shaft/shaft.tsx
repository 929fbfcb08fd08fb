import { useState } from "react";
import { data, Link, redirect } from "react-router";
import { v7 } from "uuid";
import { CopyTo } from "~/app/features/machine/copy-to";
import { Revisions } from "~/app/features/machine/revisions";
import { drawnEntry, drawnShaft } from "~/app/features/shafts/drawn-shaft";
import { PartsOfShaft } from "~/app/features/shafts/parts-of-shaft";
import { ShaftDrawing } from "~/app/features/shafts/shaft-drawing";
import { PlaceHead } from "~/app/features/shell/head";
import { capital } from "~/app/features/words/count";
import { closesWords, floatWords, laidWords } from "~/app/features/words/shafts";
import { lengthWords } from "~/app/features/words/spoken";
import { shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { formOf } from "~/app/session/form-of";
import { asPerson, everyRole } from "~/app/session/session.server";
import { knownShafts } from "~/core/logbook";
import { planesWanted } from "~/core/shafts";
import { mayWork } from "~/operations/context";
import { copyShaft } from "~/operations/copy-shaft";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/shaft";
import { loadShaft } from "./load-shaft.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.shaft.name ?? "A shaft"} of ${loaderData?.machine.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadShaft(asked, params.shaftId));

/** Copies the shaft to another machine. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const form = await formOf(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const shaftId = String(form.get("shaftId") ?? "");
    const copied = await copyShaft(asked, {
      entryId: form.get("entryId"),
      revisionId: form.get("revisionId"),
      shaftId,
      sourceId: params.shaftId,
      machineId: form.get("machineId"),
      mirrored: form.get("mirrored") === "yes",
    });
    if (copied.ok) throw redirect(`/shafts/${shaftId}`);
    return data({ refusal: copied.refusal }, { status: 400 });
  });
}

/** A shaft: as it was last fitted, or as it is drawn; its parts, its revisions, and the way to a twin. */
export default function ShaftPage({ loaderData, actionData }: Route.ComponentProps) {
  const { shaft, known, machine, revisions, machines, mayKeep } = loaderData;
  const reader = useWords();
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7(), shaftId: v7() }));
  const now = knownShafts(known, []);
  const entry = now.find((one) => one.shaft.shaftId === shaft.shaftId)?.entry ?? null;
  const wanted = planesWanted(shaft, now);
  const { lengthMm } = shaft;
  const drawable = lengthMm !== null && shaft.parts.every(({ widthMm }) => widthMm !== null);
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header className="flex flex-wrap gap-4 items-end justify-between">
          <div>
            <h1 className="text-3xl font-bold">{shaft.name}</h1>
            <p className="text-lg text-mid">
              <Link to={`/machines/${machine.id}/shafts`} className="text-ink">
                {machine.name}
              </Link>
              , from {shaft.leftFace} to {shaft.rightFace}
              {lengthMm === null ? ", length not known" : `, ${lengthWords(reader, lengthMm, 2)} as drawn`}, end float{" "}
              {lengthWords(reader, shaft.endFloat.loMm, 2)} to {lengthWords(reader, shaft.endFloat.hiMm, 2)}, revision{" "}
              {shaft.revision}
            </p>
          </div>
          {mayKeep && (
            <Link to={`/shafts/${shaft.shaftId}/edit`} className={buttonClass("line", true)}>
              Edit the shaft
            </Link>
          )}
        </header>
        <section aria-label="As it stands" className="grid gap-2 max-w-4xl">
          {entry ? (
            <>
              <p className="text-xl">
                Fitted {shortDay(reader, entry.madeAt)} by {entry.madeByName}: <b>{floatWords(reader, entry.body)}</b>
              </p>
              {closesWords(reader, entry.body) && (
                <p className="text-outside font-semibold">{capital(closesWords(reader, entry.body))}</p>
              )}
              <ShaftDrawing {...drawnEntry(entry.body, shaft)} />
              <p className="text-lg">{capital(laidWords(reader, entry.body)) || "Nothing laid between its parts."}</p>
            </>
          ) : (
            <>
              <p className="text-xl">Not fitted in a job yet. As it is drawn, without spacers:</p>
              {drawable ? (
                <ShaftDrawing
                  {...drawnShaft(
                    lengthMm,
                    shaft.parts.map((part) => ({ ...part, widthMm: part.widthMm ?? 0 })),
                    [],
                    [],
                  )}
                />
              ) : (
                <p className="text-lg text-mid">Not every width is known: there is nothing to draw to scale.</p>
              )}
            </>
          )}
        </section>
        <div className="grid xl:grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-8">
          <PartsOfShaft shaft={shaft} wanted={wanted} fitted={entry?.body ?? null} />
          <div className="grid gap-6 content-start">
            {mayKeep && machines.length > 0 && (
              <CopyTo
                what="shaft"
                ids={ids}
                machines={machines}
                hand="the order of the parts is turned round"
                refusal={actionData?.refusal ?? null}
              />
            )}
            <Revisions of={revisions} />
          </div>
        </div>
      </main>
    </>
  );
}
