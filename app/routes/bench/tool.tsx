import { data, Link } from "react-router";
import { BenchPage } from "~/app/features/bench/bench-page";
import { benchTools } from "~/app/features/bench/tools";
import { PlaceHead } from "~/app/features/shell/head";
import { asPerson, everyRole } from "~/app/session/session.server";
import { mayWork } from "~/operations/context";
import type { Route } from "./+types/tool";

const benchOf = (name: string) => benchTools.find((item) => item.tool === name);

export const meta: Route.MetaFunction = ({ params }) => [
  { title: `${benchOf(params.tool)?.name ?? "Bench"} Harmostat` },
];

export async function loader({ params, context, request }: Route.LoaderArgs) {
  if (!benchOf(params.tool)) throw data(null, { status: 404 });
  return asPerson(context, request, everyRole, async ({ person }) => ({ mayKeep: mayWork.includes(person.role) }));
}

// The inputs stand in the address and change with every key; the server has nothing to say to that.
export const shouldRevalidate = ({ currentParams, nextParams }: { currentParams: object; nextParams: object }) =>
  JSON.stringify(currentParams) !== JSON.stringify(nextParams);

export default function BenchTool({ params, loaderData }: Route.ComponentProps) {
  const bench = benchOf(params.tool);
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
        <BenchPage key={bench.tool} bench={bench} mayKeep={loaderData.mayKeep} />
      </main>
    </>
  );
}
