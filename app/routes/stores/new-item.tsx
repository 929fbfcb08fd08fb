import { data } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { ItemForm } from "~/app/features/stores/item-form";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { jsonObject } from "~/app/session/json-object";
import { asPerson } from "~/app/session/session.server";
import { kindsOfStock, storeKinds } from "~/core/stores";
import { keepItem } from "~/operations/stores";
import type { Route } from "./+types/new-item";

export const meta: Route.MetaFunction = () => [{ title: "Into the stores, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, ["lead"], async () => {
    const { kind: asked, ...texts } = Object.fromEntries(new URL(request.url).searchParams);
    const kind = storeKinds.find((word) => word === asked) ?? ("shim" as const);
    // What was found elsewhere stands in the form already; what it has no field for stays out.
    const fields = ["name", "nominal", "place", ...kindsOfStock[kind].figures.map(({ key }) => key)];
    return { kind, texts: Object.fromEntries(Object.entries(texts).filter(([name]) => fields.includes(name))) };
  });

export async function action({ context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, ["lead"], async (asked) => {
    const kept = await keepItem(asked, input);
    const kind = storeKinds.find((word) => word === input?.kind) ?? "shim";
    return kept.ok ? data({ onward: `/stores?kind=${kind}` }) : data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function NewItem({ loaderData: { kind, texts } }: Route.ComponentProps) {
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-4xl">
        <StoresNav here="stores" />
        <h1 className="text-3xl font-bold mb-5">Into the stores</h1>
        <ItemForm item={null} kind={kind} texts={texts} back={`/stores?kind=${kind}`} />
      </main>
    </>
  );
}
