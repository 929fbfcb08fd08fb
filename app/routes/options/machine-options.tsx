import { data, Link, useSearchParams } from "react-router";
import { OptionCard } from "~/app/features/options/option-card";
import { OptionForm } from "~/app/features/options/option-fields";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepOption } from "~/operations/keep-option";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/machine-options";
import { loadMachineOptions } from "./load-options.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Other ways to build ${loaderData?.machine.name}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadMachineOptions(asked, params.machineId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await keepOption(asked, {
      ...input,
      stageId: null,
      machineId: params.machineId,
      madeAt: asked.now.toISOString(),
    });
    return kept.ok
      ? data({ onward: `/machines/${params.machineId}/options` })
      : data({ refusal: kept.refusal }, { status: 400 });
  });
}

/** Ways to build an assembly of a machine, side by side with their reasons; what lost stays with its own. */
export default function MachineOptions({
  loaderData: { machine, options, assemblies, mayKeep },
}: Route.ComponentProps) {
  const [search] = useSearchParams();
  const here = `/machines/${machine.id}/options`;
  const revised =
    options.find(({ body }) => body.name === search.get("revise") && body.assembly === search.get("of"))?.body ?? null;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header>
          <h1 className="text-3xl font-bold">Other ways to build it</h1>
          <p className="text-lg text-mid">
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
            : its assemblies. Ways to drive a stage stand with the stage.
          </p>
        </header>
        <ul className="grid sm:grid-cols-2 xl:grid-cols-3 gap-x-8 gap-y-6" aria-label="Options">
          {options.map((entry) => (
            <OptionCard
              key={entry.id}
              entry={entry}
              wantedRpm={null}
              revise={
                mayKeep
                  ? `${here}?${new URLSearchParams({ revise: entry.body.name, of: entry.body.assembly ?? "" })}`
                  : null
              }
            />
          ))}
        </ul>
        {options.length === 0 && (
          <p className="text-lg">
            None yet. A pressed bearing or one in a seat, a sleeve or shims: put each way down with its reason, and the
            one that lost need not be tried again.
          </p>
        )}
        {mayKeep && revised && (
          <section aria-label={`Revise ${revised.name}`} className="max-w-4xl">
            <h2 className="text-xl font-bold mb-2">{revised.name} revised</h2>
            <OptionForm key={revised.name} of={machine.id} assemblies={assemblies} option={revised} back={here} />
          </section>
        )}
        {mayKeep && !revised && (
          <Fold summary="Put down another way" className="max-w-4xl">
            <OptionForm of={machine.id} assemblies={assemblies} option={null} back={`/machines/${machine.id}`} />
          </Fold>
        )}
      </main>
    </>
  );
}
