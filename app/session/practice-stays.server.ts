import { type MiddlewareFunction, redirect } from "react-router";
import { sessionState } from "./session.server";

/** What leaves the practice or says who somebody is: sheets, files and exports, the account, the people. */
const leaves =
  /^\/(account(\/data\.json)?|people(\/.*)?|records\.(csv|json)|calendar\.ics|(jobs|machines)\/[^/]+\/(record(\.\w+)?|label)|stores\/(sheets(\/.*)?|items\/[^/]+\/label))(\.data)?$/;

/** Nothing of a practice can be taken for real: what would carry it out of the app, or belongs to who practises, is not there meanwhile. */
export const practiceStays: MiddlewareFunction<Response> = async ({ request, context }, next) => {
  if (!leaves.test(new URL(request.url).pathname)) return next();
  const state = await sessionState(context).catch(() => null);
  if (state?.is === "open" && state.session.person.practising) throw redirect("/practice?stays=yes");
  return next();
};
