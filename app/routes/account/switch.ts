import { jsonObject } from "~/app/session/json-object";
import { asPersonJson, beginSession, everyRole, statusOf } from "~/app/session/session.server";
import { deviceIdIn } from "~/app/session/session-cookie";
import { switchPerson } from "~/operations/own-account";
import type { Route } from "./+types/switch";
import { peopleAtHand } from "./load-account.server";

/** Who can take over this tablet. */
export async function loader({ context }: Route.LoaderArgs) {
  return asPersonJson(context, everyRole, async (asked) => Response.json({ people: await peopleAtHand(asked) }));
}

/** Somebody else takes over, in a session of their own that a PIN opened. */
export async function action({ request, context }: Route.ActionArgs) {
  return asPersonJson(context, everyRole, async (asked) => {
    const device = await deviceIdIn(request.headers.get("cookie"));
    const taken = await switchPerson(asked, device, await jsonObject(request));
    if (!taken.ok) return Response.json({ refusal: taken.refusal }, statusOf(taken.refusal, 400));
    const headers = await beginSession(context, request, taken.value.id, "pin");
    return Response.json({ personId: taken.value.id }, { headers });
  });
}
