import { asPersonJson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/kit";
import { loadKit } from "./load-kit.server";

/** What a tablet keeps of a machine, to work on it without the server. */
export async function loader({ params, context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async (asked) => Response.json(await loadKit(asked, params.machineId)));
}
