import { data, Link, useSearchParams } from "react-router";
import { OptionCard } from "~/app/features/options/option-card";
import { OptionForm } from "~/app/features/options/option-fields";
import { WantedField, wantedIn, wantedRpmOf } from "~/app/features/options/wanted-speed";
import { PlaceHead } from "~/app/features/shell/head";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepOption } from "~/operations/keep-option";
import { Fold } from "~/ui/fold";
import type { Route } from "./+types/route";
import { loadOptions } from "./load-options.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Other ways to drive ${loaderData?.stage.name}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadOptions(asked, params.stageId));

export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await keepOption(asked, { ...input, stageId: params.stageId, madeAt: asked.now.toISOString() });
    return kept.ok
      ? data({ onward: `/stages/${params.stageId}/options` })
      : data({ refusal: kept.refusal }, { status: 400 });
  });
}

/** Any way to drive a stage beside another, solved backwards for a wanted speed; what lost stays with its reason. */
export default function Options({ loaderData: { stage, machine, options, mayKeep } }: Route.ComponentProps) {
  const [search] = useSearchParams();
  const wanted = wantedIn(search);
  const here = `/stages/${stage.id}/options`;
  const revised = options.find(({ body }) => body.name === search.get("revise"))?.body ?? null;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6">
        <header>
          <h1 className="text-3xl font-bold">Other ways to drive it</h1>
          <p className="text-lg text-mid">
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
            ,{" "}
            <Link to={`/stages/${stage.id}`} className="text-ink">
              {stage.name}
            </Link>
          </p>
        </header>
        {options.length > 0 && <WantedField search={search} />}
        <ul className="grid sm:grid-cols-2 xl:grid-cols-3 gap-x-8 gap-y-6" aria-label="Options">
          {options.map((entry) => (
            <OptionCard
              key={entry.id}
              entry={entry}
              wantedRpm={wantedRpmOf(wanted, entry.body)}
              revise={mayKeep ? `${here}?${new URLSearchParams({ revise: entry.body.name })}` : null}
            />
          ))}
        </ul>
        {options.length === 0 && (
          <p className="text-lg">
            None yet. A worm, a belt, another motor: put each down once, and speed, torque, room and price stand side by
            side.
          </p>
        )}
        {mayKeep && revised && (
          <section aria-label={`Revise ${revised.name}`} className="max-w-4xl">
            <h2 className="text-xl font-bold mb-2">{revised.name} revised</h2>
            <OptionForm key={revised.name} of={stage.id} option={revised} back={here} />
          </section>
        )}
        {mayKeep && !revised && (
          <Fold summary="Put down another way" className="max-w-4xl">
            <OptionForm of={stage.id} option={null} back={`/stages/${stage.id}`} />
          </Fold>
        )}
      </main>
    </>
  );
}
