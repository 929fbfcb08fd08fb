import { redirect } from "react-router";
import { formOf } from "../session/form-of";
import { endSession, sessionState, withDatabase } from "../session/session.server";
import type { Route } from "./+types/sign-out";

/** Ends the session, if it is still that of whom the page says; what the browser kept of pages goes with it. */
export async function action({ request, context }: Route.ActionArgs) {
  const by = (await formOf(request)).get("by");
  return withDatabase(async () => {
    const state = await sessionState(context);
    if (state.is !== "none" && by !== null && by !== state.session.person.id) return redirect("/");
    return redirect("/sign-in", {
      headers: { "Set-Cookie": await endSession(context, request), "Clear-Site-Data": '"cache"' },
    });
  });
}
