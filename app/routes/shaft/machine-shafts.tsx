import { Link } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { floatWords } from "~/app/features/words/shafts";
import { shortDay } from "~/app/features/words/times";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { buttonClass } from "~/ui/button";
import type { Route } from "./+types/machine-shafts";
import { loadShafts } from "./load-shaft.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Shafts of ${loaderData?.machine.name ?? "a machine"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadShafts(asked, params.machineId));

export default function MachineShafts({ loaderData: { machine, shafts, mayKeep } }: Route.ComponentProps) {
  const reader = useWords();
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-5 max-w-4xl">
        <header>
          <h1 className="text-3xl font-bold">Shafts</h1>
          <p className="text-lg text-mid">
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
            : what stands between their faces, and as what it was last fitted
          </p>
        </header>
        <ul>
          {shafts.map(({ shaft, fitted }) => (
            <li key={shaft.shaftId} className="border-t border-rule py-3">
              <Link to={`/shafts/${shaft.shaftId}`} className="text-xl font-bold text-ink">
                {shaft.name}
              </Link>
              <p className="text-mid">
                {shaft.parts.length} parts, revision {shaft.revision};{" "}
                {fitted
                  ? `fitted ${shortDay(reader, fitted.madeAt)}, ${floatWords(reader, fitted.body)}`
                  : "not fitted in a job yet"}
              </p>
            </li>
          ))}
          {shafts.length === 0 && (
            <li className="text-lg">
              None yet. Put down the parts between the faces of a shaft; in a job they are measured, spacers and shims
              reckoned, and what was fitted is kept.
            </li>
          )}
        </ul>
        {mayKeep && (
          <div>
            <Link
              to={`/machines/${machine.id}/shafts/new`}
              className={buttonClass(shafts.length === 0 ? "now" : "line", true)}
            >
              Put a shaft down
            </Link>
          </div>
        )}
      </main>
    </>
  );
}
