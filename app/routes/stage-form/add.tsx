import { useState } from "react";
import { data } from "react-router";
import { v7 } from "uuid";
import { FormEnd } from "~/app/features/form/form-end";
import { SavedForm } from "~/app/features/form/saved-form";
import { TextField } from "~/app/features/form/text-field";
import { useFormTexts } from "~/app/features/form/use-form-texts";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { kindForms, kindIn } from "~/app/features/kinds/forms";
import { PlaceHead } from "~/app/features/shell/head";
import { AdjusterFields } from "~/app/features/stage-form/adjuster-fields";
import { ClampFields } from "~/app/features/stage-form/clamp-fields";
import { ElementFields } from "~/app/features/stage-form/element-fields";
import { LimitsFields } from "~/app/features/stage-form/limits-fields";
import { readStage } from "~/app/features/stage-form/parts";
import { loadMachineForm } from "~/app/routes/machine-form/load-form.server";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { addStage } from "~/operations/add-stage";
import type { Route } from "./+types/add";

export const meta: Route.MetaFunction = () => [{ title: "A stage, Harmostat" }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], (asked) => loadMachineForm(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const added = await addStage(asked, { ...input, machineId: params.machineId });
    if (added.ok) return data({ onward: `/machines/${params.machineId}` });
    return data({ refusal: added.refusal }, { status: 400 });
  });
}

/** Where nothing is adjusted nothing is clamped for it. */
function Clamps() {
  const texts = useFormTexts();
  return kindForms[kindIn(texts)].means.length > 0 && <ClampFields />;
}

export default function AddStage({ loaderData }: Route.ComponentProps) {
  const { machine, stages } = loaderData;
  const [ids] = useState(() => ({ id: v7(), entryId: v7(), geometryId: v7(), adjusterId: v7(), limitsId: v7() }));
  const saved = useSavedForm({
    key: `stage-new ${machine.id}`,
    initial: {},
    read: readStage,
    schema: async () => (await import("~/core/records/stage")).stageFields,
    send: (stage) => ({ ...ids, ...stage }),
  });
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-7xl">
        <h1 className="text-3xl font-bold mb-1">A stage of the {machine.name}</h1>
        <p className="text-mid mb-5">
          Its kind, its teeth with their module or what else its kind asks for, and how it is adjusted are enough. What
          is typed is kept on this tablet until it is saved.
        </p>
        <SavedForm of={saved} className="grid gap-8">
          <ElementFields />
          <AdjusterFields others={stages} />
          <TextField
            name="name"
            label="Name of the stage"
            hint="Cutter drive, feed rolls …; empty: its kind and its teeth"
            className="max-w-md"
          />
          <Clamps />
          <LimitsFields />
          <FormEnd save="Save the stage" busy={saved.busy} back={`/machines/${machine.id}`} />
        </SavedForm>
      </main>
    </>
  );
}
