import { data } from "react-router";
import { MachineForm } from "~/app/features/machine/machine-form";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { addMachine } from "~/operations/add-machine";
import type { Route } from "./+types/add";

export const meta: Route.MetaFunction = () => [{ title: "A machine, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], async () => null);

export async function action({ context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const added = await addMachine(asked, { usageUnit: "hours", ...input, stages: [] });
    if (added.ok) return data({ onward: `/machines/${added.value.machineId}/stages/new` });
    return data({ refusal: added.refusal }, { status: 400 });
  });
}

export default function AddMachine() {
  return (
    <MachineForm
      title="New machine"
      lead="Name and tag are enough to begin. Its first stage comes next."
      draftKey="machine-new"
      initial={{}}
      ofOwn
      saveWord="Save, and enter its first stage"
      back="/"
    />
  );
}
