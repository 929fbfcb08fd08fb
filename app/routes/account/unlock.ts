import { jsonObject } from "~/app/session/json-object";
import { poolContext } from "~/app/session/request-context";
import { answering, beginSession, sessionState, statusOf } from "~/app/session/session.server";
import { unlock } from "~/operations/own-account";
import type { Route } from "./+types/unlock";

/** Whose page it is shows that it is they, and goes on where it stood. */
export async function action({ request, context }: Route.ActionArgs) {
  const input = await jsonObject(request);
  return answering(async () => {
    const state = await sessionState(context);
    const resting = state.is === "resting" ? state.session.person : null;
    const open = await unlock(context.get(poolContext), resting, input);
    if (!open.ok) return Response.json({ refusal: open.refusal }, statusOf(open.refusal, 400));
    const { personId, how } = open.value;
    return Response.json({ personId }, { headers: await beginSession(context, request, personId, how) });
  });
}
