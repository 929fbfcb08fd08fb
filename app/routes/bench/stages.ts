import { asPersonJson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/stages";
import { stagesFor } from "./stages.server";

/** Stages by words, for choosing one. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const words = (new URL(request.url).searchParams.get("q") ?? "").trim().slice(0, 80);
  return asPersonJson(context, everyRole, async (asked) => Response.json({ stages: await stagesFor(asked, words) }));
}
