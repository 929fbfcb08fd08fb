import { data } from "react-router";
import { OrderForm } from "~/app/features/guides/order-form";
import { PartForm } from "~/app/features/guides/part-form";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepGuide } from "~/operations/keep-guide";
import type { Route } from "./+types/edit-guide";
import { loadGuide } from "./load-guide.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Edit ${loaderData?.guide.name ?? "a guide"}, Harmostat` },
];

/** The order of the parts; with `?part=` one of them. */
export async function loader({ params, context, request }: Route.LoaderArgs) {
  const partId = new URL(request.url).searchParams.get("part");
  return asPerson(context, request, mayWork, async (asked) => {
    const { guide, machine, stages } = await loadGuide(asked, params.guideId);
    const part = partId === null ? null : (guide.parts.find(({ id }) => id === partId) ?? null);
    if (partId !== null && !part) throw data({ code: "no-such-part" }, { status: 404 });
    return { guide, machine, stages, part };
  });
}

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const { guide } = await loadGuide(asked, params.guideId);
    const kept = await keepGuide(asked, { ...input, guideId: guide.guideId, machineId: guide.machineId });
    if (kept.ok) return data({ onward: `/guides/${guide.guideId}` });
    return data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function EditGuide({ loaderData: { guide, stages, part } }: Route.ComponentProps) {
  const back = `/guides/${guide.guideId}`;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-5xl">
        <h1 className="text-3xl font-bold mb-4">{part ? `${part.name}, ${guide.name}` : guide.name}</h1>
        {part ? (
          <PartForm key={part.id} guide={guide} partId={part.id} back={back} />
        ) : (
          <OrderForm guide={guide} stages={stages} back={back} />
        )}
      </main>
    </>
  );
}
