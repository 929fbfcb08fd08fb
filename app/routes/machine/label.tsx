import { PlaceHead } from "~/app/features/shell/head";
import { asPerson, everyRole } from "~/app/session/session.server";
import { Button } from "~/ui/button";
import type { Route } from "./+types/label";
import { loadLabel } from "./load-label.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Label, ${loaderData?.machine.name}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadLabel(asked, params.machineId, new URL(request.url).origin));

/** A label to print and stick on the machine: scanned, it leads to one screen for what takes twenty seconds. */
export default function Label({ loaderData: { machine, svg, address } }: Route.ComponentProps) {
  return (
    <>
      <div className="print:hidden">
        <PlaceHead />
      </div>
      <main className="p-5">
        <div className="print:hidden mb-6">
          <h1 className="text-3xl font-bold mb-2">Label for {machine.name}</h1>
          <p className="text-lg mb-4 max-w-2xl">
            Print it, stick it where it can be reached without opening a guard. Scanned with a tablet it opens the quick
            touch of this machine; typed by a scanner into the field on the floor it does the same.
          </p>
          <Button kind="now" large onClick={() => window.print()}>
            Print
          </Button>
        </div>
        <figure
          className="inline-flex gap-4 items-center bg-white text-black border-2 border-black p-4 print:border-0"
          aria-label="The label"
        >
          {/* biome-ignore lint/security/noDangerouslySetInnerHtml: made on the server from the machine's own address */}
          <div className="w-40 h-40" dangerouslySetInnerHTML={{ __html: svg }} />
          <figcaption>
            <span className="block text-2xl font-bold">{machine.name}</span>
            <span className="block text-xl figure">{machine.tag}</span>
            <span className="block">{[machine.site, machine.hall, machine.place].filter(Boolean).join(", ")}</span>
            <span className="block text-sm max-w-72 break-all mt-2">{address}</span>
          </figcaption>
        </figure>
      </main>
    </>
  );
}
