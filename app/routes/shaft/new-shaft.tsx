import { data } from "react-router";
import { ShaftForm } from "~/app/features/shafts/shaft-form";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepShaft } from "~/operations/keep-shaft";
import type { Route } from "./+types/new-shaft";
import { loadShafts } from "./load-shaft.server";

export const meta: Route.MetaFunction = () => [{ title: "Put a shaft down, Harmostat" }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, mayWork, (asked) => loadShafts(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await keepShaft(asked, { ...input, machineId: params.machineId });
    if (kept.ok) return data({ onward: `/shafts/${String(input?.shaftId)}` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function NewShaft({ loaderData: { machine, shafts } }: Route.ComponentProps) {
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-6xl">
        <h1 className="text-3xl font-bold mb-4">A shaft of the {machine.name}</h1>
        <ShaftForm shaft={null} others={shafts.map(({ shaft }) => shaft)} back={`/machines/${machine.id}/shafts`} />
      </main>
    </>
  );
}
