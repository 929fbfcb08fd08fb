import { asPerson, everyRole } from "../session/session.server";
import type { Route } from "./+types/status";
import { loadStatus } from "./load-status.server";

export async function loader({ context, request }: Route.LoaderArgs) {
  return asPerson(context, request, everyRole, loadStatus);
}

/** Whether server and database answer, for whoever looks after them. */
export default function Status({ loaderData }: Route.ComponentProps) {
  return (
    <main className="p-8">
      <h1 className="text-2xl font-bold">Server and database answer</h1>
      <p>Database time {loaderData.databaseTime}</p>
    </main>
  );
}
