import { data } from "react-router";
import { ShaftForm } from "~/app/features/shafts/shaft-form";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepShaft } from "~/operations/keep-shaft";
import type { Route } from "./+types/edit-shaft";
import { loadShaft } from "./load-shaft.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Edit ${loaderData?.shaft.name ?? "a shaft"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, mayWork, (asked) => loadShaft(asked, params.shaftId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const { shaft } = await loadShaft(asked, params.shaftId);
    const kept = await keepShaft(asked, { ...input, shaftId: shaft.shaftId, machineId: shaft.machineId });
    if (kept.ok) return data({ onward: `/shafts/${shaft.shaftId}` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function EditShaft({ loaderData: { shaft, others } }: Route.ComponentProps) {
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-6xl">
        <h1 className="text-3xl font-bold mb-4">{shaft.name}</h1>
        <ShaftForm shaft={shaft} others={others} back={`/shafts/${shaft.shaftId}`} />
      </main>
    </>
  );
}
