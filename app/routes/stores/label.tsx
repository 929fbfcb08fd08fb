import { LabelPage } from "~/app/features/shell/label-page";
import { itemWords } from "~/app/features/stores/item-words";
import { useWords } from "~/app/features/words/use-words";
import { originContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/label";
import { loadLabels } from "./load-stores.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [{ title: `Label, ${loaderData?.item.name}, Harmostat` }];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadLabels(asked, params.itemId, context.get(originContext)));

/** On a drawer or a bag: scanned, it leads to what lies there. */
export default function ItemLabel({ loaderData: { item, svg, address } }: Route.ComponentProps) {
  const reader = useWords();
  return (
    <LabelPage
      name={item.name}
      how="Stick it on the drawer. Scanned with a tablet it says how many there are."
      svg={svg}
      address={address}
    >
      <span className="block text-xl figure">{itemWords(reader, item)}</span>
      <span className="block">{item.place}</span>
    </LabelPage>
  );
}
