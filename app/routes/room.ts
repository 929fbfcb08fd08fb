import { redirect } from "react-router";
import type { Route } from "./+types/room";

/** Bright or dark room, for a year. */
export async function action({ request }: Route.ActionArgs) {
  const form = await request.formData();
  const room = form.get("room") === "dark" ? "dark" : "bright";
  const from = request.headers.get("referer");
  const back = from && URL.canParse(from) ? new URL(from).pathname : "/";
  return redirect(back, { headers: { "Set-Cookie": `room=${room}; Path=/; Max-Age=31536000; SameSite=Lax` } });
}
