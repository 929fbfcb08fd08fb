import { jsonObject } from "~/app/session/json-object";
import { asPersonJson, beginSession, everyRole } from "~/app/session/session.server";
import { switchPerson } from "~/operations/own-account";
import type { Route } from "./+types/switch";
import { peopleAtHand } from "./load-account.server";

/** Who can take over this tablet. */
export async function loader({ context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async (asked) => Response.json({ people: await peopleAtHand(asked) }));
}

/** Somebody else takes over, in a session of their own. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, everyRole, async (asked) => {
    const taken = await switchPerson(asked, await jsonObject(request));
    if (!taken.ok) return Response.json({ refusal: taken.refusal }, { status: 400 });
    const cookie = await beginSession(context, request, taken.value.id);
    return Response.json({ personId: taken.value.id }, { headers: { "Set-Cookie": cookie } });
  });
}
