import { useState } from "react";
import { data, Link } from "react-router";
import { v7 } from "uuid";
import { emptyLine, lineTexts, withFigures } from "~/app/features/drive-line/edit";
import { DriveLineEditor } from "~/app/features/drive-line/editor";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { PlaceHead } from "~/app/features/shell/head";
import { refusalWords } from "~/app/features/words/refusal";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import type { Refusal } from "~/core/quantity";
import { type KeptDriveLine, withoutGone } from "~/core/stages";
import { saveDriveLine } from "~/operations/save-drive-line";
import { Button, buttonClass } from "~/ui/button";
import type { Route } from "./+types/route";
import { loadDriveLine } from "./load.server";

export const meta: Route.MetaFunction = () => [{ title: "Drive line, Harmostat" }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], (asked) => loadDriveLine(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const saved = await saveDriveLine(asked, { ...input, machineId: params.machineId });
    if (saved.ok) return data({ onward: `/machines/${params.machineId}` });
    return data({ refusal: saved.refusal }, { status: 400 });
  });
}

export default function DriveLinePage({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { machine, stages, revision: seenRevision } = loaderData;
  const known = loaderData.graph ?? emptyLine;
  const { fields, refusal, busy, send } = useSavedForm(`drive-line ${machine.id} ${seenRevision}`, {
    ...lineTexts(known),
    graph: JSON.stringify(known),
  });
  const [problem, setProblem] = useState<Refusal | null>(null);
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const typed = graphOf(fields.texts.graph) ?? known;
  const graph = withoutGone(typed, new Set(stages.map(({ stage }) => stage.id)));
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    const figured = withFigures(graph, fields.texts);
    setProblem(figured.ok ? null : figured.refusal);
    if (figured.ok) send({ ...ids, seenRevision, graph: figured.value });
  };
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-7xl">
        <h1 className="text-3xl font-bold mb-1">Drive line of the {machine.name}</h1>
        <p className="text-mid mb-5">What is chosen is kept on this tablet until it is saved.</p>
        <form onSubmit={save} noValidate>
          <DriveLineEditor
            graph={graph}
            onGraph={(next) => fields.set("graph", JSON.stringify(next))}
            fields={fields}
            stages={stages}
          />
          <div className="border-t border-rule mt-8 pt-4 flex flex-wrap gap-4 items-center sticky bottom-0 bg-ground pb-3">
            <Button kind="now" large type="submit" disabled={busy}>
              Save the drive line
            </Button>
            <Link to={`/machines/${machine.id}`} className={buttonClass("quiet", true)}>
              Back, and keep what is chosen
            </Link>
            {(problem ?? refusal) && (
              <p role="alert" className="text-outside font-semibold text-lg">
                {refusalWords(reader, (problem ?? refusal) as Refusal)}
              </p>
            )}
          </div>
        </form>
      </main>
    </>
  );
}

function graphOf(text: string | undefined): KeptDriveLine | null {
  try {
    return text ? (JSON.parse(text) as KeptDriveLine) : null;
  } catch {
    return null;
  }
}
