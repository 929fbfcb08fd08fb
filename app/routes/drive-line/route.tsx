import { useState } from "react";
import { useWatch } from "react-hook-form";
import { data } from "react-router";
import { v7 } from "uuid";
import { emptyLine, lineTexts, withFigures } from "~/app/features/drive-line/edit";
import { DriveLineEditor } from "~/app/features/drive-line/editor";
import { FormEnd } from "~/app/features/form/form-end";
import { SavedForm } from "~/app/features/form/saved-form";
import type { Texts } from "~/app/features/form/texts";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { type KeptDriveLine, withoutGone } from "~/core/stages";
import { saveDriveLine } from "~/operations/save-drive-line";
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
  const { machine, stages, revision: seenRevision } = loaderData;
  const known = loaderData.graph ?? emptyLine;
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  const graphIn = (texts: Texts) =>
    withoutGone(graphOf(texts.graph) ?? known, new Set(stages.map(({ stage }) => stage.id)));
  const saved = useSavedForm({
    key: `drive-line ${machine.id} ${seenRevision}`,
    initial: { ...lineTexts(known), graph: JSON.stringify(known) },
    read: (texts) => {
      const figured = withFigures(graphIn(texts), texts);
      return figured.ok
        ? { value: { graph: figured.value }, problems: null }
        : { value: null, problems: { [String(figured.refusal.path[0])]: figured.refusal } };
    },
    send: (said) => ({ ...ids, seenRevision, ...said }),
  });
  const { control, setValue } = saved.form;
  const graph = graphIn({ graph: useWatch({ control, name: "graph" }) });
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-7xl">
        <h1 className="text-3xl font-bold mb-1">Drive line of the {machine.name}</h1>
        <p className="text-mid mb-5">What is chosen is kept on this tablet until it is saved.</p>
        <SavedForm of={saved} className="grid gap-8">
          <DriveLineEditor graph={graph} onGraph={(next) => setValue("graph", JSON.stringify(next))} stages={stages} />
          <FormEnd
            save="Save the drive line"
            busy={saved.busy}
            back={`/machines/${machine.id}`}
            backWord="Back, and keep what is chosen"
          />
        </SavedForm>
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
