import { Link } from "react-router";
import { benchGroups } from "~/app/features/bench/bench-list";
import { PlaceHead } from "~/app/features/shell/head";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/index";

export const meta: Route.MetaFunction = () => [{ title: "Bench, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async () => null);

/** Every computation for its own sake. */
export default function Bench() {
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-4xl">
        <h1 className="text-3xl font-bold mb-4">What do you want to know?</h1>
        {benchGroups.map((group) => (
          <section key={group.name} aria-label={group.name} className="mb-6">
            <h2 className="text-xl font-bold">{group.name}</h2>
            <ul>
              {group.tools.map(({ tool, name, question }) => (
                <li key={tool} className="border-t border-rule py-3">
                  <Link
                    to={`/bench/${tool}`}
                    className="text-xl font-semibold text-ink min-h-11 inline-flex items-center"
                  >
                    {name}
                  </Link>
                  <p className="text-mid">{question}</p>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </main>
    </>
  );
}
