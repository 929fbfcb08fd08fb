import { data } from "react-router";
import { numberText } from "~/app/features/form/number-text";
import { MachineForm } from "~/app/features/machine/machine-form";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { editMachine } from "~/operations/edit-machine";
import type { Route } from "./+types/edit";
import { loadMachineForm } from "./load-form.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `Edit ${loaderData?.machine.name}, Harmostat` }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], (asked) => loadMachineForm(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const edited = await editMachine(asked, { ...input, machineId: params.machineId });
    if (edited.ok) return data({ onward: `/machines/${params.machineId}` });
    return data({ refusal: edited.refusal }, { status: 400 });
  });
}

export default function EditMachine({ loaderData: { machine } }: Route.ComponentProps) {
  const { name, tag, site, hall, place, model, serial, usageUnit, units, air, heaviestKg } = machine;
  const reader = useWords();
  return (
    <MachineForm
      title={`Edit ${machine.name}`}
      lead="What changes goes into the logbook, with what it was before."
      draftKey={`machine ${machine.id}`}
      initial={{
        name,
        tag,
        site,
        hall,
        place,
        model,
        serial,
        usageUnit,
        units,
        air,
        heaviestKg: numberText(reader, heaviestKg ?? undefined),
      }}
      ofOwn
      saveWord="Save"
      back={`/machines/${machine.id}`}
    />
  );
}
