import { data, Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { jsonObject } from "~/app/session/json-object";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import { keepGuide } from "~/operations/keep-guide";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/machine-guides";
import { loadGuides } from "./load-guide.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Guides of ${loaderData?.machine.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadGuides(asked, params.machineId));

/** Keeps what a strip-down showed, without leaving its job. */
export async function action({ params, context, request }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return asPerson(context, request, mayWork, async (asked) => {
    const kept = await keepGuide(asked, { ...input, machineId: params.machineId });
    if (!kept.ok) return data({ refusal: kept.refusal }, { status: 400 });
    return { kept: "Kept as the guide of this machine." };
  });
}

export default function MachineGuides({ loaderData: { machine, guides, mayKeep } }: Route.ComponentProps) {
  const reader = useWords();
  const add = `/machines/${machine.id}/guides/new`;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-5 max-w-4xl">
        <header>
          <h1 className="text-3xl font-bold">Guides</h1>
          <p className="text-lg text-mid">
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
            : its assemblies, taken apart and built up
          </p>
        </header>
        <ul>
          {guides.map(({ guideId, name, revision, stageName, parts, madeAt, madeByName }) => (
            <li key={guideId} className="border-t border-rule py-3">
              <Link to={`/guides/${guideId}`} className="text-xl font-bold text-ink">
                {name}
              </Link>
              <p className="text-mid">
                {stageName && `${stageName}, `}
                {parts} parts, revision {revision}, {madeByName}, {shortDay(reader, madeAt)}
              </p>
            </li>
          ))}
          {guides.length === 0 && (
            <li className="text-lg">
              None yet. Take it apart in a job, part by part, and keep what you saw as its guide; or write its parts
              down here.
            </li>
          )}
        </ul>
        {mayKeep && (
          <div>
            <Link to={add} className={buttonClass(guides.length === 0 ? "now" : "line", true)}>
              Write a guide
            </Link>
          </div>
        )}
      </main>
    </>
  );
}
