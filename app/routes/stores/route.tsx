import { useMemo } from "react";
import { Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { Search } from "~/app/features/shell/search";
import { columnsOf } from "~/app/features/stores/item-columns";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { useWords } from "~/app/features/words/use-words";
import { isId } from "~/app/session/is-id";
import { asPerson, everyRole } from "~/app/session/session.server";
import { kindsOfStock, type StoreKind, storeKinds } from "~/core/stores";
import { mayWork } from "~/operations/context";
import { buttonClass } from "~/ui/button";
import { DataTable } from "~/ui/data-table";
import type { Route } from "./+types/route";
import { loadStores } from "./load-stores.server";

export const meta: Route.MetaFunction = () => [{ title: "Stores, Harmostat" }];

export async function loader({ context, request }: Route.LoaderArgs) {
  const search = new URL(request.url).searchParams;
  const kind = storeKinds.find((word) => word === search.get("kind")) ?? "shim";
  const words = (search.get("q") ?? "").trim().slice(0, 80);
  const after = placeOf(search.get("after"));
  const found = await asPerson(context, request, everyRole, (by) => loadStores(by, { kind, words, after }));
  return { ...found, kind, words, paged: after !== null };
}

/** A place in the list by size and id, as it stands in the address. */
function placeOf(text: string | null): { nominalMm: number | null; id: string } | null {
  const [size = "", id = ""] = (text ?? "").split(" ");
  return isId(id) ? { nominalMm: size === "" ? null : Number(size) || null, id } : null;
}

export default function Stores({ loaderData }: Route.ComponentProps) {
  const reader = useWords();
  const { counts, items, kind, words, more, paged, role } = loaderData;
  const columns = useMemo(() => columnsOf(reader, kind, items, mayWork.includes(role)), [reader, kind, items, role]);
  const pieces = counts.find((count) => count.kind === kind)?.pieces ?? 0;
  const of = kindsOfStock[kind];
  const empty = items.filter(({ count }) => count === 0).length;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <StoresNav here="stores" />
        <h1 className="text-3xl max-sm:text-2xl font-bold mb-1">{newsOf(kind, pieces, empty)}</h1>
        <nav aria-label="Kinds" className="flex flex-wrap gap-2 my-4">
          {storeKinds.map((word) => {
            const count = counts.find((one) => one.kind === word)?.items ?? 0;
            return (
              <Link
                key={word}
                to={`?kind=${word}`}
                aria-current={word === kind ? "page" : undefined}
                className={buttonClass(word === kind ? "solid" : "quiet")}
              >
                {kindsOfStock[word].words} <span className="figure font-normal">{count}</span>
              </Link>
            );
          })}
        </nav>
        <div className="flex flex-wrap gap-4 items-end justify-between mb-2">
          <Search label="Find by name or place" placeholder="Name or place" words={words} hidden={{ kind }} />
          {role === "lead" && (
            <Link to={`new?kind=${kind}`} className={buttonClass("now", true)}>
              Enter a {of.word}
            </Link>
          )}
        </div>
        {items.length > 0 ? (
          <DataTable
            label={of.words}
            name={`stores ${kind}`}
            part={paged || more !== null}
            columns={columns}
            rows={items}
            rowKey={({ id }) => id}
          />
        ) : (
          <p className="text-lg text-mid border-l-4 border-rule pl-4 py-2">
            {words
              ? `No ${of.word} fits “${words}”.`
              : `No ${of.word} lies here yet. Enter one, or bring in a whole list by CSV.`}
          </p>
        )}
        <div className="flex gap-3 mt-4">
          {more && (
            <Link
              to={`?kind=${kind}${words ? `&q=${encodeURIComponent(words)}` : ""}&after=${encodeURIComponent(more)}`}
              className={buttonClass("line")}
            >
              Further on
            </Link>
          )}
          {paged && (
            <Link to={`?kind=${kind}`} className={buttonClass("quiet")}>
              From the beginning
            </Link>
          )}
        </div>
      </main>
    </>
  );
}

function newsOf(kind: StoreKind, pieces: number, empty: number): string {
  const { words } = kindsOfStock[kind];
  if (pieces === 0) return `${words}: none`;
  const said = `${words}: ${pieces} ${pieces === 1 ? "piece" : "pieces"}`;
  return empty === 0 ? said : `${said}, ${empty === 1 ? "one size" : `${empty} sizes`} gone`;
}
