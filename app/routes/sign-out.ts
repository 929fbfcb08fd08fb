import { redirect } from "react-router";
import { endSession, withDatabase } from "../session/session.server";
import type { Route } from "./+types/sign-out";

export async function action({ request, context }: Route.ActionArgs) {
  return redirect("/sign-in", { headers: { "Set-Cookie": await withDatabase(() => endSession(context, request)) } });
}
