import { headWords } from "~/app/features/record/head-words";
import { LabelPage } from "~/app/features/shell/label-page";
import { originContext } from "~/app/session/request-context";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/label";
import { loadLabel } from "./load-label.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Label, ${loaderData?.machine.name}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadLabel(asked, params.machineId, context.get(originContext)));

/** Scanned, it leads to one screen for what takes twenty seconds. */
export default function Label({ loaderData: { machine, svg, address, head } }: Route.ComponentProps) {
  return (
    <LabelPage
      name={machine.name}
      how="Print it, stick it where it can be reached without opening a guard. Scanned with a tablet it opens the quick touch of this machine; typed by a scanner into the field on the floor it does the same."
      svg={svg}
      address={address}
      head={headWords(head)}
    >
      <span className="block text-xl figure">{machine.tag}</span>
      <span className="block">{[machine.site, machine.hall, machine.place].filter(Boolean).join(", ")}</span>
    </LabelPage>
  );
}
