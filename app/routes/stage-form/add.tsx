import { useState } from "react";
import { data, Link } from "react-router";
import { v7 } from "uuid";
import { FormProvider, TextField } from "~/app/features/form/text-field";
import type { Problems } from "~/app/features/form/text-reader";
import { useSavedForm } from "~/app/features/form/use-saved-form";
import { PlaceHead } from "~/app/features/shell/head";
import { AdjusterFields } from "~/app/features/stage-form/adjuster-fields";
import { readAdjuster } from "~/app/features/stage-form/adjuster-texts";
import { ClampFields } from "~/app/features/stage-form/clamp-fields";
import { ElementFields } from "~/app/features/stage-form/element-fields";
import { LimitsFields } from "~/app/features/stage-form/limits-fields";
import { readLimits, readSideLimits } from "~/app/features/stage-form/limits-texts";
import { readGeometry } from "~/app/features/stage-form/texts";
import { refusalWords } from "~/app/features/words/refusal";
import { useWords } from "~/app/features/words/use-words";
import { loadMachineForm } from "~/app/routes/machine-form/load-form.server";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { addStage } from "~/operations/add-stage";
import { Button, buttonClass } from "~/ui/button";
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

export default function AddStage({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { machine, stages } = loaderData;
  const { fields, refusal, busy, send } = useSavedForm(`stage-new ${machine.id}`, {});
  const [problems, setProblems] = useState<Problems | null>(null);
  const [ids] = useState(() => ({ id: v7(), entryId: v7(), geometryId: v7(), adjusterId: v7(), limitsId: v7() }));
  const save = (event: React.FormEvent) => {
    event.preventDefault();
    const { texts } = fields;
    const [geometry, adjuster, limits] = [readGeometry(texts), readAdjuster(texts), readLimits(texts)];
    const sides = readSideLimits(texts);
    const name: Problems = texts.name?.trim() ? {} : { name: { code: "missing", path: ["name"], facts: {} } };
    const found = { ...name, ...geometry.problems, ...adjuster.problems, ...limits.problems, ...sides.problems };
    setProblems(found);
    if (!geometry.value || !adjuster.value || !limits.value || Object.keys(found).length > 0) return;
    const stage = {
      ...ids,
      name: texts.name ?? "",
      geometry: geometry.value,
      adjuster: adjuster.value,
      limits: limits.value,
      sideLimits: (sides.value ?? []).map((side) => ({ id: v7(), ...side })),
    };
    send(stage);
  };
  const wrong = Object.keys(problems ?? {}).length;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-7xl">
        <h1 className="text-3xl font-bold mb-1">A stage of the {machine.name}</h1>
        <p className="text-mid mb-5">Of any kind. What is typed is kept on this tablet until it is saved.</p>
        <FormProvider value={{ fields, problems }}>
          <form onSubmit={save} className="grid gap-8" noValidate>
            <TextField name="name" label="Name of the stage" hint="Cutter drive, feed rolls …" className="max-w-md" />
            <ElementFields />
            <ClampFields />
            <AdjusterFields others={stages} />
            <LimitsFields />
            <div className="border-t border-rule pt-4 flex flex-wrap gap-4 items-center sticky bottom-0 bg-ground pb-3">
              <Button kind="now" large type="submit" disabled={busy}>
                Save the stage
              </Button>
              <Link to={`/machines/${machine.id}`} className={buttonClass("quiet", true)}>
                Back, and keep what is typed
              </Link>
              {(refusal || wrong > 0) && (
                <p role="alert" className="text-outside font-semibold text-lg">
                  {refusal
                    ? refusalWords(reader, refusal)
                    : `${wrong} ${wrong === 1 ? "field needs" : "fields need"} a look.`}
                </p>
              )}
            </div>
          </form>
        </FormProvider>
      </main>
    </>
  );
}
