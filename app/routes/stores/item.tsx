import { data, Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { ItemForm } from "~/app/features/stores/item-form";
import { itemWords } from "~/app/features/stores/item-words";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { TakeForm } from "~/app/features/stores/take-form";
import { day } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { kindsOfStock } from "~/core/stores";
import { mayWork } from "~/operations/context";
import { keepItem, moveStock } from "~/operations/stores";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/item";
import { loadItem } from "./load-stores.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.item.name ?? "Stores"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadItem(asked, params.itemId));

/** Pieces taken or put back, or the item itself changed. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    if (input && "change" in input) {
      const moved = await moveStock(asked, { ...input, itemId: params.itemId });
      return moved.ok ? data({ count: moved.value.count }) : data({ refusal: moved.refusal }, { status: 400 });
    }
    const kept = await keepItem(asked, { ...input, id: params.itemId });
    return kept.ok ? data({ onward: "/stores" }) : data({ refusal: kept.refusal }, { status: 400 });
  });
}

export default function Item({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { item, movements, role } = loaderData;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <StoresNav here="stores" />
        <div className="flex flex-wrap gap-x-8 gap-y-3 items-start justify-between mb-6">
          <div>
            <h1 className="text-3xl font-bold">
              {item.count === 0 ? `${item.name}: none left` : `${item.name}: ${item.count} here`}
            </h1>
            <p className="text-mid">
              {[kindsOfStock[item.kind].word, itemWords(reader, item), item.place, item.gone ? "no longer made" : ""]
                .filter(Boolean)
                .join("; ")}
            </p>
            <p className="flex gap-3 mt-2">
              <Link to="label" className={buttonClass("quiet")}>
                Label
              </Link>
              <Link to={`/stores?kind=${item.kind}`} className={buttonClass("quiet")}>
                All {kindsOfStock[item.kind].words.toLowerCase()}
              </Link>
            </p>
          </div>
          {mayWork.includes(role) && <TakeForm key={item.count} item={item} />}
        </div>
        <div className="grid xl:grid-cols-2 gap-x-12 gap-y-8">
          {role === "lead" && (
            <ItemForm key={item.id} item={item} kind={item.kind} back={`/stores?kind=${item.kind}`} />
          )}
          <section aria-labelledby="movements">
            <h2 id="movements" className="text-xl font-bold mb-1">
              Taken and put back
            </h2>
            <table className="w-full text-left" aria-label="Taken and put back">
              <thead>
                <tr className="border-b-2 border-ink">
                  <th className="py-1">Pieces</th>
                  <th>Then there</th>
                  <th>Why</th>
                  <th>By</th>
                </tr>
              </thead>
              <tbody>
                {movements.map((movement) => (
                  <tr key={movement.id} className="border-b border-rule">
                    <td className="py-2 figure text-lg">
                      {movement.change > 0 ? `+${movement.change}` : `−${-movement.change}`}
                    </td>
                    <td className="figure">{movement.countAfter}</td>
                    <td>
                      {movement.jobId ? (
                        <Link to={`/jobs/${movement.jobId}`} className="text-ink">
                          {movement.machineName}: {movement.why}
                        </Link>
                      ) : (
                        movement.why || "–"
                      )}
                    </td>
                    <td>
                      {movement.madeByName}
                      <span className="block text-mid">{day(reader, movement.madeAt)}</span>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {movements.length === 0 && <p className="text-mid py-2">Nothing was taken yet.</p>}
          </section>
        </div>
      </main>
    </>
  );
}
