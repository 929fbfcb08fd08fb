import { useState } from "react";
import { data } from "react-router";
import { v7 } from "uuid";
import { FormEnd } from "~/app/features/form/form-end";
import { SavedForm } from "~/app/features/form/saved-form";
import { TextField } from "~/app/features/form/text-field";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { PlaceHead } from "~/app/features/shell/head";
import { AdjusterFields } from "~/app/features/stage-form/adjuster-fields";
import { ClampFields } from "~/app/features/stage-form/clamp-fields";
import { ElementFields } from "~/app/features/stage-form/element-fields";
import { LimitsFields } from "~/app/features/stage-form/limits-fields";
import { readPart, type StagePart, stageParts } from "~/app/features/stage-form/parts";
import { textsOf } from "~/app/features/stage-form/texts";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { reviseStage } from "~/operations/revise-stage";
import type { Route } from "./+types/revise";
import { loadStageForm } from "./load-form.server";

const partWords: Record<StagePart, string> = {
  geometry: "Geometry and clamps",
  adjuster: "Adjuster",
  limits: "Limits",
  stage: "Name",
};

export const meta: Route.MetaFunction = () => [{ title: "Revise a stage, Harmostat" }];

const partOf = (what: string): StagePart => {
  const part = stageParts.find((known) => known === what);
  if (!part) throw data(null, { status: 404 });
  return part;
};

export async function loader({ params, context, request }: Route.LoaderArgs) {
  const part = partOf(params.what);
  return asPerson(context, request, ["lead"], async (asked) => ({
    part,
    ...(await loadStageForm(asked, params.stageId)),
  }));
}

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const revised = await reviseStage(asked, { ...input, stageId: params.stageId });
    if (revised.ok) return data({ onward: `/stages/${params.stageId}` });
    return data({ refusal: revised.refusal }, { status: 400 });
  });
}

export default function ReviseStage({ loaderData }: Route.ComponentProps) {
  const { part, stage, machine, openJobBy, others } = loaderData;
  const reader = useWords();
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7() }));
  /** 0: there were no limits yet. */
  const revision = part === "stage" ? 0 : (stage[part]?.revision ?? 0);
  const saved = useSavedForm({
    key: `stage ${stage.id} ${part} ${part === "stage" ? "" : revision}`,
    initial: textsOf(reader, stage),
    read: (texts) => {
      const read = readPart(part, texts);
      return read.problems === null
        ? { value: { ...read.value, text: texts.why?.trim() ?? "" }, problems: null }
        : read;
    },
    schema: async () => (await import("~/core/records/stage")).stageParts[part],
    send: (said) => ({
      what: part,
      ...ids,
      ...(part === "stage" ? {} : { seenRevision: revision }),
      ...said,
    }),
  });
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-7xl">
        <h1 className="text-3xl font-bold mb-1">
          {partWords[part]} of the {stage.name.toLowerCase()}
        </h1>
        <p className="text-mid mb-4">
          {machine.name}.{" "}
          {part !== "stage" && `Saved as revision ${revision + 1}; what was judged by the ones before stays as it is.`}
        </p>
        {openJobBy && (
          <p role="status" className="border-l-4 border-near pl-3 text-lg mb-4">
            A job of {openJobBy} is open on this stage. It goes on by what you save here, and says so on its screen.
          </p>
        )}
        <SavedForm of={saved} className="grid gap-8">
          {part === "geometry" && (
            <>
              <ElementFields fixedKind />
              <ClampFields />
            </>
          )}
          {part === "adjuster" && <AdjusterFields others={others} />}
          {part === "limits" && <LimitsFields revised />}
          {part === "stage" && <TextField name="name" label="Name of the stage" className="max-w-md" />}
          <TextField name="why" label="Why it is changed" hint="goes into the logbook" className="max-w-xl" />
          <FormEnd save="Save" busy={saved.busy} back={`/stages/${stage.id}`} backWord="Leave it as it is" />
        </SavedForm>
      </main>
    </>
  );
}
