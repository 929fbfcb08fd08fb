import { PlaceHead } from "~/app/features/shell/head";
import { itemWords } from "~/app/features/stores/item-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { Button } from "~/ui/button";
import type { Route } from "./+types/label";
import { loadLabels } from "./load-stores.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `Label, ${loaderData?.item.name}, Harmostat` }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadLabels(asked, params.itemId, new URL(request.url).origin));

/** A label for a drawer or a bag: scanned, it leads to what lies there. */
export default function ItemLabel({ loaderData: { item, svg, address } }: Route.ComponentProps) {
  return (
    <>
      <div className="print:hidden">
        <PlaceHead />
      </div>
      <main className="p-5">
        <div className="print:hidden mb-6">
          <h1 className="text-3xl font-bold mb-2">Label for {item.name}</h1>
          <p className="text-lg mb-4 max-w-2xl">
            Stick it on the drawer. Scanned with a tablet it says how many there are.
          </p>
          <Button kind="now" large onClick={() => window.print()}>
            Print
          </Button>
        </div>
        <figure
          className="inline-flex gap-4 items-center bg-white text-black border-2 border-black p-3 print:border-0"
          aria-label="The label"
        >
          {/* biome-ignore lint/security/noDangerouslySetInnerHtml: made on the server from the item's own address */}
          <div className="w-28 h-28" dangerouslySetInnerHTML={{ __html: svg }} />
          <figcaption>
            <span className="block text-xl font-bold">{item.name}</span>
            <span className="block figure">{itemWords(item)}</span>
            <span className="block">{item.place}</span>
            <span className="block text-sm max-w-64 break-all mt-1">{address}</span>
          </figcaption>
        </figure>
      </main>
    </>
  );
}
