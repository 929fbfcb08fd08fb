import { redirect } from "react-router";
import { formOf } from "~/app/session/form-of";
import { safePath } from "~/app/session/safe-path";
import type { Route } from "./+types/room";

/** Bright or dark room, for a year. */
export async function action({ request }: Route.ActionArgs) {
  const form = await formOf(request);
  const room = form.get("room") === "dark" ? "dark" : "bright";
  const from = request.headers.get("referer");
  const back = safePath(from && URL.canParse(from) ? new URL(from).pathname : null);
  return redirect(back, { headers: { "Set-Cookie": `room=${room}; Path=/; Max-Age=31536000; SameSite=Lax` } });
}
