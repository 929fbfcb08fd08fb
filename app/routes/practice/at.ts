import { asPersonJson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/at";
import { lessonAt } from "./load-practice.server";

/** Which lesson a practice machine is of. */
export const loader = ({ params, context }: Route.LoaderArgs) =>
  asPersonJson(context, everyRole, async (asked) =>
    Response.json({ lesson: asked.person.practising ? await lessonAt(asked, params.machineId) : null }),
  );
