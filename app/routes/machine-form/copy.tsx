import { data } from "react-router";
import { ChoiceField } from "~/app/features/form/choice-field";
import { MachineForm } from "~/app/features/machine/machine-form";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { copyMachine } from "~/operations/copy-machine";
import type { Route } from "./+types/copy";
import { loadMachineForm } from "./load-form.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `Copy ${loaderData?.machine.name}, Harmostat` }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], (asked) => loadMachineForm(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const mirrored = input?.mirrored === "yes";
    const copied = await copyMachine(asked, { ...input, mirrored, sourceId: params.machineId });
    if (copied.ok) return data({ onward: `/machines/${copied.value.machineId}` });
    return data({ refusal: copied.refusal }, { status: 400 });
  });
}

export default function CopyMachine({ loaderData: { machine } }: Route.ComponentProps) {
  return (
    <MachineForm
      title={`A copy of ${machine.name}`}
      lead="Stages, adjusters and limits as they are now, under a name of its own, with an empty logbook."
      draftKey={`machine-copy ${machine.id}`}
      initial={{ site: machine.site, hall: machine.hall }}
      ofOwn={false}
      extra={
        <>
          <ChoiceField
            name="mirrored"
            legend="It is"
            usual="no"
            options={[
              { value: "no", label: "a twin" },
              { value: "yes", label: "its mirror image" },
            ]}
          />
          <p className="text-mid">
            In a mirror image screws change their hand, left and right, clockwise and counter-clockwise change places in
            the words for each direction, and clamps stand on the other side.
          </p>
        </>
      }
      saveWord="Make the copy"
      back={`/machines/${machine.id}`}
    />
  );
}
