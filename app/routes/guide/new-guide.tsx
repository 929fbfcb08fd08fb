import { data } from "react-router";
import { OrderForm } from "~/app/features/guides/order-form";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepGuide } from "~/operations/keep-guide";
import type { Route } from "./+types/new-guide";
import { loadGuides } from "./load-guide.server";

export const meta: Route.MetaFunction = () => [{ title: "Write a guide, Harmostat" }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, mayWork, (asked) => loadGuides(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await keepGuide(asked, { ...input, machineId: params.machineId });
    if (kept.ok) return data({ onward: `/guides/${String(input?.guideId)}` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function NewGuide({ loaderData: { machine, stages } }: Route.ComponentProps) {
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-5xl">
        <h1 className="text-3xl font-bold mb-4">A guide of the {machine.name}</h1>
        <OrderForm guide={null} stages={stages} back={`/machines/${machine.id}/guides`} />
      </main>
    </>
  );
}
