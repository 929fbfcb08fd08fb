import { Link, Outlet, useLocation } from "react-router";
import { benchTools } from "~/app/features/bench/bench-list";
import type { BenchFrame } from "~/app/features/bench/bench-page";
import { PlaceHead } from "~/app/features/shell/head";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import type { Route } from "./+types/tool";

const benchAt = (pathname: string) => benchTools.find(({ tool }) => tool === pathname.split("/")[2]);

export const meta: Route.MetaFunction = ({ location }) => [
  { title: `${benchAt(location.pathname)?.name ?? "Bench"} Harmostat` },
];

export const loader = ({ context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async ({ person }) => ({ mayKeep: mayWork.includes(person.role) }));

// The inputs stand in the address and change with every key; the server has nothing to say to that.
export const shouldRevalidate = () => false;

/** What stands round every tool: what it is asked. */
export default function BenchToolFrame({ loaderData: { mayKeep } }: Route.ComponentProps) {
  const bench = benchAt(useLocation().pathname);
  if (!bench) return null;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5">
        <p>
          <Link to="/bench" className="min-h-11 inline-flex items-center">
            Bench
          </Link>
        </p>
        <h1 className="text-3xl font-bold">{bench.name}</h1>
        <p className="text-mid mb-6">{bench.question}</p>
        <Outlet context={{ name: bench.name, mayKeep } satisfies BenchFrame} />
      </main>
    </>
  );
}
