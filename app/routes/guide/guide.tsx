import { useState } from "react";
import { data, Link, redirect, useSearchParams } from "react-router";
import { v7 } from "uuid";
import { GuideParts } from "~/app/features/guides/guide-parts";
import { OrderPicture } from "~/app/features/guides/order-picture";
import { CopyTo } from "~/app/features/machine/copy-to";
import { Revisions } from "~/app/features/machine/revisions";
import { PlaceHead } from "~/app/features/shell/head";
import { formOf } from "~/app/session/form-of";
import { asPerson, everyRole } from "~/app/session/session.server";
import { guideOrder, screwsOf } from "~/core/guides";
import { mayWork } from "~/operations/context";
import { copyGuide } from "~/operations/copy-guide";
import { buttonClass } from "~/ui/button";
import { Select } from "~/ui/field";
import type { Route } from "./+types/guide";
import { loadGuide } from "./load-guide.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.guide.name ?? "A guide"} of ${loaderData?.machine.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadGuide(asked, params.guideId));

/** Copies the guide to another machine. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const form = await formOf(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const guideId = String(form.get("guideId") ?? "");
    const copied = await copyGuide(asked, {
      entryId: form.get("entryId"),
      revisionId: form.get("revisionId"),
      guideId,
      sourceId: params.guideId,
      machineId: form.get("machineId"),
      mirrored: form.get("mirrored") === "yes",
    });
    if (copied.ok) throw redirect(`/guides/${guideId}`);
    return data({ refusal: copied.refusal }, { status: 400 });
  });
}

const screws = (count: number): string => `${count} ${count === 1 ? "screw" : "screws"}`;

/** A guide: its parts as they come off, what is in the way of one, its revisions, and the way to a twin. */
export default function GuidePage({ loaderData, actionData }: Route.ComponentProps) {
  const { guide, machine, revisions, machines, mayKeep } = loaderData;
  const [search, setSearch] = useSearchParams();
  const reach = guide.parts.some(({ id }) => id === search.get("reach")) ? String(search.get("reach")) : "";
  const found = guideOrder(guide.parts, reach || undefined);
  const order = found.ok ? found.value : null;
  const nameOf = (id: string) => guide.parts.find((part) => part.id === id)?.name ?? id;
  const here = `/guides/${guide.guideId}`;
  const [ids] = useState(() => ({ entryId: v7(), revisionId: v7(), guideId: v7() }));
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header className="flex flex-wrap gap-4 items-end justify-between">
          <div>
            <h1 className="text-3xl font-bold">{guide.name}</h1>
            <p className="text-lg text-mid">
              <Link to={`/machines/${machine.id}`} className="text-ink">
                {machine.name}
              </Link>
              , {guide.parts.length} parts, {screws(guide.parts.reduce((sum, part) => sum + screwsOf(part), 0))},
              revision {guide.revision}
            </p>
          </div>
          <p className="flex flex-wrap gap-3">
            <Link
              to={`${here}/kit${reach ? `?reach=${encodeURIComponent(reach)}` : ""}`}
              className={buttonClass("line", true)}
            >
              Kit list
            </Link>
            {mayKeep && (
              <Link to={`${here}/edit`} className={buttonClass("line", true)}>
                Order and ties
              </Link>
            )}
          </p>
        </header>
        <section aria-label="To reach a part" className="grid gap-2">
          <Select
            className="max-w-sm"
            label="To reach"
            value={reach}
            onChange={(event) =>
              setSearch(event.target.value ? { reach: event.target.value } : {}, {
                replace: true,
                preventScrollReset: true,
              })
            }
          >
            <option value="">choose a part</option>
            {guide.parts.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
          {order?.reach && (
            <p className="text-xl" role="status">
              To reach <b>{nameOf(reach)}</b>{" "}
              {order.reach.toReach.length === 0 ? (
                "nothing has to come off."
              ) : (
                <>
                  take off {order.reach.toReach.map(nameOf).join(", ")},{" "}
                  <b className="figure">{screws(order.reach.screwsToReach)}</b>.
                </>
              )}
            </p>
          )}
        </section>
        <div className="grid xl:grid-cols-[minmax(0,1fr)_minmax(0,30rem)] gap-8">
          {order && (
            <GuideParts
              parts={guide.parts}
              order={order}
              edit={mayKeep ? (partId) => `${here}/edit?part=${encodeURIComponent(partId)}` : null}
            />
          )}
          <div className="grid gap-6 content-start">
            {order && (
              <OrderPicture
                parts={guide.parts.map((part) => ({
                  id: part.name,
                  after: part.after.map(nameOf),
                  hides: part.hides.map(nameOf),
                  screws: screwsOf(part),
                }))}
                assembly={order.assembly.map(nameOf)}
                reach={order.reach ? { part: nameOf(reach), toReach: order.reach.toReach.map(nameOf) } : null}
              />
            )}
            {mayKeep && machines.length > 0 && (
              <CopyTo
                what="guide"
                ids={ids}
                machines={machines}
                hand="left and right, and senses of turning, change places"
                refusal={actionData?.refusal ?? null}
              />
            )}
            <Revisions of={revisions} />
          </div>
        </div>
      </main>
    </>
  );
}
