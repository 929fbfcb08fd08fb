import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/as-json";
import { recordsAsked } from "./asked";
import { takeFound } from "./take.server";

export const loader = ({ request, context }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, async (asked) =>
    takeFound(asked, recordsAsked(new URL(request.url).searchParams), "json"),
  );
